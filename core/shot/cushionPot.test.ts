import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { simulate } from '../motion/simulate.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { executedWith } from '../player/execute.ts';
import { latinDraws } from '../player/latinDraws.ts';
import { executionErrorOf } from '../player/levels.ts';
import { potLines } from '../planning/potOptions.ts';
import { createRandom } from '../random/random.ts';
import { POOL } from '../testing/balls.ts';
import { acceptanceOf } from './acceptance.ts';
import { cushionFalls, cushionLine, cushionWays, roughCushionChance } from './cushionPot.ts';

const ERROR = executionErrorOf('title', 'pool');
const STROKE = { speed: 2.4, tip: { side: 0, height: 0 }, elevation: 0 };
const { ballRadius: radius, ballMass: mass } = POOL.preset;
const at = (id: string, x: number, y: number): BallOnTable => ({ id, x, y, radius, mass });

/** A stroke at the pots of a ball by way of a cushion, each with its line. */
function linesFrom(cue: BallOnTable, object: BallOnTable) {
  return potLines(POOL, [object], [object.id], acceptanceOf).flatMap((line) =>
    cushionWays(POOL, cue, line).flatMap((way) => {
      const direction = cushionLine(POOL, cue, line, way, STROKE, way.direction);
      if (direction === undefined) return [];
      const strike = { ball: cue.id, direction, ...STROKE };
      return [{ line, way, direction, shot: { table: POOL, balls: [cue, object], strike } }];
    }),
  );
}

/** Such strokes from places by chance which pot as they are planned. */
function potting(tables: number) {
  const random = createRandom(91);
  return Array.from({ length: tables }, (_, k) => {
    const place = random.fork(k);
    const one = at('cue', 0.1 + 2.3 * place.uniform(), 0.1 + 1.07 * place.uniform());
    const other = at('1', 0.05 + 2.44 * place.uniform(), 0.05 + 1.17 * place.uniform());
    return Math.hypot(one.x - other.x, one.y - other.y) < 0.2 ? [] : linesFrom(one, other);
  })
    .flat()
    .flatMap((each) => {
      const { rest, events } = simulate(each.shot);
      const isPotted = rest.find(({ id }) => id === '1')?.pocket === each.line.pocket;
      return isPotted ? [{ ...each, events }] : [];
    });
}

describe('a pot by a cushion first', () => {
  it('goes off the cushion that it is meant for before it meets the ball', () => {
    const found = potting(60);
    expect(found.length).toBeGreaterThan(60);
    for (const { way, events } of found) {
      const [first, second] = events.filter(({ kind }) => kind === 'ball-cushion' || kind === 'ball-ball');
      expect(first).toMatchObject({ kind: 'ball-cushion', id: 'cue' });
      expect(first?.kind === 'ball-cushion' && first.cushion.startsWith(way.cushion)).toBe(true);
      expect(second?.kind).toBe('ball-ball');
    }
  });

  it('falls as often as it is said to, by fresh executions', () => {
    const draws = latinDraws(120, 5);
    const some = potting(60).filter(
      ({ line, way, shot }) =>
        roughCushionChance(shot.balls[0]!, line, way, toRadians(ERROR.directionDeg)) > 0.08,
    );
    let [said, fell] = [0, 0];
    for (const { line, way, direction, shot } of some) {
      said += cushionFalls(POOL, shot.balls[0]!, line, way, STROKE, direction, ERROR);
      const potted = draws.filter((draw) =>
        simulate(executedWith(shot, ERROR, draw)).rest.some(
          ({ id, pocket }) => id === '1' && pocket === line.pocket,
        ),
      );
      fell += potted.length / draws.length;
    }
    expect(some.length).toBeGreaterThan(40);
    expect(Math.abs(said - fell) / some.length).toBeLessThan(0.05);
  });

  it('has its mirror image on the mirrored table', () => {
    const { width } = POOL;
    const mirrored = ({ id, x, y }: BallOnTable) => at(id, x, width - y);
    const [cue, object] = [at('cue', 1.1, 0.4), at('1', 2.3, 1.05)];
    const here = linesFrom(cue, object).map(({ direction }) => direction);
    const there = linesFrom(mirrored(cue), mirrored(object)).map(({ direction }) => -direction);
    expect(here.length).toBeGreaterThan(1);
    const sorted = (list: number[]) => list.sort((a, b) => a - b);
    const [own, others] = [sorted(here), sorted(there)];
    expect(others).toHaveLength(own.length);
    for (const [k, direction] of own.entries()) expect(others[k]).toBeCloseTo(direction, 3);
  });
});
