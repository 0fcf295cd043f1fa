import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { points, reads, signIn, startRound, storedAttempts } from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';

/** Two devices at one round: what one scores the other shows, and what both score is not lost. */

const browsers: Browser[] = [];
let one: Page;
let two: Page;
beforeAll(async () => {
  for (let i = 0; i < 2; i++) browsers.push(await openBrowser({ baseURL: demoUrl() }));
  [one, two] = (await Promise.all(
    browsers.map(async (browser) => {
      const page = await browser.context.newPage();
      await signIn(page);
      return page;
    }),
  )) as [Page, Page];
});
afterAll(async () => {
  for (const browser of browsers) await browser.close();
});

async function press(page: Page, keys: string): Promise<void> {
  for (const key of keys.split(' ')) await page.keyboard.press(key === '_' ? 'Space' : key);
}

async function openOnTwo(): Promise<void> {
  await two.goto(new URL(one.url()).pathname);
  await two.getByTestId('shot').waitFor();
}

it('shows on one device what the other scores, and goes on from there', async () => {
  await startRound(one, 'Idris', 'frozen-pair', 1);
  await press(one, '_ _ x');
  await storedAttempts(one, 3);
  await openOnTwo();
  await reads(two.getByTestId('shot'), '4 / 10');
  await press(two, '_');
  await reads(points(one), '3');
  await reads(one.getByTestId('shot'), '5 / 10');
  await press(one, 'u');
  await reads(two.getByTestId('shot'), '4 / 10');
});

it('goes on with an attempt that is half logged on the other device', async () => {
  await startRound(one, 'Idris', 'key-and-lock', 1);
  await one.getByRole('button', { name: /^Log the result only/ }).waitFor();
  await press(one, '2');
  await reads(one.getByTestId('under-way'), /1 made/);
  await storedAttempts(one, 0);
  await expect
    .poll(async () => {
      const id = new URL(one.url()).pathname.split('/').at(-1) ?? '';
      const response = await one.request.get(`/api/rounds/${id}`);
      return JSON.stringify(await response.json());
    })
    .toContain('"underWay":{');
  await openOnTwo();
  await reads(two.getByTestId('under-way'), /1 made/);
  await press(two, '1 8');
  await reads(points(two), '1');
  await reads(points(one), '1');
});

it('keeps both when two devices tell one shot differently, until the coach settles it', async () => {
  await startRound(one, 'Idris', 'frozen-pair', 1);
  await press(one, '_');
  await storedAttempts(one, 1);
  await openOnTwo();
  await reads(two.getByTestId('shot'), '2 / 10');
  // Without network the second device goes on by itself.
  const [, second] = browsers;
  await second?.context.setOffline(true);
  await press(two, 'x');
  await press(one, '_');
  await storedAttempts(one, 2);
  await second?.context.setOffline(false);
  const conflict = one.getByRole('region', { name: 'Told twice' });
  await conflict.getByText('Shot 2: made, or missed').waitFor();
  await reads(points(one), '2');
  await conflict.getByRole('button', { name: 'Take the second' }).click();
  await reads(points(one), '1');
  await reads(points(two), '1');
  await conflict.waitFor({ state: 'detached' });
  await storedAttempts(one, 2);
});

it('a tab whose clock has jumped, and one that slept, do no harm', async () => {
  await startRound(one, 'Idris', 'frozen-pair', 1);
  await press(one, '_');
  await storedAttempts(one, 1);
  await openOnTwo();
  await reads(two.getByTestId('shot'), '2 / 10');
  // A day back: times of entries lie before the round's beginning.
  await two.clock.setFixedTime(new Date(Date.now() - 86_400_000));
  await press(two, '_');
  await storedAttempts(one, 2);
  await reads(points(one), '2');
  await press(one, '_');
  await storedAttempts(one, 3);
  await reads(points(one), '3');
});
