import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { openRoundSchema } from '../core/records/openRound.ts';
import { createRandom } from '../core/random/random.ts';
import { madeBreak } from '../core/sound/madeBreak.ts';
import { wavOf } from '../scripts/lib/wav.ts';
import { choose, pixelOf, reads, startRound } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const study = () => page.getByTestId('study');
const breakIt = () => page.getByRole('button', { name: 'Break 200 times' }).click();
const valueOf = async (what: string) => {
  const text = await study().getByRole('row', { name: what }).getByRole('cell').first().innerText();
  return Number(/^(\d+) %/.exec(text)?.[1]);
};

describe('a break at the table', () => {
  it('has its control by taps: from where, where the cue ball stopped, where the next ball lies', async () => {
    await startRound(page, 'Wren', 'nine-slow', 1);
    const tap = async (x: number, y: number) => {
      const at = await pixelOf(page, { x, y });
      await page.mouse.click(at.x, at.y);
    };
    const hint = page.locator('.scoring-hint');
    await tap(0.6, 0.2);
    await reads(hint, 'Tap where the cue ball stopped.');
    await tap(2, 0.9);
    await reads(hint, 'Now tap the next ball.');
    await tap(2.3, 1.1);
    await reads(hint, /^The next pot: \d+ %\. Cue ball kept: 3\./);
    // Balls down and layout are still to say; where it was broken from stays for the next one.
    await page.keyboard.press('2');
    await page.keyboard.press('k');
    await page.keyboard.press('Enter');
    await reads(page.getByTestId('shot'), '2 / 10');
    await reads(hint, 'Tap where the cue ball stopped.');
  });
});

describe('two cues at the break', () => {
  it('take turns by themselves, each with what belongs to it', async () => {
    await startRound(page, 'Wren', 'nine-slow', 1);
    await page.getByText('More about the break').click();
    await page.getByLabel('Change after so many breaks').fill('2');
    await page.getByLabel('Change after so many breaks').press('Enter');
    const block = page.getByTestId('block');
    await reads(block, 'A, break 1 of 2.');
    await page.getByRole('combobox', { name: 'Cue', exact: true }).fill('heavy');
    await page.getByRole('heading', { level: 1 }).click();
    await reads(block, 'A, break 1 of 2: heavy.');
    await choose(page, 'Pace', 'firm');
    // Keys belong to the pad again once no field has them.
    await page.getByRole('heading', { level: 1 }).click();
    await reads(block, 'A, break 1 of 2: heavy, firm.');
    const keep = async () => {
      for (const key of ['2', 'd', 'k', 'Enter']) await page.keyboard.press(key);
    };
    await keep();
    await reads(block, 'A, break 2 of 2: heavy, firm. Change after it.');
    await keep();
    await reads(block, 'B, break 1 of 2.');
    await page.getByRole('combobox', { name: 'Cue', exact: true }).fill('light');
    await page.getByRole('heading', { level: 1 }).click();
    await keep();
    await keep();
    await reads(block, 'A, break 1 of 2: heavy, firm.');
    const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
    const cues = async () => {
      const round = await openRoundSchema.validate(
        await (await page.request.get(`/api/rounds/${id}`)).json(),
      );
      return round.round.attempts.map(({ log }) => log.entered?.opening?.cue);
    };
    await expect.poll(cues).toEqual(['heavy', 'heavy', 'light', 'light']);
  });
});

describe('the bench for breaks', () => {
  it('plays a break many times, tells what a gap does to it, and what is decided', async () => {
    await page.goto('/lab/break?level=title');
    await breakIt();
    await study().waitFor();
    const before = await valueOf('A ball down, no foul');
    await study()
      .getByRole('row', { name: /^Wing ball on your side in \d+ %/ })
      .waitFor();
    await page.getByRole('button', { name: 'Keep to compare' }).click();

    // By the keyboard: a gap of 0.3 mm between head ball and second ball.
    const contact = page.getByRole('button', { name: /^Between ball 1 and ball 3/ });
    await contact.focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Between ball 1 and ball 3: 0.3 mm apart' }).waitFor();
    // What was told holds for the rack of before.
    await expect.poll(() => study().count()).toBe(0);
    await breakIt();
    await study().waitFor();
    expect(await valueOf('A ball down, no foul')).toBeLessThan(before - 20);
    await page.getByText(/A ball down: decided, less often than with/).waitFor();
  });

  it('maps places and paces, says which is best and why, and takes one up', async () => {
    await page.goto('/lab/break?level=title');
    const card = page.getByRole('region', { name: 'From where, how hard' });
    await card.getByRole('button', { name: 'Map it' }).click();
    await card.getByTestId('best-break').waitFor({ timeout: 120_000 });
    await reads(
      card.getByTestId('best-break'),
      /^Best: \d\.\d m\/s from \d+ mm off the right: a ball down in \d+ %/,
    );
    const best = await card.getByTestId('best-break').innerText();
    const cells = (await card.getByRole('cell').allInnerTexts()).map(Number);
    expect(cells).toHaveLength(55);
    const marked = Number(await card.locator('[data-best="true"]').innerText());
    expect(marked).toBe(Math.max(...cells));
    await card.locator('[data-best="true"]').click();
    // The stroke has that pace now; the map stays.
    const pace = /Best: (\d\.\d) m/.exec(best)?.[1] ?? '';
    await page.getByRole('region', { name: 'Stroke' }).getByText(`${pace}0 m/s`).waitFor();
    expect(await card.getByRole('cell').count()).toBe(55);
  });

  it('looks for the best break, says whether it is surely better, and takes it up', async () => {
    await page.goto('/lab/break?level=title');
    const card = page.getByRole('region', { name: 'The best break' });
    await card.getByRole('button', { name: 'Look for it' }).click();
    await reads(card.getByTestId('best-found'), /^Of \d{3} tried: .* \d\.\d m\/s, \d+ mm off the right/);
    await reads(card.getByTestId('best-found'), /(is worth \d+ \(±\d+\) more|Not decided against yours)/);
    const found = await card.getByTestId('best-found').innerText();
    const pace = /(\d\.\d) m\/s/.exec(found)?.[1] ?? '';
    await card.getByRole('button', { name: 'Use it' }).click();
    await page.getByRole('region', { name: 'Stroke' }).getByText(`${pace}0 m/s`).waitFor();
  });

  it('lays the four usual breaks side by side, and counts by a player’s own errors', async () => {
    await page.goto('/lab/break?level=title');
    const card = page.getByRole('region', { name: 'Side by side' });
    await card.getByRole('button', { name: 'Break all four' }).click();
    const row = card.getByRole('row', { name: /^A ball down, no foul/ });
    await row.waitFor();
    expect(await row.getByRole('cell').count()).toBe(4);
    await choose(page, 'as fitted to', 'Idris Pell');
    await page.getByText(/^Fitted from \d+ shots: /).waitFor();
    // Other errors are another question.
    await expect.poll(() => row.count()).toBe(0);
  });

  it('breaks once, slowly: contact by contact from the first one on', async () => {
    await page.goto('/lab/break?racker=tight');
    const card = page.getByRole('region', { name: 'One break, slowly' });
    await card.getByRole('button', { name: 'Break once' }).click();
    const contacts = card.getByTestId('contacts').getByRole('listitem');
    expect(await contacts.first().innerText()).toMatch(/^0\.00 ms: the cue ball presses 1, 100/);
    expect(await contacts.count()).toBeGreaterThan(12);
    await card.getByRole('img', { name: 'The rack 0.00 milliseconds after the first contact' }).waitFor();
    await card.getByRole('slider', { name: 'After the first contact' }).press('ArrowRight');
    await card.getByRole('img', { name: 'The rack 0.02 milliseconds after the first contact' }).waitFor();
    await reads(card.getByTestId('one-break'), /^(No ball|1 ball|\d balls) down/);
  });

  it('shows what the break tends to leave, and makes a drill of it', async () => {
    await page.goto('/lab/break?level=title');
    const card = page.getByRole('region', { name: 'What it tends to leave' });
    await card.getByRole('button', { name: 'See it' }).click();
    const first = card.getByRole('button', { name: /^A: \d+ % of them/ });
    await first.click();
    await page.getByText('A table as this break left it.').waitFor();
    const plan = await card.getByRole('link', { name: 'Plan table A' }).getAttribute('href');
    expect(plan).toMatch(/^\/lab\/order\?.*order=rotation/);
    await card.getByRole('button', { name: 'Make a drill of them' }).click();
    await page.waitForURL(/\/drills\/new/);
    await expect.poll(() => page.getByLabel('Title').inputValue()).toBe('What a break leaves');
    await page.getByText('Everything is there.').waitFor();
    for (const title of ['Table A', 'Table B', 'Table C'])
      await page.getByText(title, { exact: true }).waitFor();
  });

  it('hears how hard a break was from a recording, and refuses one that does not tell', async () => {
    await page.goto('/lab/break');
    const card = page.getByRole('region', { name: 'Pace by ear' });
    const [, mm = ''] = /runs (\d+) mm/.exec(await card.innerText()) ?? [];
    const made = {
      distance: Number(mm) / 1000,
      slowing: 0.2 * 9.81,
      noise: 0.001,
      echo: 0.2,
      voices: 0,
      strangers: 0,
    };
    const give = (speed: number, noise: number) =>
      card.locator('input[type="file"]').setInputFiles({
        name: 'break.wav',
        mimeType: 'audio/wav',
        buffer: Buffer.from(
          wavOf({ ...madeBreak({ ...made, speed, noise }, 44_100, createRandom(8)), rate: 44_100 }),
        ),
      });
    await give(7.4, 0.001);
    await reads(card.getByTestId('heard'), /^7\.[345] m\/s \(\d\.\d to \d\.\d in 95 of 100 cases\)/);
    const [heard = ''] = /^\d\.\d/.exec(await card.getByTestId('heard').innerText()) ?? [];
    await card.getByRole('button', { name: 'Take this pace' }).click();
    await page.getByRole('region', { name: 'Stroke' }).getByText(`${heard}0 m/s`).waitFor();
    await give(7.4, 0.06);
    await reads(card.getByTestId('heard'), /^Cannot tell/);
  });

  it('says which contact of the rack matters and for which ball, and opens it', async () => {
    await page.goto('/lab/break?level=title');
    const card = page.getByRole('region', { name: 'Which contact matters' });
    await card.getByRole('button', { name: 'Open each' }).click();
    const first = card.getByRole('listitem').first();
    await first.waitFor();
    const told = await first.innerText();
    expect(told).toMatch(/ball \d falls \d+ times (less|more)/);
    const [, a, b] = /Between (\d) and (\d)/.exec(told) ?? [];
    await first.getByRole('button').click();
    await page.getByRole('button', { name: `Between ball ${a} and ball ${b}: 0.1 mm apart` }).waitFor();
  });

  it('offers the rack of each table, and keeps the cue ball behind the line', async () => {
    await page.goto('/lab/break?table=snooker-12ft');
    await choose(page, 'Racked by', 'Poor hand');
    await page.waitForURL(/racker=poor\+hand/);
    await breakIt();
    await study()
      .getByRole('row', { name: /opponent’s best pot/ })
      .waitFor();
    const table = page.getByLabel('The table with the break');
    await table.focus();
    await page.keyboard.press('ArrowUp');
    await expect.poll(() => study().count()).toBe(0);
  });
});
