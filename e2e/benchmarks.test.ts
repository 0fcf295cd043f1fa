import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import type { Page } from 'playwright-core';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { openBrowser, type Browser } from './lib/browser.ts';

/** The club of the server that computes benchmarks. */
const COACH = { email: 'isolde@curlew.example', password: 'a bridge of birds' };
const LONGEST_MS = 160_000;

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await openBrowser({ baseURL: inject('computingUrl') });
  page = await browser.context.newPage();
  await page.goto('/sign-in');
  const headers = { origin: inject('computingUrl') };
  await page.request.post('/api/club', {
    headers,
    data: { club: 'Curlew Bridge', name: 'Isolde Fenn', ...COACH },
  });
  const entered = await page.request.post('/api/sign-in', { headers, data: COACH });
  expect(entered.ok()).toBe(true);
  // On a faster cloth than that of the benchmarks that ship nobody knows yet what the levels score.
  const tables = await clubTablesSchema.validate(await (await page.request.get('/api/tables')).json());
  const table = tables.find(({ preset }) => preset === 'pool-9ft');
  const { card, revision } = table?.state ?? {};
  const changed = await page.request.put(`/api/tables/${table?.id ?? ''}`, {
    headers,
    data: { name: table?.name, archived: false, card: { ...card, clothSpeed: 'fast' }, basedOn: revision },
  });
  expect(changed.ok(), await changed.text()).toBe(true);
});
afterAll(() => browser.close());

it('virtual players play a plant in threads of the server, with progress, and the page says how it came about', async () => {
  await page.goto('/drills/frozen-pair?stage=1');
  await page.getByRole('button', { name: 'Let virtual players play it' }).click();
  await page
    .getByTestId('benchmark-job')
    .filter({ hasText: /parts played/ })
    .waitFor();
  const levels = page.getByRole('img', { name: /^Levels: first season from 0/ });
  await levels.waitFor({ timeout: LONGEST_MS });
  await page.getByText('Mean of 200 whole rounds a level').waitFor();
  const rows = await page.locator('.level-table dd').allTextContents();
  const means = rows.flatMap((text) => /^([\d.]+) hits$/.exec(text)?.[1] ?? []).map(Number);
  expect(means).toHaveLength(5);
  // Better players hit at least as often, within the margins that stand beside the means.
  for (const [i, mean] of means.entries()) if (i > 0) expect(mean).toBeGreaterThan((means[i - 1] ?? 0) - 0.5);
  expect(means[4]).toBeGreaterThan(means[0] ?? NaN);
});
