import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { points, reads, signIn, startRound, storedAttempts } from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';

/** The application on the device: it starts, and a round goes on, also when the server is away. */

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await openBrowser({ baseURL: demoUrl(), installed: true });
  page = await browser.context.newPage();
  await signIn(page);
});
afterAll(() => browser.close());

/** Whether the browser's database has an entry whose key begins so, and in it a query of a name. */
function keptOnDevice(on: Page, key: string, name = ''): Promise<boolean> {
  return on.evaluate(
    ([begin = '', wanted = '']) =>
      new Promise<boolean>((resolve) => {
        const opening = indexedDB.open('keyval-store');
        opening.onsuccess = () => {
          const store = opening.result.transaction('keyval').objectStore('keyval');
          const all = store.getAll(IDBKeyRange.bound(begin, `${begin}\uffff`));
          all.onsuccess = () => {
            resolve(all.result.length > 0 && JSON.stringify(all.result).includes(`["${wanted}`));
            opening.result.close();
          };
        };
      }),
    [key, name],
  );
}

it('starts without the server, shows what it knows and how fresh that is, and a round is scored from the start', async () => {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await expect.poll(() => keptOnDevice(page, 'queries:', 'drills')).toBe(true);
  await startRound(page, 'Idris', 'frozen-pair', 1);
  const address = page.url();
  await page.keyboard.press('Space');
  await storedAttempts(page, 1);
  for (const list of ['me', 'players', 'tables'])
    await expect.poll(() => keptOnDevice(page, 'queries:', list)).toBe(true);

  await browser.context.setOffline(true);
  await page.keyboard.press('Space');
  await reads(points(page), '2');
  await page.reload();
  await reads(points(page), '2');
  await page.getByText('1 entry is kept here').waitFor();
  await page.keyboard.press('x');
  await reads(page.getByTestId('shot'), '4 / 10');

  await page.goto('/');
  await page.getByRole('heading', { name: /^Today/ }).waitFor();
  await page.getByText('The server is not reached.').waitFor();
  // A round more, from lists that the device has kept.
  await startRound(page, 'Idris', 'frozen-pair', 1);
  await page.keyboard.press('Space');
  await reads(points(page), '1');
  const second = page.url();

  await browser.context.setOffline(false);
  await page.goto(address);
  await reads(page.getByTestId('shot'), '4 / 10');
  await storedAttempts(page, 3);
  await page.goto(second);
  await storedAttempts(page, 1);
  await page.goto('/');
  await page.getByRole('heading', { name: /^Today/ }).waitFor();
  await expect.poll(() => page.getByText('The server is not reached.').count()).toBe(0);
});

it('can be installed: it has a manifest with a name and icons that are there', async () => {
  const manifest = await page.request.get('/manifest.webmanifest');
  expect(manifest.headers()['content-type']).toMatch(/json/);
  const { icons, name } = (await manifest.json()) as {
    name: string;
    icons: { src: string; sizes: string }[];
  };
  expect(name).toBe('Jolly Rail');
  expect(icons.map(({ sizes }) => sizes)).toEqual(['192x192', '512x512', '512x512']);
  for (const { src } of icons) {
    const icon = await page.request.get(src);
    expect(icon.headers()['content-type']).toBe('image/png');
  }
  expect((await page.request.get('/sw.js')).headers()['cache-control']).toBe('no-cache');
});

it('what somebody read is forgotten on the device when they sign out', async () => {
  await expect.poll(() => keptOnDevice(page, 'queries:')).toBe(true);
  await page.getByRole('button', { name: /^Menu of/ }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.getByRole('heading', { name: 'Sign in' }).waitFor();
  await expect.poll(() => keptOnDevice(page, 'queries:')).toBe(false);
});
