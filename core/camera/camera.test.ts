import { describe, expect, it } from 'vitest';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { distance, type Point } from '../math/point.ts';
import { createRandom, type Random } from '../random/random.ts';
import { buildTable } from '../table/table.ts';
import { exchanged } from './exchanged.ts';
import { misplaced } from './misplaced.ts';
import { MadeUpCamera, NO_FAULTS, type CameraFaults } from './madeUp.ts';
import { stillness } from './resting.ts';
import { CameraWatch, type CameraReading } from './watch.ts';

const table = buildTable('pool-9ft');
const { ballRadius: radius, ballMass: mass } = table.preset;
const RATE = 15;
const ball = (id: string, x: number, y: number): BallOnTable => ({ id, x, y, radius, mass });
const LAYOUT = [ball('cue', 0.6, 0.5), ball('1', 1.4, 0.6), ball('2', 2.1, 0.3), ball('3', 1.9, 1.0)];

/** A stroke at the 1, not too well. */
function played(random: Random) {
  return simulate(
    {
      table,
      balls: LAYOUT,
      strike: {
        ball: 'cue',
        speed: 1 + 3 * random.uniform(),
        direction: Math.atan2(0.1, 0.8) + 0.05 * random.normal(),
        tip: { side: 0, height: 0.8 * (random.uniform() - 0.5) },
        elevation: 0,
      },
    },
    { paths: true },
  );
}

interface Seen {
  readonly reading: CameraReading;
  /** Whether all lies still in truth, but for what a ball goes in its last third of a second: 5 mm. */
  readonly isOver: boolean;
}

/** A shot as a watch sees it, from two seconds before until six after; the truth at its end with it. */
function watchShot(seed: number, faults: CameraFaults) {
  const random = createRandom(seed);
  const result = played(random.fork(1));
  const camera = new MadeUpCamera(table, faults, random.fork(2));
  const watch = new CameraWatch(table);
  watch.expect(LAYOUT.map(({ id }) => id));
  const end = Math.max(...result.events.map(({ t }) => t));
  const fellAt = new Map(result.events.flatMap((e) => (e.kind === 'pocket' ? [[e.id, e.t] as const] : [])));
  const seen: Seen[] = [];
  for (let k = 0; k < (end + 8) * RATE; k++) {
    const t = k / RATE - 2;
    const places = new Map<string, Point>();
    for (const path of result.paths ?? []) {
      if (t < (fellAt.get(path.id) ?? Infinity)) places.set(path.id, positionAt(path, Math.max(0, t)));
    }
    const frame = camera.see(k / RATE, places, false);
    if (frame !== undefined) watch.add(frame);
    seen.push({ reading: watch.read(k / RATE), isOver: t >= end - 0.3 });
  }
  const truth = new Map(
    result.rest.flatMap((at) => (at.pocket === null && !at.offTable ? [[at.id, at] as const] : [])),
  );
  return { seen, truth };
}

/** What would be taken by one tap without a question. */
const isSure = ({ reading }: Seen) =>
  reading.state === 'still' && reading.isAfterShot && reading.doubts.length === 0;

describe('balls that lie still', () => {
  const frame = (k: number, x: number, isCovered = false) => ({
    seq: k,
    at: k / RATE,
    isCovered,
    balls: [{ name: 'cue', at: { x, y: 0.5 }, confidence: 1 }],
  });

  it('are those that stayed for a second; a ball that creeps is not', () => {
    const still = Array.from({ length: 30 }, (_, k) => frame(k, 1));
    expect(stillness(still, radius)).toMatchObject({ state: 'still', balls: [{ name: 'cue', seen: 1 }] });
    // Two centimetres a second.
    const creeps = Array.from({ length: 30 }, (_, k) => frame(k, 1 + (0.02 * k) / RATE));
    expect(stillness(creeps, radius).state).toBe('moving');
    // Rolling out: 0.1 m/s less each second, until a tenth of a second before it stops.
    for (let end = 0.4; end < 2.9; end += 0.1) {
      const way = (t: number) => 0.3 * t - 0.05 * t * t;
      const rolls = Array.from({ length: 30 }, (_, k) => frame(k, 1 + way(end - (29 - k) / RATE)));
      expect([
        end,
        stillness(
          rolls.filter(({ at }) => end - (29 / RATE - at) >= 0),
          radius,
        ).state,
      ]).not.toEqual([end, 'still']);
    }
  });

  it('are waited for while too little is seen, or a hand is over the table', () => {
    expect(stillness([], radius).state).toBe('waiting');
    expect(
      stillness(
        Array.from({ length: 8 }, (_, k) => frame(k, 1)),
        radius,
      ).state,
    ).toBe('waiting');
    const covered = Array.from({ length: 30 }, (_, k) => frame(k, 1, k === 25));
    expect(stillness(covered, radius).state).toBe('covered');
  });

  it('have a place whose error is as its spread says: four in five within 1.9 of it', () => {
    const random = createRandom(5);
    let inside = 0;
    for (let n = 0; n < 300; n++) {
      const frames = Array.from({ length: 22 }, (_, k) => ({
        ...frame(k, 0),
        balls: [
          {
            name: 'cue',
            at: { x: 1 + 0.004 * random.normal(), y: 0.5 + 0.004 * random.normal() },
            confidence: 1,
          },
        ],
      }));
      const read = stillness(frames, radius);
      if (read.state !== 'still') continue;
      const [cue] = read.balls;
      if (cue !== undefined && distance(cue.at, { x: 1, y: 0.5 }) < 1.9 * cue.error) inside += 1;
    }
    // In a plane 84 % lie within 1.9 standard deviations of an axis (Rayleigh), a few less by an error that is estimated.
    expect(inside / 300).toBeGreaterThan(0.74);
    expect(inside / 300).toBeLessThan(0.92);
  });
});

describe('names that change hands', () => {
  const at = (x: number, y: number, time = 0) => ({ at: { x, y }, time });

  it('are seen, unlike a ball that stops where it met another', () => {
    const before = new Map([
      ['cue', at(1, 0.5)],
      ['1', at(2, 0.5)],
    ]);
    expect(
      exchanged(
        before,
        new Map([
          ['cue', at(2.01, 0.5, 0.07)],
          ['1', at(1, 0.51, 0.07)],
        ]),
        radius,
      ),
    ).toEqual([['cue', '1']]);
    const met = new Map([
      ['cue', at(1.9, 0.5, 0.07)],
      ['1', at(2.3, 0.5, 0.07)],
    ]);
    expect(exchanged(before, met, radius)).toEqual([]);
  });
});

describe('balls that are set', () => {
  it('are told where they lie beside their places, or are not there', () => {
    const lie = (name: string, x: number, error = 0.001) => ({ name, at: { x, y: 0.5 }, error });
    const wanted = ['cue', '1', '2', '3'].map((id, i) => ({ id, x: 0.5 * (i + 1), y: 0.5 }));
    expect(misplaced(wanted, [lie('cue', 0.51), lie('1', 1.04), lie('2', 1.54, 0.02)])).toEqual([
      { ball: '1', off: expect.closeTo(0.04, 6) as number },
      { ball: '3', off: undefined },
    ]);
  });
});

describe('a camera that is watched', () => {
  it('says where the balls of a shot came to rest, and which of them fell', () => {
    let sure = 0;
    for (let seed = 1; seed <= 25; seed++) {
      const { seen, truth } = watchShot(seed, { ...NO_FAULTS, noise: 0.002 });
      const last = seen.at(-1);
      if (last === undefined || !isSure(last)) continue;
      sure += 1;
      expect(new Set(last.reading.balls.map(({ name }) => name))).toEqual(new Set(truth.keys()));
      for (const { name, at } of last.reading.balls) {
        expect(distance(at, truth.get(name) ?? { x: -9, y: 0 })).toBeLessThan(0.004);
      }
    }
    expect(sure).toBeGreaterThanOrEqual(23);
  });

  it('offers nothing before the shot, and nothing while balls move', () => {
    for (let seed = 30; seed < 40; seed++) {
      const { seen } = watchShot(seed, { ...NO_FAULTS, noise: 0.002 });
      for (const each of seen) if (!each.isOver) expect(isSure(each)).toBe(false);
    }
  });

  it.each([
    ['noise', { noise: 0.006 }, 0.75],
    ['drop-outs', { noise: 0.002, dropOuts: 0.15 }, 0.75],
    ['swaps', { noise: 0.002, swaps: 6 }, 0.2],
    ['balls that are not seen', { noise: 0.002, blind: 12 }, 0.3],
    ['ghosts', { noise: 0.002, ghosts: 0.2 }, 0.75],
    ['all of it', { noise: 0.004, dropOuts: 0.1, swaps: 4, blind: 4, ghosts: 0.1 }, 0.08],
  ])('with %s is asked about, or right: never wrong without a question', (_, faults, least) => {
    let sure = 0;
    const SHOTS = 25;
    for (let seed = 100; seed < 100 + SHOTS; seed++) {
      const { seen, truth } = watchShot(seed, { ...NO_FAULTS, ...faults });
      for (const each of seen) {
        if (!isSure(each)) continue;
        const wrong = each.reading.balls.filter(
          ({ name, at }) => distance(at, truth.get(name) ?? { x: -9, y: 0 }) > 0.015,
        );
        const missing = [...truth.keys()].filter((name) => each.reading.balls.every((b) => b.name !== name));
        if (wrong.length + missing.length > 0) expect.fail(`shot ${String(seed)}: ${JSON.stringify(each)}`);
      }
      if (seen.some(isSure)) sure += 1;
    }
    expect(sure / SHOTS).toBeGreaterThanOrEqual(least);
  });

  it('refuses frames that are not newer, and says when it hears nothing', () => {
    const watch = new CameraWatch(table);
    const frame = { seq: 5, at: 3, isCovered: false, balls: [] };
    expect(watch.read(0).state).toBe('waiting');
    expect(watch.add(frame)).toBe(true);
    expect(watch.add(frame)).toBe(false);
    expect(watch.add({ ...frame, seq: 6, at: 2.9 })).toBe(false);
    expect(watch.read(4.5).state).toBe('late');
  });

  it('takes balls that were set by hand for the beginning of the next shot', () => {
    const watch = new CameraWatch(table);
    let seq = 0;
    const lie = (frames: number, x: (k: number) => number, isCovered = false) => {
      for (let k = 0; k < frames; k++) {
        seq += 1;
        const at = { x: x(k), y: 0.5 };
        watch.add({ seq, at: seq / RATE, isCovered, balls: [{ name: 'cue', at, confidence: 1 }] });
        watch.read(seq / RATE);
      }
      return watch.read(seq / RATE);
    };
    expect(lie(30, () => 1)).toMatchObject({ state: 'still', isAfterShot: false, doubts: [] });
    expect(lie(30, () => 1, true).state).toBe('covered');
    expect(lie(30, () => 2)).toMatchObject({ state: 'still', isAfterShot: false, doubts: [] });
    expect(lie(20, (k) => 2 - 0.06 * k).state).toBe('moving');
    const after = lie(30, () => 0.8);
    expect(after).toMatchObject({ state: 'still', isAfterShot: true, doubts: [] });
    // Nobody takes it, and the ball is set anew: that is no landing.
    lie(10, () => 0.8, true);
    expect(lie(30, () => 1.03)).toMatchObject({ state: 'still', isAfterShot: false, doubts: [] });
    lie(20, (k) => 1 - 0.03 * k);
    const next = lie(30, () => 0.4);
    expect(next).toMatchObject({ isAfterShot: true, doubts: [] });
    watch.begin(next.balls);
    expect(watch.read(seq / RATE)).toMatchObject({ isAfterShot: false, doubts: [] });
    // It is entered by hand while the ball still rolls: where it stops is no news any more.
    lie(20, (k) => 0.4 + 0.03 * k);
    watch.begin(undefined);
    expect(lie(30, () => 1)).toMatchObject({ state: 'still', isAfterShot: false, doubts: [] });
  });

  it('asks where a ball lies elsewhere without having been seen on its way', () => {
    const watch = new CameraWatch(table);
    const lie = (from: number, x: number) => {
      for (let k = from; k < from + 30; k++)
        watch.add({
          seq: k,
          at: k / RATE,
          isCovered: false,
          balls: [{ name: 'cue', at: { x, y: 0.5 }, confidence: 1 }],
        });
      return watch.read((from + 29) / RATE);
    };
    lie(0, 1);
    // Nothing came from the camera for ten seconds.
    expect(lie(170, 2)).toMatchObject({ isAfterShot: true, doubts: [{ kind: 'unseen' }] });
  });

  it('begins with no shot before every ball is seen that is known to be there', () => {
    const watch = new CameraWatch(table);
    watch.expect(['cue', '5']);
    for (let k = 0; k < 30; k++)
      watch.add({
        seq: k,
        at: k / RATE,
        isCovered: false,
        balls: [{ name: 'cue', at: { x: 1, y: 0.5 }, confidence: 1 }],
      });
    expect(watch.read(29 / RATE)).toMatchObject({
      isAfterShot: false,
      doubts: [{ kind: 'gone', ball: '5' }],
    });
  });

  it('numbers reds that are all called red, and keeps the numbers of those that stay', () => {
    const snooker = buildTable('snooker-12ft');
    const watch = new CameraWatch(snooker);
    const lie = (seq: number, places: readonly Point[]) =>
      watch.add({
        seq,
        at: seq / RATE,
        isCovered: false,
        balls: places.map((at) => ({ name: 'red', at, confidence: 1 })),
      });
    for (let k = 0; k < 30; k++)
      lie(k, [
        { x: 1, y: 1 },
        { x: 2, y: 1 },
      ]);
    expect(watch.read(29 / RATE).balls.map(({ name }) => name)).toEqual(['red 1', 'red 2']);
    for (let k = 30; k < 60; k++)
      lie(k, [
        { x: 1.6, y: 0.4 },
        { x: 2, y: 1 },
      ]);
    expect(watch.read(59 / RATE).balls.map(({ name }) => name)).toContain('red 2');
  });
});
