import AxeBuilder from '@axe-core/playwright';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { madeUpTry, withMouth } from '../core/calibration/pockets.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { guidedShots } from '../core/calibration/guidedShots.ts';
import { readOff } from '../core/calibration/reading.ts';
import { simulate } from '../core/motion/simulate.ts';
import { createRandom } from '../core/random/random.ts';
import { buildTable } from '../core/table/table.ts';
import { object, string } from 'yup';
import { wavOf } from '../scripts/lib/wav.ts';
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

const RATE = 44_100;

/** A quiet room in which something knocks at some seconds. */
function recordingOf(knocks: readonly number[]): Uint8Array {
  const random = createRandom(3);
  const length = Math.round(RATE * (Math.max(...knocks) + 0.5));
  const samples = Float32Array.from({ length }, (_, i) => {
    const t = i / RATE;
    const heard = knocks.map((at) =>
      t < at ? 0 : 0.4 * Math.exp(-(t - at) / 0.002) * Math.sin(2 * Math.PI * 4_500 * (t - at)),
    );
    return 0.001 * random.normal() + heard.reduce((sum, each) => sum + each, 0);
  });
  return wavOf({ samples, rate: RATE });
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
    const calibrations = page.getByRole('region', { name: 'Calibrations' }).last();
    await expect.poll(() => calibrations.getByRole('row').count()).toBe(2);
    await reads(calibrations.getByRole('row').last(), /Morwenna Oake2\d\.\d{4}/);
  });

  it('that was calibrated before says so, and one that has drifted says how', async () => {
    const open = async (name: RegExp) => {
      await page.goto('/hall');
      await page.getByRole('link', { name }).click();
    };
    await open(/Pool room, table 4/);
    await page.getByText(/^As it was on .+: no number has changed beyond its interval\.$/).waitFor();
    await open(/Snooker room, table 2/);
    await page
      .getByText(
        /^Rolling friction has drifted since .+: from 0\.0\d+ to 0\.0\d+, more than .+ A ball rolls \d+ % less far at the same pace\.$/,
      )
      .waitFor();
  });

  it('a recording tells the times of a shot', async () => {
    const id = await newTable(`Table ${randomUUID().slice(0, 4)}`);
    await page.goto(`/hall/${id}/calibrate`);
    const guided = guidedShots(ordinary).find((each) => each.id === 'lag 3');
    if (guided === undefined) throw new Error('no third lag');
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: /^Next/ }).click();
    const { events } = simulate(guided.shot, { paths: true });
    const knocks = events.flatMap(({ kind, t }) => (kind === 'ball-cushion' ? [t] : []));
    const [choosing] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'A recording' }).click(),
    ]);
    await choosing.setFiles({
      name: 'lag.wav',
      mimeType: 'audio/wav',
      buffer: Buffer.from(recordingOf([0, ...knocks].map((at) => 0.8 + at))),
    });
    const first = (words: string) => page.getByLabel(new RegExp(`^${words}.*, time 1,`)).inputValue();
    const [out = 0, back = 0] = knocks;
    await expect.poll(async () => Math.abs(Number(await first('From the tip')) - out)).toBeLessThan(0.011);
    expect(Math.abs(Number(await first('From the first')) - (back - out))).toBeLessThan(0.011);
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

  it('has the mouths of its pockets told by balls that fall or stay', async () => {
    const id = await newTable(`Table ${randomUUID().slice(0, 4)}`);
    // A corner four millimetres narrower than the card has it.
    const MOUTH = 0.113;
    const narrow = withMouth(ordinary, 'corner', MOUTH);
    const random = createRandom(8);
    await page.goto(`/hall/${id}/calibrate`);
    await page.getByRole('button', { name: 'Try the pockets' }).click();
    const asked = page.getByTestId('pocket-try');
    const told = page.getByTestId('pocket-told');
    await reads(told, /^0 balls\. Corner mouth: 117\.0 mm, /);
    for (let ball = 1; ball <= 12; ball++) {
      const beside = Number(/its middle (\d+) mm/.exec(await asked.innerText())?.[1]) / 1000;
      const { hasFallen } = madeUpTry(narrow, 'corner', beside, executionErrorOf('team', 'pool'), random);
      await page.getByRole('button', { name: hasFallen ? 'It fell' : 'It stayed' }).click();
      await reads(told, new RegExp(`^${String(ball)} ball`));
    }
    const found = Number(/Corner mouth: ([\d.]+) mm/.exec(await told.innerText())?.[1]);
    expect(Math.abs(found - 1000 * MOUTH)).toBeLessThan(2.5);
    expect(
      (await new AxeBuilder({ page }).include('[aria-labelledby="pockets-title"]').analyze()).violations,
    ).toEqual([]);
    await page
      .getByRole('region', { name: 'How wide the pockets are' })
      .getByRole('button', { name: 'Take into the card' })
      .click();
    await page.getByText('It is in the card.').waitFor();
    await page.goto(`/hall/${id}`);
    await page
      .getByRole('row', { name: new RegExp(`^Corner mouth ${found.toFixed(1)} mm 117\\.0 mm .*calibrated`) })
      .waitFor();
  });
});
