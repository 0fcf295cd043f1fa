import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { distance } from '../math/point.ts';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { executionErrorOf } from '../player/levels.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { aimToPot } from '../shot/aim.ts';
import { inOffMargin } from '../shot/inOff.ts';
import { nearestApproach, passingGap } from '../shot/passing.ts';
import { pocketNamed } from '../table/table.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { backwardMap, fulfils, playNatural, type BackwardMap, type WantedWay } from './backward.ts';
import { searchBreakOuts, type BreakOut } from './breakOut.ts';
import { foreseeInOff, foreseePass, verdictOf } from './foresee.ts';
import { placeOnGrid } from './grid.ts';
import { potLines } from './potOptions.ts';
import type { RouteQuestion } from './routes.ts';
import { chanceAt } from './grid.ts';
import { cueBallAt, windowAmong } from './windowAmong.ts';

const team = executionErrorOf('team', 'pool');
const rolling = { ball: 'cue', speed: 1.8, tip: { side: 0, height: 0.4 }, elevation: 0 };

/** Half-ball hits that send the cue ball towards the foot-left corner, aimed a little differently. */
function towardsTheCorner(aside: number): Shot {
  const object = ball('1', 1.5, 0.62);
  const cue = cueBall(1.05, 0.55);
  const direction = Math.atan2(object.y - cue.y, object.x - cue.x) + toRadians(aside);
  return { table: POOL, balls: [cue, object], strike: { ...rolling, direction } };
}

/** The whole layout moved sideways: the cue ball's way to the pocket moves with it, cushions stay. */
function moved(shot: Shot, dx: number, dy: number): Shot {
  return { ...shot, balls: shot.balls.map((each) => ({ ...each, x: each.x + dx, y: each.y + dy })) };
}

const cueFalls = (shot: Shot) => simulate(shot).rest[0]!.pocket !== null;

describe('the in-off', () => {
  const { mouth } = pocketNamed(POOL, 'foot-left');
  // From the hit to the corner with nothing between: found by trying, so that both kinds are there.
  const direct = Array.from({ length: 160 }, (_, i) => towardsTheCorner(6.4 + 0.005 * i)).filter((shot) => {
    const { events, paths } = simulate(shot, { paths: true });
    const hit = events.find(({ kind }) => kind === 'ball-ball')?.t ?? Infinity;
    const next = events.find(
      (event) => event.t > hit && 'id' in event && event.id === 'cue' && event.kind !== 'rolling',
    );
    if (next === undefined || inOffMargin(shot)?.pocket !== 'foot-left') return false;
    return distance(positionAt(paths![0]!, next.t), mouth) < 0.15;
  });

  it('happens or just does not, by the stated margin: moved aside so far, the layout does the opposite', () => {
    const falling = direct.filter(cueFalls);
    const passing = direct.filter((shot) => !cueFalls(shot));
    expect(falling.length).toBeGreaterThan(3);
    expect(passing.length).toBeGreaterThan(3);
    for (const shot of [falling[1]!, falling.at(-2)!, passing[0]!, passing.at(-1)!]) {
      const margin = inOffMargin(shot)!;
      expect(margin.falls).toBe(cueFalls(shot));
      if (margin.metres > 0.05) continue;
      const { paths } = simulate(shot, { paths: true });
      const piece = paths![0]!.pieces.findLast(({ vx, vy }) => Math.hypot(vx, vy) > 0.2)!;
      const speed = Math.hypot(piece.vx, piece.vy);
      const aside = (by: number) => moved(shot, (-piece.vy / speed) * by, (piece.vx / speed) * by);
      const beyond = [margin.metres + 0.006, -margin.metres - 0.006];
      const within = [0.6, -0.6].map((share) => share * Math.max(0, margin.metres - 0.004));
      expect(beyond.some((by) => cueFalls(aside(by)) !== margin.falls)).toBe(true);
      expect(within.every((by) => cueFalls(aside(by)) === margin.falls)).toBe(true);
    }
  });

  it('is yes, no or too close, as the player’s own executions fall', () => {
    const [sure] = direct
      .filter((shot) => inOffMargin(shot)!.falls)
      .sort((a, b) => inOffMargin(b)!.metres - inOffMargin(a)!.metres);
    const yes = foreseeInOff(sure!, executionErrorOf('title', 'pool'), 300, 4);
    expect(yes.verdict).toBe(verdictOf(yes.share.share));
    const close = direct
      .map((shot) => ({ shot, margin: inOffMargin(shot)! }))
      .sort((a, b) => a.margin.metres - b.margin.metres)[0]!;
    expect(foreseeInOff(close.shot, team, 300, 4).verdict).toBe('too close');
    expect(foreseeInOff(towardsTheCorner(3), team, 100, 4).verdict).toBe('no');
    expect([0.95, 0.5, 0.05].map(verdictOf)).toEqual(['yes', 'too close', 'no']);
  });
});

describe('passing a ball', () => {
  const shot = towardsTheCorner(1.2);
  const { paths, events } = simulate(shot, { paths: true });
  const hit = events.find(({ kind }) => kind === 'ball-ball')!.t;
  const path = paths![0]!;
  const R = POOL.preset.ballRadius;

  it('is by the gap that walking along the path finds', () => {
    for (const place of [
      { x: 1.9, y: 0.8 },
      { x: 1.7, y: 0.9 },
    ]) {
      let walked = Infinity;
      for (let t = hit; t < 4; t += 0.0005)
        walked = Math.min(walked, nearestApproach(path, t, t, place).metres);
      expect(passingGap(shot, ball('9', place.x, place.y))).toBeCloseTo(walked - 2 * R, 3);
    }
  });

  it('does so exactly when the gap is not negative', () => {
    for (let k = 0; k < 24; k++) {
      const obstacle = ball('9', 1.75, 0.62 + 0.015 * k);
      const gap = passingGap(shot, obstacle)!;
      const played = simulate({ ...shot, balls: [...shot.balls, obstacle] });
      const cueMeets = played.events.some(
        (event) => event.kind === 'ball-ball' && event.ids.includes('cue') && event.ids.includes('9'),
      );
      // The object ball may reach it first; then the cue ball's way is another one.
      const objectMeets = played.events.some(
        (event) => event.kind === 'ball-ball' && event.ids.includes('1') && event.ids.includes('9'),
      );
      if (!objectMeets && Math.abs(gap) > 1e-4) expect(cueMeets).toBe(gap < 0);
    }
  });

  it('is told with its margin, and is too close where the scatter straddles it', () => {
    const verdicts = [0.66, 0.72, 0.78, 0.84, 0.9, 0.96, 1.02].map((y) => {
      const obstacle = ball('9', 1.75, y);
      const seen = foreseePass({ ...shot, balls: [...shot.balls, obstacle] }, obstacle, team, 200, 3);
      if (seen.verdict === 'yes') expect(seen.marginMm).toBeGreaterThan(-1);
      return seen.verdict;
    });
    expect(new Set(verdicts).size).toBeGreaterThan(1);
  });
});

function mapOf(
  line: ReturnType<typeof potLines>[number],
  wanted: WantedWay,
  others: readonly BallOnTable[] = [],
): BackwardMap {
  const search = backwardMap(POOL, line, others, wanted, team);
  for (;;) {
    const step = search.next();
    if (step.done === true) return step.value;
  }
}

describe('the backward map', () => {
  const object = ball('1', 1.9, 0.95);
  const [line] = potLines(POOL, [object], ['1'], acceptanceOf, ['foot-left']);
  const wanted: WantedWay = { kind: 'place', at: { x: 1.3, y: 0.3 }, room: 0.25 };
  const { map, strokes } = mapOf(line!, wanted);
  const placeOf = (k: number) => placeOnGrid(map, k);

  it('is lit where a plain stroke really does it', () => {
    const lit = strokes.flatMap((stroke, k) =>
      stroke !== undefined && map.chances[k]! > 0.3 ? [{ stroke, k }] : [],
    );
    expect(lit.length).toBeGreaterThan(10);
    for (const { stroke, k } of lit.filter((_, i) => i % 5 === 0)) {
      const shot = playNatural(POOL, cueBallAt(POOL, placeOf(k)), line!, [], stroke)!;
      expect(shot.strike.tip.side).toBe(0);
      const result = simulate(shot, { paths: true });
      expect(result.rest[1]!.pocket).toBe('foot-left');
      expect(Math.hypot(result.rest[0]!.x - 1.3, result.rest[0]!.y - 0.3)).toBeLessThan(0.25);
      expect(fulfils(wanted, result, 'cue')).toBeGreaterThanOrEqual(map.chances[k]! - 1e-3);
    }
  });

  it('is dark where the ball cannot be potted', () => {
    expect(chanceAt(map, { x: 2.4, y: 1.2 })).toBe(0);
    expect(chanceAt(map, object)).toBe(0);
  });

  it('of the map is the same one shot earlier: both shots, one after the other, end where it was wanted', () => {
    const before = ball('3', 0.6, 0.3);
    const [first] = potLines(POOL, [before, object], ['3'], acceptanceOf, ['head-right']);
    const earlier = mapOf(first!, { kind: 'map', map }, [object]);
    const best = earlier.map.chances.indexOf(Math.max(...earlier.map.chances));
    expect(earlier.map.chances[best]).toBeGreaterThan(0.05);
    const shot = playNatural(POOL, cueBallAt(POOL, placeOf(best)), first!, [object], earlier.strokes[best]!)!;
    const landing = simulate(shot).rest[0]!;
    expect(chanceAt(map, landing)).toBeGreaterThan(0);
    const nearest =
      Math.round((landing.y - map.y0) / map.dy) * map.columns + Math.round((landing.x - map.x0) / map.dx);
    const next = strokes[nearest];
    if (next === undefined) throw new Error('the map is dark where it was reached');
    const second = playNatural(POOL, cueBallAt(POOL, landing), line!, [], next)!;
    const end = simulate(second).rest[0]!;
    expect(Math.hypot(end.x - 1.3, end.y - 0.3)).toBeLessThan(0.4);
  });

  it('of a painted line is lit where the cue ball passes both of its ends in order', () => {
    const along: WantedWay = {
      kind: 'line',
      from: { x: 1.75, y: 0.75 },
      to: { x: 1.4, y: 0.45 },
      room: 0.15,
    };
    const painted = mapOf(line!, along);
    const k = painted.map.chances.indexOf(Math.max(...painted.map.chances));
    const shot = playNatural(POOL, cueBallAt(POOL, placeOf(k)), line!, [], painted.strokes[k]!)!;
    const result = simulate(shot, { paths: true });
    const hit = result.events.find(({ kind }) => kind === 'ball-ball')!.t;
    const one = nearestApproach(result.paths![0]!, hit, result.duration, along.from);
    const two = nearestApproach(result.paths![0]!, one.t, result.duration, along.to);
    expect(one.metres).toBeLessThan(0.15);
    expect(two.metres).toBeLessThan(0.15);
    // Against the line it does not count.
    const backwards = fulfils({ ...along, from: along.to, to: along.from }, result, 'cue');
    expect(backwards).toBeLessThan(fulfils(along, result, 'cue'));
  });
});

describe('a break-out', () => {
  const R = POOL.preset.ballRadius;
  const pot = [cueBall(1.5, 1.12), ball('1', 1.9, 1.0)];
  const aim = aimToPot(POOL, pot, { ...rolling, speed: 2.6, tip: { side: 0, height: 0 } }, '1', 'foot-left');
  if (aim.kind !== 'pots') throw new Error(aim.reason);
  const way = aim.result.paths![0]!;
  const hitAt = aim.result.events.find(({ kind }) => kind === 'ball-ball')!.t;
  // Two touching balls across the cue ball's way, a third of a second after the pot, and one far off.
  const met = positionAt(way, hitAt + 0.33);
  const balls = [
    ...pot,
    ball('5', met.x + 0.02, met.y - 2 * R),
    ball('6', met.x + 0.02, met.y - 4 * R - 0.0005),
    ball('2', 0.5, 0.9),
  ];
  const task = { object: '1', pocket: 'foot-left' } as const;
  const objects = balls.filter(({ id }) => id !== 'cue' && id !== '1');
  const lines = potLines(POOL, objects, ['2', '5', '6'], acceptanceOf);
  const question: RouteQuestion = {
    table: POOL,
    balls,
    cue: 'cue',
    acceptance: acceptanceOf(POOL, balls[1]!, 'foot-left')!,
    aims: {
      task,
      wanted: { balls: ['2', '5', '6'] },
      window: windowAmong(POOL, lines, objects, team, { step: 0.06 }),
      error: team,
      confidence: 0.7,
    },
    side: false,
  };
  let found: readonly BreakOut[] = [];
  const search = searchBreakOuts(question, ['5', '6'], 3);
  for (;;) {
    const step = search.next();
    if (step.done === true) {
      found = step.value;
      break;
    }
  }

  it('meets a ball of the cluster after the pot, at the stated pace', () => {
    expect(found.length).toBeGreaterThan(0);
    for (const each of found) {
      const { events, rest } = simulate(each.shot);
      expect(rest[1]!.pocket).toBe('foot-left');
      const meets = events.filter((event) => event.kind === 'ball-ball' && event.ids.includes('cue'));
      expect(meets.some((event) => event.kind === 'ball-ball' && event.ids.includes(each.hits))).toBe(true);
      expect(each.arrival).toBeGreaterThan(0);
      expect(each.arrival).toBeLessThan(each.shot.strike.speed);
    }
  });

  it('says how often which ball comes free, and the best leave comes first', () => {
    const on = found.map(({ onAfter }) => onAfter);
    expect([...on].sort((a, b) => b - a)).toEqual(on);
    for (const { frees, spoils } of found) {
      for (const { ball: id, share } of frees) {
        expect(['2', '5', '6']).toContain(id);
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThanOrEqual(1);
      }
      // A ball had a pocket before, or it had none: it cannot be freed and spoiled.
      expect(spoils.every(({ ball: id }) => id === '2' || frees.every((each) => each.ball !== id))).toBe(
        true,
      );
    }
  });
});
