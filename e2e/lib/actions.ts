import type { Locator, Page } from 'playwright-core';
import type { Point } from '../../core/math/point.ts';
import { isPositionDrill, type PositionDrill } from '../../core/drill/positionDrill.ts';
import { plannedStroke } from '../../core/drill/plannedShot.ts';
import { ballsOfSetUp, setUp } from '../../core/drill/setUp.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import { simulate } from '../../core/motion/simulate.ts';
import { openRoundSchema } from '../../core/records/openRound.ts';
import { drillSchema } from '../../core/records/drill.ts';
import type { PresetId } from '../../core/table/preset.ts';
import { buildTable } from '../../core/table/table.ts';
import { projectionOf, type Orientation } from '../../web/table/projection.ts';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect } from 'vitest';

/** A drill of the library as its file has it. */
export function readText(slug: string): string {
  return readFileSync(path.join('library', `${slug}.drill.json`), 'utf8');
}

export function readDrill(slug: string): PositionDrill {
  const text = readText(slug);
  const drill = drillSchema.validateSync(JSON.parse(text));
  if (!isPositionDrill(drill)) throw new RangeError(`${slug} is no position drill`);
  return drill;
}

/** Where a drill's balls are set on one of the demo's pool tables, metres. */
export function readLayout(slug: string): readonly BallOnTable[] {
  const text = readFileSync(path.join('library', `${slug}.drill.json`), 'utf8');
  const drill = drillSchema.validateSync(JSON.parse(text));
  return ballsOfSetUp(setUp(drill, buildTable('pool-9ft').preset, 1));
}

/** Where the planned stroke of a drill ends, metres. */
export function plannedLanding(slug: string): Point {
  const drill = readDrill(slug);
  return plannedStroke(drill, buildTable(drill.table)).landing;
}

/** Where it ends at another pace, metres. @param factor share of the planned speed */
export function landingAt(slug: string, factor: number): Point {
  const drill = readDrill(slug);
  const { shot } = plannedStroke(drill, buildTable(drill.table));
  const strike = { ...shot.strike, speed: shot.strike.speed * factor };
  const cue = simulate({ ...shot, strike }).rest.find(({ id }) => id === strike.ball);
  if (cue === undefined) throw new Error('no cue ball');
  return { x: cue.x, y: cue.y };
}

/** The pixel of the page at which a place of the cloth is drawn. */
export async function pixelOf(
  page: Page,
  place: Point,
  orientation: Orientation = 'landscape',
  preset: PresetId = 'pool-9ft',
): Promise<{ readonly x: number; readonly y: number }> {
  const box = await page.locator('svg.table-drawing').boundingBox();
  if (box === null) throw new Error('no table is drawn');
  const projection = projectionOf(buildTable(preset), orientation);
  const [u, v] = projection.toDrawing(place);
  // The drawing is centred in its box and keeps its shape.
  const scale = Math.min(box.width / projection.width, box.height / projection.height);
  return {
    x: box.x + (box.width - scale * projection.width) / 2 + u * scale,
    y: box.y + (box.height - scale * projection.height) / 2 + v * scale,
  };
}

/** Drags on the drawn table of a pool table, from one place of the cloth to another. */
export async function dragOnTable(page: Page, from: Point, to: Point): Promise<void> {
  const [a, b] = [await pixelOf(page, from), await pixelOf(page, to)];
  await page.mouse.move(a.x, a.y);
  await page.mouse.down();
  await page.mouse.move((a.x + b.x) / 2, (a.y + b.y) / 2, { steps: 4 });
  await page.mouse.move(b.x, b.y, { steps: 4 });
  await page.mouse.up();
}

export async function signIn(page: Page, name: RegExp = /Morwenna/): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name }).click();
  await page.getByRole('heading', { name: /^Today/ }).waitFor();
}

/**
 * Chooses in a list by its label. It waits for what the page is still loading: a list that is open closes when its
 * field is pushed out of sight.
 * @param options the names of what to choose, one after the other
 */
export async function choose(
  page: Page,
  label: string | RegExp,
  ...options: readonly (string | RegExp)[]
): Promise<void> {
  const field = page.getByRole('combobox', { name: label });
  await field.waitFor();
  const loading = page.getByRole('status').filter({ hasText: /^Loading/ });
  await page.locator('body').filter({ hasNot: loading }).waitFor();
  const pick = async (option: string | RegExp) => {
    if ((await field.getAttribute('aria-expanded')) !== 'true') await field.click();
    await page.getByRole('option', { name: option }).first().click({ timeout: 10_000 });
  };
  // A page that was still loading draws its lists anew: then it is opened again, once.
  for (const option of options) await pick(option).catch(() => pick(option));
  // A list of several stays open until it is closed.
  if ((await field.getAttribute('aria-expanded')) === 'true') await page.keyboard.press('Escape');
}

/** How many stages a drill of the library has. */
function stagesOf(slug: string): number {
  return drillSchema.validateSync(JSON.parse(readText(slug))).stages.length;
}

/** Chooses player and drill in the lesson room and starts; waits until the table is there. @param stage the last where it is left out */
export async function startRound(
  page: Page,
  player: string,
  drill = 'harbour-turn',
  stage = stagesOf(drill),
): Promise<void> {
  await page.goto(`/lesson/round?drill=${drill}&stage=${stage}`);
  await choose(page, 'Player', player);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByTestId('shot').waitFor();
}

export function points(page: Page): Locator {
  return page.getByTestId('points');
}

/** Waits until a text element reads as expected. */
export async function reads(locator: Locator, text: string | RegExp): Promise<void> {
  await locator.filter({ hasText: typeof text === 'string' ? new RegExp(`^${text}$`) : text }).waitFor();
}

/** Waits until the server has as many standing attempts of the round as expected. */
export async function storedAttempts(page: Page, count: number): Promise<void> {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const stored = async () => {
    const response = await page.request.get(`/api/rounds/${id}`);
    if (!response.ok()) return -1;
    const { round } = await openRoundSchema.validate(await response.json());
    return round.attempts.length;
  };
  await expect.poll(stored, { timeout: 25_000, interval: 150 }).toBe(count);
}
