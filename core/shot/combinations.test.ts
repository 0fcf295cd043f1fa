import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { bearing } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { pocketNamed } from '../table/table.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { kissesTwice, solveDouble } from './doubles.ts';
import { flipGap, plantOffsetDeg, solvePlant, withGap, type Plant } from './plants.ts';

const R = POOL.preset.ballRadius;
const stroke = { ball: 'cue', speed: 2.2, tip: { side: 0, height: 0 }, elevation: 0 };

/** Two touching balls whose line points past the corner by some degrees, the cue ball half a metre behind. */
function plant(offDeg: number): Plant {
  const second = ball('2', 2.1, 0.85);
  const { mouth } = pocketNamed(POOL, 'foot-left');
  const line = bearing(second, mouth) + toRadians(offDeg);
  const back = (by: number) => ({ x: second.x - by * Math.cos(line), y: second.y - by * Math.sin(line) });
  const first = back(2 * R);
  const cue = back(2 * R + 0.55);
  return {
    table: POOL,
    cue: cueBall(cue.x, cue.y),
    first: ball('1', first.x, first.y),
    second,
    pocket: 'foot-left',
    others: [],
  };
}

describe('a plant', () => {
  it('that points at the pocket is hit full, as wide as its line allows', () => {
    const way = solvePlant(plant(0), stroke)!;
    expect(way.side).toBe('full');
    expect(Math.abs(way.offset)).toBeLessThan(0.03);
  });

  it.each([
    [4, 'left'],
    [6, 'left'],
    [-4, 'right'],
    [-6, 'right'],
  ] as const)('whose touching balls point %s° past the pocket is hit on the %s', (off, side) => {
    const offset = plantOffsetDeg(plant(off), pocketNamed(POOL, 'foot-left').mouth);
    expect(offset).toBeCloseTo(off, 9);
    const way = solvePlant(plant(off), stroke)!;
    // The friction between the touching balls pulls the second towards the side that is hit away from.
    expect(way.side).toBe(side);
    expect(simulate(way.shot).rest[2]!.pocket).toBe('foot-left');
    const other = {
      ...way.shot.strike,
      direction: 2 * bearing(way.shot.balls[0]!, way.shot.balls[1]!) - way.shot.strike.direction,
    };
    expect(simulate({ ...way.shot, strike: other }).rest[2]!.pocket).not.toBe('foot-left');
  });

  it('is the same in a mirror, for the other side', () => {
    const over = (each: BallOnTable) => ({ ...each, y: POOL.width - each.y });
    for (const off of [3, -5]) {
      const set = plant(off);
      const mirrored: Plant = {
        ...set,
        cue: over(set.cue),
        first: over(set.first),
        second: over(set.second),
        pocket: 'foot-right',
      };
      const [there, back] = [solvePlant(set, stroke)!, solvePlant(mirrored, stroke)!];
      expect(back.offset).toBeCloseTo(-there.offset, 2);
      expect(back.toleranceDeg).toBeCloseTo(there.toleranceDeg, 1);
      expect(new Set([there.side, back.side])).toEqual(new Set(['left', 'right']));
    }
  });

  it('really flips at its flip gap', () => {
    for (const off of [4, -4]) {
      const set = plant(off);
      const flip = flipGap(set, stroke)!;
      expect(flip.from).toBeGreaterThanOrEqual(flip.until);
      const sideAt = (gap: number) => solvePlant(withGap(set, gap), stroke)?.side;
      const before = sideAt(Math.max(0, flip.until - 0.0003));
      const after = [0.0002, 0.0006, 0.0012]
        .map((more) => sideAt(flip.from + more))
        .find((side) => side !== undefined);
      const sides = [before, after];
      expect([off, ...[...sides].sort()]).toEqual([off, 'left', 'right']);
      expect(before).toBe(solvePlant(set, stroke)!.side);
      // Far beyond it plain geometry rules: the first ball goes where it is sent, and sends the second on.
      const wide = solvePlant(withGap(set, 0.012), stroke);
      if (wide !== undefined) expect(wide.side).toBe(sides[1]);
    }
  });

  it('that nothing can pot has no way', () => {
    expect(solvePlant(plant(70), stroke)).toBeUndefined();
    expect(flipGap(plant(70), stroke)).toBeUndefined();
  });
});

describe('a double', () => {
  const balls = [cueBall(0.75, 0.35), ball('1', 0.95, 0.8)];
  const solve = (speed: number) =>
    solveDouble({ table: POOL, balls, object: '1', pocket: 'middle-right' }, { ...stroke, speed });

  it('goes off a cushion into the pocket, without a second meeting', () => {
    const way = solve(2.4)!;
    const { events, rest } = simulate(way.shot);
    expect(rest[1]!.pocket).toBe('middle-right');
    expect(events.some((event) => event.kind === 'ball-cushion' && event.id === '1')).toBe(true);
    expect(kissesTwice({ ...way.result, events }, 'cue', '1')).toBe(false);
    expect(way.toleranceDeg).toBeGreaterThan(0);
  });

  it('enters the cushion near its mirror point, whatever its pace', () => {
    const { mouth } = pocketNamed(POOL, 'middle-right');
    const nose = POOL.width - R;
    // The mirror point: equal angles in and out at the line of the ball's centre.
    const [up, down] = [nose - 0.8, nose - mouth.y];
    const mirror = 0.95 + ((mouth.x - 0.95) * up) / (up + down);
    for (const speed of [2, 2.8, 3.6]) {
      const way = solve(speed)!;
      expect(Math.abs(way.entry.x - mirror)).toBeLessThan(0.012);
      expect(Math.abs(way.entry.y - nose)).toBeLessThan(0.005);
    }
  });

  it('played too soft does not come all the way', () => {
    expect(solve(1.6)).toBeUndefined();
  });

  it('says that two balls meet twice', () => {
    const shot = {
      table: POOL,
      balls: [cueBall(1, 1.1), ball('1', 1, 1.2)],
      strike: { ...stroke, direction: Math.PI / 2 },
    };
    expect(kissesTwice(simulate(shot), 'cue', '1')).toBe(true);
  });

  it('is none where every way is shut', () => {
    const between = {
      table: POOL,
      balls: [cueBall(0.3, 0.3), ball('1', 0.35, R)],
      object: '1',
      pocket: 'middle-left',
    } as const;
    expect(solveDouble(between, { ...stroke, speed: 0.4 })).toBeUndefined();
    expect(() => solveDouble({ ...between, object: '7' }, stroke)).toThrow(RangeError);
  });
});
