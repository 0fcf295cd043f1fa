import type { Page } from 'playwright-core';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { gradeOfHit } from '../core/counting/gradeOfHit.ts';
import { ballsOfSetUp, setUp } from '../core/drill/setUp.ts';
import { atStage } from '../core/drill/stage.ts';
import { simulate } from '../core/motion/simulate.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { drillSchema } from '../core/records/drill.ts';
import { middleOf } from '../core/shot/directions.ts';
import { hitOf } from '../core/shot/kicks/hit.ts';
import { kickFamilies } from '../core/shot/kicks/kickFamilies.ts';
import { kickShot } from '../core/shot/kicks/way.ts';
import { ball, cueBall, POOL, shotOf } from '../core/testing/balls.ts';
import { shotToLink } from '../web/table/labShot.ts';
import { choose, pixelOf, reads, startRound } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

/** The 1 behind the 2. */
const HIDDEN = [cueBall(0.6, 0.5), ball('1', 1.8, 0.7), ball('2', 0.75, 0.53), ball('3', 0.9, 0.2)];
const lines = () => page.getByRole('region', { name: 'Lines of this stroke' });

describe('a kick drill', () => {
  it('shows its lines when somebody asks, on its own table, and opens them in the lab', async () => {
    await page.goto('/drills/one-bounce?stage=1');
    const card = page.getByRole('region', { name: 'Lines' });
    await card.getByRole('button', { name: 'Find them' }).click();
    const first = card.getByRole('button', { name: /^1\. By the left rail/ });
    await first.waitFor();
    // One cushion is asked for, and no side: there is no other way.
    expect(await card.getByRole('button', { name: /^2\./ }).count()).toBe(0);
    expect(await first.innerText()).toContain('no english');
    await first.click();
    await page.getByRole('img', { name: 'The table with the ways to the ball' }).waitFor();
    await reads(card.getByTestId('line-facts'), /^Aim at diamond/);
    await card.getByRole('link', { name: 'Open in the lab' }).click();
    await page.waitForURL(/lab\/kick/);
    await lines()
      .getByRole('button', { name: /By the left rail/ })
      .first()
      .waitFor();
  });
});

describe('a kick at the table', () => {
  it('is read off two taps: what it leaves, and whether the ball was met; the coach has the last word', async () => {
    await startRound(page, 'Osric', 'replay', 1);
    const tap = async (x: number, y: number) => {
      const at = await pixelOf(page, { x, y }, 'landscape', 'snooker-12ft');
      await page.mouse.click(at.x, at.y);
    };
    const hint = page.locator('.scoring-hint');
    const leave = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}`), pressed: true });
    // Right behind a red that hangs over a corner: the opponent has it.
    await tap(3.1, 0.35);
    await reads(hint, /^Now tap where the red/);
    await tap(3.45, 0.1);
    await reads(hint, /best pot from there: \d+ %, wide open\..* Change what was otherwise/);
    await leave('Wide open').waitFor();
    await page.keyboard.press('2');
    await page.keyboard.press('Enter');
    await reads(page.getByTestId('shot'), '2 / 6');
    // Where the coach says otherwise, that counts.
    await tap(3.1, 0.35);
    await tap(3.45, 0.1);
    await page.keyboard.press('a');
    await leave('Nothing on').waitFor();
    await page.keyboard.press('u');
    await reads(page.getByTestId('shot'), '1 / 6');
  });
});

describe('a kick that went as the surest line has it', () => {
  it('is told from where both balls stopped, with its thickness, and kept by one key', async () => {
    const drill = atStage(
      drillSchema.validateSync(JSON.parse(readFileSync('library/one-bounce.drill.json', 'utf8'))),
      1,
    );
    const position = { table: POOL, balls: ballsOfSetUp(setUp(drill, POOL.preset, 1)), cue: 'cue' };
    const wish = { targets: ['1'], mostCushions: 1, cushions: ['left'], noSide: true };
    const [family] = kickFamilies(position, wish, executionErrorOf('team', 'pool'));
    if (family === undefined) throw new Error('no line');
    const result = simulate(kickShot(position, family.best.stroke, middleOf(family.best)), { paths: true });
    const grade = gradeOfHit(hitOf(result, 'cue'), 1);
    await startRound(page, 'Wren', 'one-bounce', 1);
    for (const id of ['cue', '1']) {
      const rest = result.rest.find((each) => each.id === id);
      if (rest === undefined) throw new Error(`there is no ball ${id}`);
      const at = await pixelOf(page, rest);
      await page.mouse.click(at.x, at.y);
    }
    await reads(page.locator('.scoring-hint'), /As the surest line has it\. Change what was otherwise\.$/);
    await page.getByRole('button', { name: `Keep “${grade}”` }).waitFor();
    await page.keyboard.press('Enter');
    await reads(page.getByTestId('shot'), '2 / 10');
    await reads(page.getByTestId('last-shot'), new RegExp(grade, 'i'));
  });
});

describe('called misses', () => {
  it('keep a running total of what they cost, and say which way they go', async () => {
    await startRound(page, 'Osric', 'replay', 1);
    const total = page.getByTestId('replays');
    for (const key of ['q', 'q', 'm']) await page.keyboard.press(key);
    await reads(total, 'This round: 3 misses called, 12 points given away.');
    for (const key of ['b', '1', 'a', 'Enter']) await page.keyboard.press(key);
    await reads(page.getByTestId('shot'), '2 / 6');
    await reads(total, 'This round: 2 misses called, 8 points given away.');
    for (const key of ['q', 'q']) await page.keyboard.press(key);
    await reads(
      total,
      /^This round: 4 misses called, 16 .* They go left \(4 of 4\): bring the cue ball farther to the right\.$/,
    );
  });
});

describe('the stations of a kick drill', () => {
  it('move the cue ball from one attempt to the next', async () => {
    await startRound(page, 'Wren', 'one-bounce', 1);
    const table = page.getByRole('img', { name: /One bounce: the balls/ });
    const rings = () =>
      table
        .locator('[data-station]')
        .evaluateAll((all) => all.map((each) => each.getAttribute('data-station')));
    await expect.poll(rings).toEqual(['2', '3', '4', '5']);
    await page.keyboard.press('1');
    await reads(page.getByTestId('shot'), '2 / 10');
    await expect.poll(rings).toEqual(['1', '3', '4', '5']);
  });
});

describe('a hidden ball that is made up', () => {
  it('lies where no straight hit is free, and has lines', async () => {
    await page.goto('/lab/kick');
    await choose(page, 'A hidden ball, made up', 'Easy: a team player hits 85 to 100 %');
    await page.getByRole('button', { name: 'Hide one' }).click();
    await page.getByText('no straight hit is free').waitFor();
    await page
      .getByText(/met (8[5-9]|9\d|100) %/)
      .first()
      .waitFor();
  });
});

describe('the bench for kicks', () => {
  it('tries rules of thumb, tells how far off they are and from where they hold, and prints a card', async () => {
    const from = cueBall(0.6, 0.3);
    const target = ball('1', 1.8, 0.45);
    await page.goto(`/lab/kick?shot=${shotToLink(shotOf(POOL, [from, target]))}`);
    const rules = page.getByRole('region', { name: 'Rules of thumb' });
    await rules.getByRole('button', { name: 'Try them' }).click();
    const equal = rules.getByRole('button', { name: /^Equal angles by the (head|foot) rail/ }).first();
    await equal.click();
    const told = await equal.innerText();
    expect(told).toMatch(/(Meets|Misses) the ball.* \d+ mm (long|short) of its middle/s);
    const facts = rules.getByTestId('thumb-facts');
    const [says = NaN, here = NaN] = [
      ...(await facts.innerText()).matchAll(/diamond (\d\.\d\d) of the/g),
    ].map((found) => Number(found[1]));
    // Mirrored by the rail the target lies as far behind it: the cue's line meets the nose on the way.
    const isHead = told.includes('head');
    const nose = isHead ? 0 : POOL.length;
    const turn = isHead ? from.radius : POOL.length - from.radius;
    const mirrored = 2 * turn - target.x;
    const across = from.y + ((target.y - from.y) * (nose - from.x)) / (mirrored - from.x);
    expect(says).toBeCloseTo((4 * across) / POOL.width, 1);
    expect(Math.abs(says - here)).toBeLessThan(1);
    await facts.getByLabel('From where it can be trusted').check({ force: true });
    await reads(rules.getByTestId('trusted'), /meets this ball from \d+ % of the places/);
    await rules.getByRole('list', { name: 'Key to the map' }).waitFor();
    // A ball that is moved gets its own answers.
    await rules.getByText('Firm').click();
    await equal.waitFor();
    await rules.getByRole('link', { name: /^A card of this table/ }).click();
    await page.getByRole('heading', { name: 'Kicks on this table' }).waitFor();
    const corner = page.getByRole('table', { name: 'To the corner' });
    const firm = (await corner.getByRole('row', { name: /^firm/ }).getByRole('cell').allInnerTexts()).slice(
      1,
    );
    // The farther the cue ball is from the corner, the farther the aim.
    expect(firm.map(Number)).toEqual(firm.map(Number).sort((a, b) => a - b));
    expect(firm.length).toBe(5);
  });

  it('shows the lines to a hidden ball, where to aim, and what comes of them', async () => {
    const shot = shotToLink(shotOf(POOL, HIDDEN, { speed: 2.4 }));
    await page.goto(`/lab/kick?${new URLSearchParams({ shot }).toString()}`);
    await reads(page.getByTestId('seen'), 'The 1 cannot be seen; no straight hit is free.');
    await reads(
      page.getByTestId('line-facts'),
      /^Aim at diamond \d\.\d\d of the .+ rail, \d+ mm wide there\. In the middle it covers/,
    );
    const second = lines().getByRole('button', { name: /^2\. By the/ });
    const told = (await second.innerText()).split('\n')[0] ?? '';
    await second.click();
    await lines().getByRole('button', { name: told, pressed: true }).waitFor();
    await lines().getByRole('button', { name: 'Play it' }).click();

    // By one cushion only, fewer lines; a ball that lies open is met straight.
    await choose(page, 'Rails at most', '1');
    await page.waitForURL(/cushions=1/);
    await expect
      .poll(() =>
        lines()
          .getByRole('button', { name: /and the/ })
          .count(),
      )
      .toBe(0);
    await choose(page, 'Ball to be met', '3');
    await reads(page.getByTestId('seen'), 'The 3 lies open.');
    await lines()
      .getByRole('button', { name: /Straight/ })
      .waitFor();
  });

  it('finds the best of all strokes, takes it up, and comes back', async () => {
    const shot = shotToLink(shotOf(POOL, HIDDEN, { speed: 5.5 }));
    await page.goto(`/lab/kick?${new URLSearchParams({ shot, cushions: '1', level: 'match' }).toString()}`);
    const best = page.getByRole('region', { name: 'Best of all strokes' });
    await best.getByRole('button', { name: 'Find it' }).click();
    const first = best.getByRole('button', { name: /^1\. / });
    await first.waitFor();
    const [way = '', stroke = ''] = (await first.innerText()).split('\n').filter((line) => line !== '');
    const pace = stroke.match(/^(\d\.\d) m\/s/)?.[1] ?? '';
    await first.click();
    await page.getByRole('region', { name: 'Stroke', exact: true }).getByText(`${pace}0 m/s`).waitFor();
    await lines()
      .getByRole('button', { name: way.replace(/^1\. /, ''), pressed: true })
      .waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('region', { name: 'Stroke', exact: true }).getByText('5.50 m/s').waitFor();
  });
});
