import { describe, expect, it } from 'vitest';
import { rackBalls } from '../rack/rack.ts';
import { createRandom } from '../random/random.ts';
import { cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { contactDistance } from './ballBall.ts';
import { positionAt } from './path.ts';
import type { BallOnTable, Shot } from './shot.ts';
import { simulate } from './simulate.ts';

/** How far two balls of a shot's rest lie in each other at most, metres; below 0 where none do. */
function deepest(balls: readonly BallOnTable[]): number {
  let most = -Infinity;
  for (const [i, a] of balls.entries()) {
    for (const b of balls.slice(i + 1))
      most = Math.max(most, contactDistance(a.radius, b.radius) - Math.hypot(a.x - b.x, a.y - b.y));
  }
  return most;
}

function restOf(shot: Shot): readonly BallOnTable[] {
  const { rest } = simulate(shot, { events: false });
  return shot.balls.flatMap((ball, i) => {
    const at = rest[i];
    return at === undefined || at.pocket !== null || at.offTable ? [] : [{ ...ball, x: at.x, y: at.y }];
  });
}

const strike = (speed: number, direction: number, height = 0) => ({
  ball: 'cue',
  speed,
  direction,
  tip: { side: 0, height },
  elevation: 0,
});

/** A break of a rack with gaps of up to a third of a millimetre, by a seed. */
function breakOf(seed: number, table = POOL): Shot {
  const random = createRandom(seed);
  const kind = table === POOL ? 'eight' : 'reds';
  const rack = rackBalls(kind, table.preset, 0.0003 * random.uniform());
  const cue = cueBall(0.25 * table.length, (0.3 + 0.4 * random.uniform()) * table.width, table);
  const head = rack[0] ?? cue;
  const direction = Math.atan2(head.y - cue.y, head.x - cue.x) + 0.02 * random.normal();
  return { table, balls: [cue, ...rack], strike: strike(4 + 5 * random.uniform(), direction, 0.2) };
}

describe('balls at rest', () => {
  it('after a break whose balls used to end half a millimetre in each other, lie apart', () => {
    // Two seeds of a hundred thousand: the worst that were seen.
    for (const [x, y, direction, height, gap] of WORST) {
      const balls = [cueBall(x, y), ...rackBalls('eight', POOL.preset, gap)];
      expect(deepest(restOf({ table: POOL, balls, strike: strike(8, direction, height) }))).toBeLessThan(0);
    }
  });

  it.each([POOL, SNOOKER])('lie outside each other after every break, and can be played on', (table) => {
    for (let seed = 1; seed <= 250; seed++) {
      const shot = breakOf(seed, table);
      const left = restOf(shot);
      expect(deepest(left), `seed ${seed}`).toBeLessThan(1e-9);
      const cue = left.find(({ id }) => id === 'cue');
      const object = left.find((ball) => ball !== cue);
      if (cue === undefined || object === undefined) continue;
      const direction = Math.atan2(object.y - cue.y, object.x - cue.x);
      const next = restOf({ table, balls: left, strike: strike(1.2, direction) });
      expect(deepest(next), `after seed ${seed}`).toBeLessThan(1e-9);
    }
  });

  it('that nobody has touched stay to the bit, even where they are written into each other by a rounding', () => {
    const { ballRadius: r } = POOL.preset;
    const pair = [
      { id: '1', x: 2, y: 0.3, radius: r, mass: 0.17 },
      { id: '2', x: 2 + 2 * r - 5e-7, y: 0.3, radius: r, mass: 0.17 },
    ];
    const { rest } = simulate({
      table: POOL,
      balls: [cueBall(0.5, 0.9), ...pair],
      strike: strike(1, Math.PI),
    });
    for (const { id, x, y } of pair) {
      const at = rest.find((ball) => ball.id === id);
      expect([at?.x, at?.y]).toEqual([x, y]);
    }
  });

  it('end where their paths end', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { rest, paths, duration } = simulate(breakOf(seed), { paths: true });
      for (const path of paths ?? []) {
        const at = rest.find(({ id }) => id === path.id);
        if (at === undefined || at.pocket !== null || at.offTable) continue;
        const end = positionAt(path, duration);
        expect(Math.hypot(end.x - at.x, end.y - at.y)).toBeLessThan(1e-9);
      }
    }
  });
});

/** The cue ball's place, direction, height of the tip and gap of the rack. */
const WORST: readonly (readonly [x: number, y: number, direction: number, height: number, gap: number])[] = [
  [0.7203297996675417, 0.8867137875743663, -0.17689709663081354, 0.14432832000484477, 5.210975212664032e-5],
  [0.9755548421541878, 1.0284785337066658, -0.3627847954435547, -0.15847724058472532, 3.6307848020937505e-5],
  [1.0911656145914355, 0.13494196499353608, 0.5201327193085524, -0.05953071144528632, 7.050164442493762e-5],
];
