import type { Page } from 'playwright-core';
import { bearing, type Point } from '../core/math/point.ts';
import { positionAt } from '../core/motion/path.ts';
import type { BallOnTable } from '../core/motion/shot.ts';
import { aimToPot } from '../core/shot/aim.ts';
import type { PocketName } from '../core/table/pockets.ts';
import { pocketNamed } from '../core/table/table.ts';
import { ball, cueBall, POOL, shotOf } from '../core/testing/balls.ts';
import { shotToLink } from '../web/table/labShot.ts';
import { describe, expect, it } from 'vitest';
import { choose, dragOnTable, reads, startRound } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const routes = () => page.getByRole('region', { name: 'Routes to the next ball' });
const facts = () => page.getByRole('region', { name: 'This shot' });
const tool = (name: string) =>
  page.getByRole('radiogroup', { name: 'What a drag does' }).getByText(name, { exact: true }).click();

/** The address of the page with a position and what is asked of it. */
function asking(balls: readonly BallOnTable[], pot: string, pocket: PocketName, next: string): string {
  const params = new URLSearchParams({ pot, pocket, next, shot: shotToLink(shotOf(POOL, balls)) });
  return `/lab/position?${params.toString()}`;
}

/** Where the cue ball is some seconds after it met the ball that it pots. */
function wayAfter(balls: readonly BallOnTable[], pot: string, pocket: PocketName, seconds: number): Point {
  const stroke = { ball: 'cue', speed: 2.6, tip: { side: 0, height: 0 }, elevation: 0 };
  const aim = aimToPot(POOL, balls, stroke, pot, pocket);
  if (aim.kind !== 'pots') throw new Error(aim.reason);
  const met = aim.result.events.find(({ kind }) => kind === 'ball-ball')?.t ?? NaN;
  const way = aim.result.paths?.find(({ id }) => id === 'cue');
  if (way === undefined) throw new Error('no path');
  return positionAt(way, met + seconds);
}

const drag = (from: Point, to: Point) => dragOnTable(page, from, to);

/** The whole search is done when nothing is looked for any more. */
async function routesFound() {
  await routes().and(page.locator('[aria-busy="false"]')).waitFor();
  await routes().getByRole('button', { name: 'Use it' }).first().waitFor();
  return routes().getByRole('button', { name: 'Use it' }).count();
}

describe('a position before the shot', () => {
  it('is told in figures and in a sentence, with its routes side by side', async () => {
    await page.goto('/lab/position');
    await reads(
      page.getByTestId('summary'),
      /^[A-Z].*: you are on the \d (for \d+ cm of the path, )?\d+ %? ?of the time/,
    );
    expect(await routesFound()).toBeGreaterThan(1);
    for (const fact of [
      /Cut\s*\d+°/,
      /Pocket takes\s*±\d+\.\d°, ±\d+ mm/,
      /Your line\s*±\d\.\d\d°/,
      /Scratch\s*(no|yes|too close)/,
    ]) {
      await facts().filter({ hasText: fact }).waitFor();
    }
    await facts()
      .getByText(/thick|thin|hardly ever/)
      .first()
      .waitFor();
  });

  it('takes a route, also by its number, and shows another beside it', async () => {
    await routesFound();
    const pace = async (row: number) =>
      (await routes().getByRole('row').nth(row).getByRole('cell').nth(2).textContent())?.replace(
        ' m/s',
        '',
      ) ?? '';
    const second = await pace(2);
    await routes().getByRole('button', { name: 'Use it' }).nth(1).click();
    await page
      .getByRole('region', { name: 'Stroke' })
      .getByText(new RegExp(`^${second}\\d m/s`))
      .waitFor();
    await routes().getByRole('button', { name: 'Compare' }).first().click();
    expect(await routes().getByRole('button', { name: 'Compare' }).first().getAttribute('aria-pressed')).toBe(
      'true',
    );
    const first = await pace(1);
    await page.getByRole('application').focus();
    await page.keyboard.press('1');
    await page
      .getByRole('region', { name: 'Stroke' })
      .getByText(new RegExp(`^${first}\\d m/s`))
      .waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page
      .getByRole('region', { name: 'Stroke' })
      .getByText(new RegExp(`^${second}\\d m/s`))
      .waitFor();
  });

  it('answers at once when a ball is moved, and says why a pot is not on', async () => {
    const cut = () =>
      facts()
        .getByText(/^\d+°, /)
        .textContent();
    const before = await cut();
    await drag({ x: 0.3 * 2.54, y: 0.4 * 1.27 }, { x: 0.8, y: 0.9 });
    await expect.poll(cut).not.toBe(before);
    // Behind the ball there is no way to send it there.
    await drag({ x: 0.8, y: 0.9 }, { x: 2.4, y: 0.15 });
    await facts()
      .getByText(/No cut is thin enough|Something is in the way/)
      .waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await facts()
      .getByText(/^\d+°, /)
      .waitFor();
  });

  it('finds the stroke to a wanted landing, and lights up from where a painted line comes by itself', async () => {
    await tool('Wanted landing');
    await drag({ x: 1.6, y: 0.9 }, { x: 1.9, y: 1.0 });
    const strokes = page.getByRole('region', { name: 'Strokes to the wanted landing' });
    await strokes.getByRole('button', { name: 'Use it' }).first().waitFor();
    await tool('Wanted line');
    await drag({ x: 1.9, y: 0.65 }, { x: 1.3, y: 0.85 });
    await page.getByText(/^Lit: from here a plain pot of the \d/).waitFor();
    await page.getByRole('button', { name: 'One shot earlier' }).click();
    await page.getByText('Lit: from here a plain pot of the ball before').waitFor();
    await tool('Move balls');
  });

  it('answers for a plant, a double and a cluster', async () => {
    const more = page.getByRole('region', { name: 'Ask further' });
    // A ball a cushion's length from its pocket: soft does not come all the way, firmer does.
    await page.goto(
      asking([cueBall(0.75, 0.35), ball('1', 0.95, 0.8), ball('2', 2, 0.6)], '1', 'middle-right', '2'),
    );
    await more.getByRole('button', { name: /^Bank the 1/ }).click();
    await more.getByRole('row', { name: /^1\.5 m\/s no way/ }).waitFor();
    await more.getByRole('row', { name: /^2\.2 m\/s .*±\d/ }).waitFor();

    // Two touching balls in line with the corner, the cue ball behind them.
    const { mouth } = pocketNamed(POOL, 'foot-left');
    const second = ball('2', 2.1, 0.85);
    const line = bearing(second, mouth);
    const behind = (by: number) => [second.x - by * Math.cos(line), second.y - by * Math.sin(line)] as const;
    const touching = 2 * second.radius;
    const first = ball('1', ...behind(touching));
    await page.goto(asking([cueBall(...behind(touching + 0.55)), first, second], '2', 'foot-left', '1'));
    await more.getByRole('button', { name: /^Combination by way of the 1/ }).click();
    await more.getByText(/^Hit the 1 full/).waitFor();
    await more.getByText('The balls lie 0.0 mm apart').waitFor();

    // Two balls where the cue ball comes off the pot, and one further that is on anyhow.
    const pot = [cueBall(1.5, 1.12), ball('1', 1.9, 1)];
    const met = wayAfter(pot, '1', 'foot-left', 0.33);
    const pair = [2, 4].map((radii, i) =>
      ball(String(5 + i), met.x + 0.02, met.y - radii * 1.01 * second.radius),
    );
    await page.goto(asking([...pot, ...pair], '1', 'foot-left', '5,6'));
    await more.getByRole('button', { name: /^Open the next balls/ }).click();
    await more
      .getByRole('row', { name: /the [56] at \d\.\d m\/s/ })
      .first()
      .waitFor();
  }, 120_000);

  it('comes with a word of care for a raised butt', async () => {
    const butt = page.getByRole('slider', { name: 'Butt raised' });
    await butt.focus();
    await page.keyboard.press('End');
    await page.getByRole('alert').getByText('mind eyes and glass').waitFor();
    await page.keyboard.press('Home');
    await page.getByRole('alert').getByText('mind eyes and glass').waitFor({ state: 'detached' });
  });

  it('is that of a player as fitted, and has an address', async () => {
    await choose(page, 'as fitted to', 'Ansel Brook');
    await page.getByText(/^Fitted from \d+ shots: line ±\d\.\d\d°, pace ±\d+ %/).waitFor();
    await choose(page, 'A player of', 'Title');
    await page.waitForURL(/level=title/);
    await page.getByRole('button', { name: 'Link' }).click();
    await page.waitForURL(/shot=/);
    expect(page.url()).toContain('level=title');
    await page.reload();
    await page.getByRole('combobox', { name: 'A player of' }).and(page.locator('[value="Title"]')).waitFor();
    expect(await routesFound()).toBeGreaterThan(0);
  });

  it('is opened from a drill’s page and from the scoring screen with their shot in it', async () => {
    await page.goto('/drills/harbour-turn?stage=2');
    await page.getByRole('link', { name: 'Think it through in the lab' }).click();
    await page.waitForURL(/\/lab\/position\?pot=1&/);
    await facts()
      .getByText(/^\d+°, /)
      .waitFor();
    await startRound(page, 'Petra Nightingale');
    await page.getByRole('link', { name: 'Think it through' }).click();
    await page.waitForURL(/\/lab\/position\?pot=1&/);
    expect(await routesFound()).toBeGreaterThan(0);
    await page.goBack();
    await page.getByRole('button', { name: /^Potted/ }).waitFor();
  });

  it('gives a drill its planned stroke', async () => {
    await page.goto('/drills/new?from=harbour-turn');
    await page.getByRole('tab', { name: 'Task', exact: true }).click();
    const stroke = page.getByRole('region', { name: 'Stroke', exact: true });
    const before = await stroke.getByText(/m\/s/).first().textContent();
    await page.getByRole('button', { name: 'Find strokes' }).click();
    const found = page.getByRole('region', { name: 'Strokes that the planner finds' });
    await found.getByRole('button', { name: 'Plan it' }).nth(1).click();
    await expect.poll(() => stroke.getByText(/m\/s/).first().textContent()).not.toBe(before);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => stroke.getByText(/m\/s/).first().textContent()).toBe(before);
  });
});
