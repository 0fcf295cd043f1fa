import AxeBuilder from '@axe-core/playwright';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { cornersOf, furtherLandmarks } from '../core/photo/marks.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { buildTable } from '../core/table/table.ts';
import { drawnAt, renderedPng, type DrawnBall, type Viewpoint } from '../scripts/lib/renderedTable.ts';
import { shotFromLink } from '../web/table/labShot.ts';
import { choose, startRound, storedAttempts } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const table = buildTable('pool-9ft');
const { ballRadius: radius } = table.preset;
const BALLS: readonly DrawnBall[] = [
  { x: 0.6, y: 0.4, radius, colour: [245, 243, 235] },
  { x: 1.5, y: 0.9, radius, colour: [236, 190, 40] },
  { x: 1.5 + 2.02 * radius, y: 0.9, radius, colour: [200, 44, 40] },
  { x: 2.1, y: 0.3, radius, colour: [34, 70, 160] },
];
/** From the foot end, held up. */
const VIEW: Viewpoint = {
  eye: [3.1, 0.9, 1.7],
  towards: [1.2, 0.63, 0],
  roll: 0.03,
  focal: 0.6,
  distortion: -0.02,
  width: 1600,
  height: 1200,
};

async function openPicture(): Promise<void> {
  await page.goto('/lab/photo?table=pool-9ft');
  await choosePicture();
}

async function choosePicture(): Promise<void> {
  const [choosing] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take or choose a picture' }).click(),
  ]);
  await choosing.setFiles({
    name: 'table.png',
    mimeType: 'image/png',
    buffer: Buffer.from(renderedPng(table, BALLS, VIEW)),
  });
  await page.getByRole('group', { name: 'The picture with its marks' }).waitFor();
}

/** Where a pixel of the picture stands on the page. */
async function onPage([across, down]: readonly [number, number]) {
  return page.locator('svg.photo-marks').evaluate(
    (svg, [x, y]) => {
      const matrix = svg instanceof SVGSVGElement ? svg.getScreenCTM() : null;
      const at = new DOMPoint(x, y).matrixTransform(matrix ?? undefined);
      return { x: at.x, y: at.y };
    },
    [across, down] as [number, number],
  );
}

async function dragTo(handle: string, pixel: readonly [number, number]): Promise<void> {
  const box = await page.getByRole('button', { name: handle, exact: true }).boundingBox();
  if (box === null) throw new Error(`${handle} is not drawn`);
  // The label is part of it: the ring is in the left lower part.
  const ring = await page
    .getByRole('button', { name: handle, exact: true })
    .locator('.photo-ring')
    .boundingBox();
  if (ring === null) throw new Error(`${handle} has no ring`);
  const to = await onPage(pixel);
  await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
}

const seenAt = ({ at }: { readonly at: { readonly x: number; readonly y: number; readonly z: number } }) =>
  drawnAt(VIEW, [at.x, at.y, at.z]);

async function markCorners(): Promise<void> {
  for (const corner of cornersOf(table)) {
    const [end = '', side = ''] = corner.name.split('-');
    await dragTo(`Corner: ${end} ${side}`, seenAt(corner));
  }
}

/** The balls that a link of the lab carries. */
async function ballsLinked(name: string) {
  const href = (await page.getByRole('link', { name, exact: true }).getAttribute('href')) ?? '';
  const shot = shotFromLink(new URLSearchParams(href.split('?')[1]).get('shot') ?? '');
  return shot?.balls ?? [];
}

describe('a picture of a table', () => {
  it('becomes a position: corners dragged, balls found, each within a fifth of a ball', async () => {
    await openPicture();
    await markCorners();
    await page.getByRole('button', { name: 'Find the balls' }).click();
    await page
      .getByTestId('photo-error')
      .getByText(/^4 balls, right to ±\d+ mm at worst; no mark was left/)
      .waitFor();
    for (const further of furtherLandmarks(table).slice(0, 5)) {
      await page.getByText('More marks', { exact: true }).click();
      const [, which = ''] = further.name.split(' ');
      await choose(page, 'Which mark', further.name.startsWith('spot') ? `${which} spot` : /edge of the/);
      const to = await onPage(seenAt(further));
      await page.mouse.click(to.x, to.y);
    }
    await page
      .getByTestId('photo-error')
      .getByText(/by the marks that were not used\.$/)
      .waitFor();
    await expect.poll(async () => (await ballsLinked('To the stroke')).length).toBe(4);
    const read = await ballsLinked('To the stroke');
    for (const ball of BALLS) {
      const off = Math.min(...read.map(({ x, y }) => Math.hypot(x - ball.x, y - ball.y)));
      expect(off).toBeLessThan(0.2 * 2 * radius);
    }
    const cue = read.find(({ id }) => id === 'cue');
    expect(Math.hypot((cue?.x ?? 0) - 0.6, (cue?.y ?? 0) - 0.4)).toBeLessThan(0.2 * 2 * radius);
    const { violations } = await new AxeBuilder({ page }).options({ preload: false }).analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
    await page.getByRole('link', { name: 'Order of the table' }).click();
    await page.waitForURL(/\/lab\/order\?shot=/);
    await page.getByText('a chance of').first().waitFor();
  });

  it('a ball is added by a tap, moved by keys, named and taken away', async () => {
    await openPicture();
    await markCorners();
    await page.getByText('Balls', { exact: true }).click();
    const at = await onPage(drawnAt(VIEW, [2.1, 0.3, radius]));
    await page.mouse.click(at.x, at.y);
    await page.getByRole('button', { name: 'Cue ball', exact: true }).waitFor();
    await choose(page, 'This ball is', '8');
    await expect.poll(async () => (await ballsLinked('To the stroke')).map(({ id }) => id)).toContain('8');
    const before = (await ballsLinked('To the stroke')).find(({ id }) => id === '8');
    expect(Math.hypot((before?.x ?? 0) - 2.1, (before?.y ?? 0) - 0.3)).toBeLessThan(0.4 * radius);
    await page.getByRole('button', { name: 'Ball 8', exact: true }).focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowUp');
    await expect
      .poll(async () => (await ballsLinked('To the stroke')).find(({ id }) => id === '8')?.x ?? 9)
      .toBeLessThan((before?.x ?? 0) - 0.02);
    await page.getByRole('button', { name: 'No ball' }).click();
    await page.getByText('The balls appear here as they are found.').waitFor();
  });

  it('is kept on this device if a coach says so, opened again with its marks, thrown away and brought back', async () => {
    await openPicture();
    await markCorners();
    await page.getByRole('button', { name: 'Find the balls' }).click();
    await expect.poll(async () => (await ballsLinked('To the stroke')).length).toBe(4);
    const before = await ballsLinked('To the stroke');
    await page.getByRole('button', { name: 'Keep it on this device' }).click();
    await page.getByText('With its marks, until you throw it away. It is in no backup.').waitFor();
    await page.goto('/lab/photo?table=pool-9ft');
    const kept = page.getByRole('group', { name: 'Kept pictures' });
    await kept.getByRole('button', { name: /^\d.*, 4 balls$/ }).click();
    await page.getByRole('group', { name: 'The picture with its marks' }).waitFor();
    await expect.poll(() => ballsLinked('To the stroke')).toEqual(before);
    // It is not offered for another kind of table.
    await page.goto('/lab/photo?table=snooker-12ft');
    await page.getByRole('button', { name: 'Take or choose a picture' }).waitFor();
    expect(await kept.count()).toBe(0);
    await page.goto('/lab/photo?table=pool-9ft');
    await kept.getByRole('button', { name: /^Throw away: / }).click();
    await expect.poll(() => kept.getByRole('button', { name: /4 balls$/ }).count()).toBe(0);
    await kept.getByRole('button', { name: 'Bring it back' }).click();
    await kept.getByRole('button', { name: /^Throw away: / }).click();
    await kept.getByText('The picture is thrown away.').waitFor();
    await page.goto('/lab/photo?table=pool-9ft');
    await page.getByRole('button', { name: 'Take or choose a picture' }).waitFor();
    expect(await kept.count()).toBe(0);
  });

  it('tells where the cue ball stopped in a round, by one tap', async () => {
    const name = `Newcomer ${randomUUID().slice(0, 4)}`;
    const made = await page.request.post('/api/players', {
      data: { name, hand: 'right', email: null, password: null },
    });
    expect(made.ok(), await made.text()).toBe(true);
    await startRound(page, name, 'anchor-drop', 1);
    await page.getByRole('button', { name: 'From a picture' }).click();
    const take = page.getByRole('button', { name: 'Potted, and the cue ball stopped here' });
    expect(await take.count()).toBe(0);
    await choosePicture();
    await markCorners();
    await page.getByRole('button', { name: 'Find the balls' }).click();
    await page.getByTestId('photo-error').waitFor();
    await take.click();
    await storedAttempts(page, 1);
    const round = new URL(page.url()).pathname.split('/').pop() ?? '';
    const { round: open } = openRoundSchema.validateSync(
      await (await page.request.get(`/api/rounds/${round}`)).json(),
    );
    const landing = open.attempts[0]?.log.shots[0]?.landing;
    expect(Math.hypot((landing?.x ?? 0) - 0.6, (landing?.y ?? 0) - 0.4)).toBeLessThan(0.2 * 2 * radius);
  });

  it('corners that go round the wrong way are told, and a file that is no picture', async () => {
    await openPicture();
    await page.getByRole('group', { name: 'The picture with its marks' }).waitFor();
    const [right, left] = cornersOf(table);
    if (right === undefined || left === undefined) throw new Error('no corners');
    const [farRight, farLeft] = [seenAt(right), seenAt(left)];
    await markCorners();
    await dragTo('Corner: head right', farLeft);
    await dragTo('Corner: head left', farRight);
    await page.getByText(/^This cannot be a table: /).waitFor();
    const [choosing] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Another picture' }).click(),
    ]);
    await choosing.setFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await page.getByText('notes.png is no picture that this browser can read.').waitFor();
  });
});
