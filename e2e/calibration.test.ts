import AxeBuilder from '@axe-core/playwright';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { guidedShots } from '../core/calibration/guidedShots.ts';
import { readOff } from '../core/calibration/reading.ts';
import { simulate } from '../core/motion/simulate.ts';
import { buildTable } from '../core/table/table.ts';
import { object, string } from 'yup';
import { reads } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((own) => {
  page = own;
});

const madeSchema = object({ id: string().required() }).required();

/** A cloth that is much slower than an ordinary one. */
const SLOW = 1.4;
const ordinary = buildTable('pool-9ft');
const real = buildTable('pool-9ft', {
  rollingFriction: SLOW * ordinary.parameters.rollingFriction,
});

/** What tape and watch say of a guided shot on the real table. */
function readings(id: string): readonly number[] {
  const guided = guidedShots(ordinary).find((each) => each.id === id);
  if (guided === undefined) throw new Error(`no shot ${id}`);
  const result = simulate({ ...guided.shot, table: real }, { paths: true });
  return guided.readings.map((reading) => readOff(result, reading) ?? NaN);
}

/** @returns the id of a table that nobody else uses */
async function newTable(name: string): Promise<string> {
  const made = await page.request.post('/api/tables', { data: { name, preset: 'pool-9ft' } });
  expect(made.ok()).toBe(true);
  return madeSchema.validateSync(await made.json()).id;
}

describe('a table', () => {
  it('is calibrated by guided shots: a slow cloth is found, and the card takes it', async () => {
    const name = `Table ${randomUUID().slice(0, 4)}`;
    const id = await newTable(name);
    await page.goto(`/hall/${id}`);
    await page.getByRole('link', { name: 'Calibrate it' }).click();
    await page.getByRole('heading', { level: 1, name: 'Calibrate the table' }).waitFor();
    for (const shot of ['lag 1', 'lag 2']) {
      const [rest = 0, out = 0, back = 0] = readings(shot);
      for (const time of [1, 2]) {
        const enter = async (words: string, value: string) => {
          const field = page.getByLabel(new RegExp(`^${words}.*, time ${time},`));
          await field.fill(value);
          await field.press('Enter');
        };
        await enter('Stops, from the head', (1000 * rest).toFixed(0));
        await enter('From the tip to the first', out.toFixed(2));
        await enter('From the first .* to the stop', back.toFixed(2));
      }
      await page.getByRole('button', { name: /^Next/ }).click();
    }
    await page.getByText('Shots that were read: 2 of').waitFor();
    // What was entered is still there when the page is loaded anew.
    await page.reload();
    await page.getByText('Shots that were read: 2 of').waitFor();
    await page.getByRole('button', { name: 'Work it out' }).click();
    const row = page.getByRole('row', { name: /^Rolling friction/ });
    await row.waitFor();
    const [before = NaN, found = NaN, low = NaN, high = NaN] = (
      (await row.innerText()).match(/\d+\.\d+/g) ?? []
    ).map(Number);
    expect(found).toBeGreaterThan(before);
    expect(low).toBeLessThanOrEqual(real.parameters.rollingFriction);
    expect(high).toBeGreaterThanOrEqual(real.parameters.rollingFriction);
    // Nothing was played into a cushion at an angle.
    await page.getByRole('row', { name: /^Ball on ball, slow friction.*not told yet/ }).waitFor();
    // What is open now is told by a shot that was not played yet, one tap away.
    await reads(
      page.getByTestId('next-shot'),
      /^Most would be told next by “.+”: played once more, .+ \d+ % of what it is now\.$/,
    );
    await page.getByRole('button', { name: 'Show it' }).click();
    await page.getByRole('button', { name: 'Take into the card' }).click();
    await page.getByRole('heading', { level: 1, name }).waitFor();
    await page
      .getByText(/calibrated \d{4}-\d\d-\d\d, 2 guided shots/)
      .first()
      .waitFor();
  });

  it('a watch and a tap tell, too', async () => {
    const id = await newTable(`Table ${randomUUID().slice(0, 4)}`);
    await page.goto(`/hall/${id}/calibrate`);
    await page.getByRole('img', { name: 'The guided shot' }).waitFor();
    const { violations } = await new AxeBuilder({ page }).options({ preload: false }).analyze();
    expect(violations.map(({ id: rule }) => rule)).toEqual([]);
    await page.getByRole('img', { name: 'The guided shot' }).click({ position: { x: 300, y: 120 } });
    const first = (words: string) => page.getByLabel(new RegExp(`^${words}.*, time 1,`)).inputValue();
    await expect.poll(() => first('Stops')).not.toBe('');
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: /^Stop/ }).waitFor();
    await page.keyboard.press('Space');
    await expect.poll(() => first('From the tip')).not.toBe('');
  });
});
