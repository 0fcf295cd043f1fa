import type { Page } from 'playwright-core';
import type { Point } from '../core/math/point.ts';
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

const drag = (from: Point, to: Point) => dragOnTable(page, from, to);

/** The whole search is done when nothing is looked for any more. */
async function routesFound() {
  await routes().and(page.locator('[aria-busy="false"]')).waitFor();
  return routes().getByRole('button', { name: 'Take' }).count();
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
    await routes().getByRole('button', { name: 'Take' }).nth(1).click();
    await page
      .getByRole('region', { name: 'Stroke' })
      .getByText(new RegExp(`^${second}\\d m/s`))
      .waitFor();
    await routes().getByRole('button', { name: 'Beside' }).first().click();
    expect(await routes().getByRole('button', { name: 'Beside' }).first().getAttribute('aria-pressed')).toBe(
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
    await strokes.and(page.locator('[aria-busy="false"]')).waitFor();
    expect(await strokes.getByRole('button', { name: 'Take' }).count()).toBeGreaterThan(0);
    await tool('Wanted line');
    await drag({ x: 1.9, y: 0.65 }, { x: 1.3, y: 0.85 });
    await page.getByText(/^Lit: from here a plain pot of the \d/).waitFor();
    await page.getByRole('button', { name: 'One shot earlier' }).click();
    await page.getByText('Lit: from here a plain pot of the ball before').waitFor();
    await tool('Move balls');
  });

  it('answers for a plant, a double and a cluster', async () => {
    const more = page.getByRole('region', { name: 'Ask further' });
    await more.getByRole('button', { name: /^Bank the/ }).click();
    await more.getByText(/No pace doubles it|Second meeting/).waitFor();
    await more.getByRole('button', { name: /^Combination by way of/ }).click();
    await more.getByText(/^No hit on the|^Hit the/).waitFor();
    await more.getByRole('button', { name: /^Open the next balls/ }).click();
    await more.getByText(/No plain stroke carries|A ball on after/).waitFor();
  });

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
    await page.goto('/drills/harbour-turn');
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
