import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { poseFromSeed } from '../core/judgement/pose.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { buildTable } from '../core/table/table.ts';
import { choose, pixelOf, plannedLanding, points, readLayout, reads, startRound } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

/** One full round of every counting method, quickly and shot by shot; the sums are worked out beside each. */

let page: Page;
signedIn((opened) => (page = opened));

/** Presses keys one after the other; _ is the space bar. */
async function press(keys: string): Promise<void> {
  for (const key of keys.split(' ')) await page.keyboard.press(key === '_' ? 'Space' : key);
}

function roundId(): string {
  return new URL(page.url()).pathname.split('/').at(-1) ?? '';
}

async function told() {
  // The first request may be on its way still.
  await expect
    .poll(async () => (await page.request.get(`/api/rounds/${roundId()}`)).ok(), { timeout: 20_000 })
    .toBe(true);
  const response = await page.request.get(`/api/rounds/${roundId()}`);
  return openRoundSchema.validate(await response.json());
}

/** Waits until the screen and the server both have the result, and the round is over. */
async function comesTo(value: string, result: object): Promise<void> {
  await reads(points(page), value.replace('>', '\\>'));
  await expect.poll(async () => (await told()).round, { timeout: 20_000 }).toMatchObject({ result });
  await expect.poll(async () => (await told()).round.endedAt, { timeout: 20_000 }).not.toBeNull();
}

async function quickly(): Promise<void> {
  const toQuick = page.getByRole('button', { name: /^Log the result only/ });
  const toFull = page.getByRole('button', { name: /^Log shot by shot/ });
  await toQuick.or(toFull).waitFor();
  if (await toQuick.isVisible()) await toQuick.click();
  await toFull.waitFor();
}

async function shotByShot(): Promise<void> {
  const toQuick = page.getByRole('button', { name: /^Log the result only/ });
  const toFull = page.getByRole('button', { name: /^Log shot by shot/ });
  await toQuick.or(toFull).waitFor();
  if (await toFull.isVisible()) await toFull.click();
  await toQuick.waitFor();
}

const CLEARED = { complete: true };

describe('attempts to clear: the third try clears', () => {
  it('quickly', async () => {
    await startRound(page, 'Wren', 'break-the-ice', 1);
    await quickly();
    await press('x x');
    await reads(points(page), '> 2');
    await press('_');
    await comesTo('3', { value: 3, unit: 'tries', censored: false, ...CLEARED });
  });
  it('shot by shot', async () => {
    await startRound(page, 'Wren', 'break-the-ice', 1);
    await shotByShot();
    // A miss; two balls and the cue ball lost; then all five.
    await press('x 1 2 f 5 4 3 2 1');
    await comesTo('3', { value: 3, unit: 'tries', censored: false, ...CLEARED });
  });
});

describe('balls made: 2 + 0 + 4 + 1 over four trials', () => {
  it('quickly', async () => {
    await startRound(page, 'Wren', 'far-shores', 1);
    await quickly();
    await press('2 0 _ 1');
    await comesTo('7', { value: 7, unit: 'balls', ...CLEARED });
  });
  it('shot by shot, and the review says why it went wrong', async () => {
    await startRound(page, 'Wren', 'far-shores', 1);
    await shotByShot();
    // In rotation a ball that falls with the lowest stays down and counts: the 1 takes the 3 along.
    const three = readLayout('far-shores').find(({ id }) => id === '3');
    const at = await pixelOf(page, three ?? { x: 0, y: 0 });
    await press('1 a');
    await page.mouse.click(at.x, at.y);
    await reads(page.getByTestId('under-way'), /2 made/);
    await press('x');
    await page.getByRole('button', { name: 'Why?' }).click();
    await page.getByRole('button', { name: 'Too hard' }).click();
    await page.keyboard.press('Escape');
    await press('x 1 2 3 4 1 f');
    await comesTo('7', { value: 7, unit: 'balls', ...CLEARED });
    await reads(page.getByTestId('review'), /too hard 1/);
    await page.getByTestId('trouble').waitFor();
    const { round } = await told();
    expect(round.attempts.map(({ log }) => log.shots.length)).toEqual([2, 1, 4, 2]);
    expect(round.attempts[0]?.log.shots[0]?.potted).toEqual(['1', '3']);
    expect(round.attempts[0]?.log.shots[1]).toMatchObject({ cause: 'too hard', causeBy: 'coach' });
    // The shot that began the trouble becomes a drill with the position filled in.
    await page.getByRole('button', { name: 'Make a drill of it' }).click();
    await page.getByText('Everything is there.').waitFor();
    expect(await page.getByLabel('Title').inputValue()).toMatch(/^Far shores: the \d$/);
  });
});

describe('a shot that moves another ball', () => {
  it('is told by two taps: which one, and where it lies now', async () => {
    await startRound(page, 'Wren', 'far-shores', 1);
    await shotByShot();
    const [three = { x: 0, y: 0 }] = readLayout('far-shores').filter(({ id }) => id === '3');
    const tap = async (place: { readonly x: number; readonly y: number }) => {
      const at = await pixelOf(page, place);
      await page.mouse.click(at.x, at.y);
    };
    const hint = page.locator('.scoring-hint');
    await press('1');
    await tap({ x: 1.27, y: 0.7 });
    await page.getByRole('button', { name: 'A ball was moved' }).click();
    await reads(hint, 'Which ball was moved\\? Tap it\\.');
    await tap(three);
    await reads(hint, 'Tap where the 3 lies now\\.');
    await tap({ x: 1, y: 1 });
    await page.getByRole('button', { name: 'A ball was moved' }).waitFor();
    // It lies there from now on: tapped there, it is the one that fell, after the 2.
    await press('2');
    await tap({ x: 1, y: 1 });
    await reads(page.getByTestId('under-way'), /3 made/);
    await press('x');
    const shots = async () => (await told()).round.attempts[0]?.log.shots;
    await expect.poll(async () => (await shots())?.length).toBe(4);
    const [first, , third] = (await shots()) ?? [];
    expect(third?.potted).toEqual(['3']);
    expect(first?.landing?.x).toBeCloseTo(1.27, 1);
    const [moved] = first?.moved ?? [];
    expect(moved?.id).toBe('3');
    expect(moved?.x).toBeCloseTo(1, 1);
    expect(moved?.y).toBeCloseTo(1, 1);
  });
});

describe('lives: two of five are lost until both targets are done', () => {
  it.each(['quickly', 'with notes'])('%s', async (style) => {
    await startRound(page, 'Osric', 'moored', 1);
    await press('x _');
    if (style === 'with notes') {
      await page.getByRole('button', { name: 'Luck' }).click();
      await expect.poll(async () => (await told()).round.attempts[1]?.log.shots[0]?.luck).toBe(true);
    }
    await press('f _');
    await comesTo('2', { value: 2, unit: 'lives', censored: false, ...CLEARED });
  });
});

describe('a ladder by racks: three balls passed by two of three, four failed', () => {
  it('quickly; the next round begins where it ended', async () => {
    await startRound(page, 'Wren', 'after-the-break', 1);
    await quickly();
    await press('_ x _ x x');
    await comesTo('3', { value: 3, unit: 'rung', ...CLEARED });
    await reads(page.getByTestId('proposal'), /next round begins with 3 balls/);
    // Taken with a key: the next round is set up, and the choice is kept with this one.
    const id = roundId();
    await page.keyboard.press('y');
    await page.getByRole('heading', { name: 'Start a round' }).waitFor();
    await expect
      .poll(async () => {
        const { round } = await openRoundSchema.validate(
          await (await page.request.get(`/api/rounds/${id}`)).json(),
        );
        return round.advice?.accepted;
      })
      .toBe(true);
  });
  it('shot by shot, with what the break left', async () => {
    await startRound(page, 'Corin', 'after-the-break', 1);
    await shotByShot();
    // One suit and the 8: 1, 2, 8.
    await press('1 2 8');
    // The second rack: the 2 went down on the break, and the suit is chosen for a reason.
    await page.getByRole('button', { name: 'Down on the break' }).click();
    const two = readLayout('after-the-break').find(({ id }) => id === '2') ?? { x: 0, y: 0 };
    const at = await pixelOf(page, two);
    await page.mouse.click(at.x, at.y);
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await choose(page, 'Suit chosen', 'with the 1');
    await choose(page, 'Why', 'shorter ways');
    await page.getByRole('heading', { level: 1 }).click();
    await press('1 8 x x');
    await expect
      .poll(async () => (await told()).round.attempts[1]?.log)
      .toMatchObject({ set: ['1', '8'], suit: { taken: 0, why: 'shorter ways' } });
    await comesTo('3', { value: 3, unit: 'rung', ...CLEARED });
  });
});

describe('a ladder by single: 3 and 4 cleared, 5 missed twice over', () => {
  // Balls 3 ✓ 4 ✓ 5 × 4 × 3 × 2 × 2 × 2 × 2 × 2 ×: the largest cleared is 4.
  it('quickly', async () => {
    await startRound(page, 'Wren', 'cast-and-clear', 1);
    await quickly();
    await press('_ _ x x x x x x x x');
    await comesTo('4', { value: 4, unit: 'rung', ...CLEARED });
  });
  it('shot by shot, each layout thrown anew and kept with its seed', async () => {
    await startRound(page, 'Wren', 'cast-and-clear', 1);
    await shotByShot();
    await press('1 2 3 1 2 3 4 x x x x x x x x');
    await comesTo('4', { value: 4, unit: 'rung', ...CLEARED });
    const { round } = await told();
    expect(round.attempts.map(({ log }) => log.seed)).toEqual(round.attempts.map((_, i) => round.seed + i));
    expect(round.attempts[1]?.log.set).toEqual(['1', '2', '3', '4']);
  });
  it('with balls that were thrown by hand and placed by taps', async () => {
    await startRound(page, 'Wren', 'cast-and-clear', 1);
    await shotByShot();
    await page.getByRole('button', { name: 'Place what was thrown' }).click();
    for (let i = 0; i < 6; i++) {
      const at = await pixelOf(page, { x: 0.4 + 0.3 * i, y: i % 2 === 0 ? 0.4 : 0.8 });
      await page.mouse.click(at.x, at.y);
    }
    await page.getByText('Tap the ball that fell', { exact: false }).waitFor();
    const at = await pixelOf(page, { x: 0.4, y: 0.4 });
    await page.mouse.click(at.x, at.y);
    await reads(page.getByTestId('under-way'), /1 made/);
    await expect
      .poll(async () => (await told()).underWay?.places?.map(({ id }) => id))
      .toEqual(['1', '2', '3', '4', '5', '6']);
    expect((await told()).underWay?.places?.[1]?.x).toBeCloseTo(0.7, 2);
  });
});

describe('clear or restart: the one layout clears at the third attempt', () => {
  it('quickly', async () => {
    await startRound(page, 'Wren', 'tight-quarters', 1);
    await quickly();
    await press('3 0 _');
    await comesTo('1', { value: 1, unit: 'clears', ...CLEARED });
  });
  it('shot by shot: a second ball touched is a fault, and so is the 9 too early', async () => {
    await startRound(page, 'Wren', 'tight-quarters', 1);
    await shotByShot();
    await press('4 3 2');
    await page.getByRole('button', { name: /Touched a second ball/ }).click();
    await press('1 x');
    await press('1 2 3 4 9');
    await comesTo('1', { value: 1, unit: 'clears', ...CLEARED });
    expect((await told()).round.attempts.map(({ counted }) => counted.balls)).toEqual([3, 1, 5]);
  });
});

describe('break points: the highest of five visits', () => {
  it('quickly', async () => {
    await startRound(page, 'Osric', 'red-street', 1);
    await quickly();
    for (const [visit, points, penalty] of [
      [1, '16', '0'],
      [2, '1', '7'],
      [3, '0', '4'],
      [4, '8', '0'],
      [5, '22', '0'],
    ] as const) {
      await reads(page.getByTestId('shot'), `${visit} / 5`);
      await page.getByLabel('Points of the break').fill(points);
      if (penalty !== '0') {
        await page.getByRole('combobox', { name: 'Given away by a foul' }).click();
        await page.getByRole('option', { name: penalty, exact: true }).click();
      }
      await page.getByRole('button', { name: 'Keep' }).click();
    }
    await comesTo('22', { value: 22, unit: 'points', maximum: 59, ...CLEARED });
  });
  it('shot by shot, colours back on their spots', async () => {
    await startRound(page, 'Osric', 'red-street', 1);
    await shotByShot();
    // Red, black, red, pink, red, missed: 1 + 7 + 1 + 6 + 1 = 16.
    await press('d k');
    await page.getByText('Respot black', { exact: false }).waitFor();
    await press('d p d x');
    await reads(points(page), '16');
    // Red and in-off on the black gives seven away; three visits missed at once.
    // After the in-off the nominated colour is asked for: nobody said.
    await press('d f x x x x');
    await comesTo('16', { value: 16, unit: 'points', ...CLEARED });
  });
});

describe('zone points', () => {
  it('quickly: six on the plan, four missed are 18; noted in full they stay 18', async () => {
    await startRound(page, 'Wren', 'harbour-turn', 1);
    const at = await pixelOf(page, plannedLanding('harbour-turn'));
    for (let i = 0; i < 6; i++) await page.mouse.click(at.x, at.y);
    await press('x x x x');
    await page.getByRole('button', { name: 'Why?' }).click();
    await page.getByRole('button', { name: 'Thick' }).click();
    await comesTo('18', { value: 18, unit: 'points', maximum: 30, ...CLEARED });
    await expect.poll(async () => (await told()).round.attempts[9]?.log.shots[0]?.cause).toBe('thick');
  });
  it('with targets instead of a window: the middle of a ring gives 2, beside its inner ring 1', async () => {
    await startRound(page, 'Wren', 'five-buoys', 1);
    // Rings at 7.4 along and 0.6 across, diamonds of 317.5 mm; the inner one is 1.5 balls of 57.15 mm, 86 mm, wide.
    const middle = { x: 7.4 * 0.3175, y: 0.6 * 0.3175 };
    for (const place of [middle, { ...middle, x: middle.x - 0.12 }]) {
      const at = await pixelOf(page, place);
      await page.mouse.click(at.x, at.y);
    }
    await reads(points(page), '3');
    await press('x');
    for (let i = 0; i < 7; i++) await press('f');
    await comesTo('3', { value: 3, unit: 'points', ...CLEARED });
  });
});

it.each(['quickly', 'with notes'])('graded contact %s: 3 + 2 + 2 + 1 + 0, and five misses', async (style) => {
  await startRound(page, 'Wren', 'one-bounce', 1);
  await press('1 2 3 4 5');
  if (style === 'with notes') {
    await page.getByRole('button', { name: 'Rescue' }).click();
    await expect.poll(async () => (await told()).round.attempts[4]?.log.detail).toBe('full');
  }
  await press('5 5 5 5 5');
  await comesTo('8', { value: 8, unit: 'points', maximum: 30, ...CLEARED });
});

it.each(['quickly', 'with notes'])('success rate %s: seven of ten', async (style) => {
  await startRound(page, 'Wren', 'frozen-pair', 1);
  await press('_ _ x _ f _ _ x _');
  if (style === 'with notes') {
    await page.getByRole('button', { name: 'More' }).click();
    await choose(page, 'Side used', 'left');
    await expect.poll(async () => (await told()).round.attempts[8]?.log.shots[0]?.side).toBe('left');
    await page.getByRole('heading', { level: 1 }).click();
  }
  await press('_');
  await comesTo('7', { value: 7, unit: 'hits', maximum: 10, ...CLEARED });
});

it('kicks: 0 + 4 + (4 + 12) + 2 × 4, a clean one and a miss for 4 give 32 away', async () => {
  await startRound(page, 'Osric', 'replay', 1);
  // Full and nothing on; thin, half a chance; called once and wide open; called twice, then nothing on.
  // Nothing is kept before it is said how the ball was met and what it leaves.
  await press('Enter 1 Enter');
  await reads(page.getByTestId('shot'), '1 / 6');
  await press('a Enter 3 s Enter 1 m d Enter 1 m m a Enter 1 a Enter');
  await reads(points(page), '28');
  // A miss that is called no more leaves nothing: a foul all the same.
  await press('5 a Enter');
  await comesTo('32', { value: 32, unit: 'points', better: 'low', ...CLEARED });
  const { round } = await told();
  expect(round.attempts.map(({ counted }) => counted.kick?.repeats)).toEqual([0, 0, 1, 2, 0, 0]);
  expect(round.attempts[5]?.counted.kick).toMatchObject({ hit: false, legal: false });
});

it('breaks: ten of 2 balls, control 2, layout 2 are 120; one that loses the cue ball counts half', async () => {
  await startRound(page, 'Wren', 'nine-slow', 1);
  // A break that nobody described is not kept.
  await press('Enter 2 Enter d Enter');
  await reads(page.getByTestId('shot'), '1 / 10');
  // Five presses: balls, control, layout, wing, and keep.
  for (let i = 0; i < 9; i++) await press('2 d k i Enter');
  await press('2 d k f Enter');
  await comesTo('114', { value: 114, unit: 'points', maximum: 200, ...CLEARED });
  const { round } = await told();
  expect(round.attempts[0]?.log.entered?.opening).toMatchObject({ wing: 'in', balls: 2, control: 2 });
});

it('a run: the longest of twelve is four', async () => {
  await startRound(page, 'Wren', 'double-two', 1);
  await press('_ _ x _ _ _ _ x x _ _ _');
  await comesTo('4', { value: 4, unit: 'run', ...CLEARED });
});

it('calls: as many right as the computed truth says', async () => {
  await startRound(page, 'Wren', 'room-to-pass', 1);
  const { round } = await told();
  const table = buildTable('pool-9ft');
  let right = 0;
  for (let i = 0; i < 12; i++) {
    let question;
    for (let k = 0; k < 5 && question === undefined; k++) {
      question = poseFromSeed(table, 'does it pass', 'fair', round.seed + i * 5 + k);
    }
    if (question?.kind === 'does it pass' && question.truth === 'yes') right++;
    await page.getByRole('button', { name: /^Yes/ }).waitFor();
    await press('y');
    await page.getByTestId('call-truth').waitFor();
    if (i < 11) await press('n');
  }
  expect(right).toBeGreaterThan(0);
  await comesTo(String(right), { value: right, unit: 'calls', ...CLEARED });
});

it('calls that only the coach can judge: locked first, then three of twelve agree', async () => {
  await startRound(page, 'Wren', 'chart-the-order', 1);
  await press('_ _ _ _ _ _');
  for (let i = 0; i < 9; i++) await press('_ x');
  await comesTo('3', { value: 3, unit: 'calls', ...CLEARED });
});
