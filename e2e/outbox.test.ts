import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { points, reads, signIn, startRound, storedAttempts } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

/** What waits belongs to whoever entered it, whoever signs in on the same device in between. */

let page: Page;
signedIn((opened) => {
  page = opened;
});

async function signOut(): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: /^Menu of/ }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.getByRole('heading', { name: 'Sign in' }).waitFor();
}

it('a coach’s shots wait while a student is signed in, and are stored as the coach’s afterwards', async () => {
  await startRound(page, 'Idris', 'frozen-pair', 1);
  const address = page.url();
  await page.keyboard.press('Space');
  await storedAttempts(page, 1);
  await page.route('**/api/rounds/*/attempts/**', (route) => route.abort());
  await page.keyboard.press('Space');
  await page.keyboard.press('x');
  await reads(points(page), '2');
  await signOut();
  await page.unroute('**/api/rounds/*/attempts/**');
  await signIn(page, /Wren/);
  await page.getByText('2 entries of Morwenna Oake wait on this device until they sign in here.').waitFor();
  expect(await page.getByText('Not stored').count()).toBe(0);
  await signOut();
  await signIn(page);
  await page.goto(address);
  await reads(points(page), '2');
  await storedAttempts(page, 3);
  expect(await page.getByText('Morwenna Oake wait').count()).toBe(0);
});

it('what the server refuses is kept and told, goes into a file, and only then can be removed', async () => {
  await startRound(page, 'Idris', 'frozen-pair', 1);
  await page.route('**/api/rounds/*/attempts/**', (route) =>
    route.fulfill({ status: 400, json: { error: { message: 'this shot is not possible', field: 'log' } } }),
  );
  await page.keyboard.press('Space');
  await page.getByText('Shot 1: this shot is not possible.').waitFor();
  // The screen has what the server has.
  await reads(points(page), '0');
  await page.reload();
  await page.getByText('Shot 1: this shot is not possible.').waitFor();
  const remove = page.getByRole('button', { name: 'I have the file' });
  expect(await remove.count()).toBe(0);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('not-stored.json');
  await remove.waitFor();
  await page.unroute('**/api/rounds/*/attempts/**');
  await page.getByRole('button', { name: 'Send again' }).click();
  await storedAttempts(page, 1);
  await reads(points(page), '1');
});
