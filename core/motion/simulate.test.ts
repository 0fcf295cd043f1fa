import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contactDistance } from './ballBall.ts';
import { positionAt, samplePath } from './path.ts';
import type { BallOnTable, Shot } from './shot.ts';
import { simulate } from './simulate.ts';
import { createRandom } from '../random/random.ts';
import { ball, POOL, shotOf, SNOOKER } from '../testing/balls.ts';

/** Some balls thrown on a table without overlap, and a stroke at the first. */
function randomShot(seed: number, table = POOL): Shot {
  const random = createRandom(seed);
  const { ballRadius: r } = table.preset;
  const balls: BallOnTable[] = [];
  while (balls.length < 3) {
    const x = 0.15 + random.uniform() * (table.length - 0.3);
    const y = 0.15 + random.uniform() * (table.width - 0.3);
    if (balls.every((b) => Math.hypot(b.x - x, b.y - y) > 2.2 * r)) {
      balls.push(ball(balls.length === 0 ? 'cue' : String(balls.length), x, y, table));
    }
  }
  return shotOf(table, balls, {
    speed: 0.5 + 3 * random.uniform(),
    direction: 2 * Math.PI * random.uniform(),
    tip: { side: 0.5 * (random.uniform() - 0.5), height: 0.6 * (random.uniform() - 0.5) },
  });
}

/** The same shot seen in a mirror along the table's middle. */
function mirrored(shot: Shot): Shot {
  const { table, balls, strike } = shot;
  return {
    table,
    balls: balls.map((b) => ({ ...b, y: table.width - b.y })),
    strike: { ...strike, direction: -strike.direction, tip: { ...strike.tip, side: -strike.tip.side } },
  };
}

describe('simulate', () => {
  it('is a pure function: the same shot twice is identical', () => {
    for (let seed = 1; seed <= 20; seed++) {
      expect(simulate(randomShot(seed), { paths: true })).toEqual(
        simulate(randomShot(seed), { paths: true }),
      );
    }
  });

  it('mirrors, up to rounding that a few collisions enlarge', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const shot = randomShot(seed);
        const plain = simulate(shot);
        const mirror = simulate(mirrored(shot));
        fc.pre(plain.events.filter((e) => e.kind === 'ball-ball' || e.kind === 'ball-cushion').length <= 8);
        plain.rest.forEach((rest, i) => {
          expect(mirror.rest[i]!.x).toBeCloseTo(rest.x, 6);
          if (rest.pocket === null) expect(mirror.rest[i]!.y).toBeCloseTo(POOL.width - rest.y, 6);
        });
      }),
      { seed: 11, numRuns: 150 },
    );
  });

  it.each([POOL, SNOOKER])('keeps every ball on the table or in a pocket, apart, and ends', (table) => {
    for (let seed = 1; seed <= 300; seed++) {
      const { rest, complete } = simulate(randomShot(seed, table));
      expect(complete).toBe(true);
      const lying = rest.filter((b) => b.pocket === null);
      for (const b of lying) {
        // A ball may hang in the jaws, a few centimetres behind the line of the noses.
        const behind = Math.max(-b.x, -b.y, b.x - table.length, b.y - table.width);
        expect(behind).toBeLessThan(0.06);
        for (const other of lying) {
          if (other !== b) {
            expect(Math.hypot(b.x - other.x, b.y - other.y)).toBeGreaterThan(
              contactDistance(table.preset.ballRadius, table.preset.ballRadius) - 1e-6,
            );
          }
        }
      }
    }
  });

  it('pots a ball played straight into each pocket and names it', () => {
    for (const table of [POOL, SNOOKER]) {
      for (const pocket of table.pockets) {
        const from = { x: table.length / 2 - 0.02, y: table.width / 2 };
        const direction = Math.atan2(pocket.mouth.y - from.y, pocket.mouth.x - from.x);
        const { rest, events } = simulate(
          shotOf(table, [ball('cue', from.x, from.y, table)], { speed: 2, direction }),
        );
        expect(rest[0]!.pocket).toBe(pocket.name);
        expect(events.at(-1)).toMatchObject({ kind: 'pocket', id: 'cue', pocket: pocket.name });
      }
    }
  });

  it('plays a full rack of balls that nearly touch to its end', () => {
    const r = POOL.preset.ballRadius;
    const balls = [ball('cue', 0.6, 0.635)];
    for (let row = 0; row < 5; row++) {
      for (let k = 0; k <= row; k++) {
        balls.push(ball(`${row}-${k}`, 1.905 + row * r * 1.7325, 0.635 + (2 * k - row) * r * 1.0003));
      }
    }
    const { complete, rest } = simulate(shotOf(POOL, balls, { speed: 9, direction: 0.001 }));
    expect(complete).toBe(true);
    expect(rest.filter((b) => Math.hypot(b.x - 1.905, b.y - 0.635) > 0.3).length).toBeGreaterThan(8);
  });
});

describe('the path of a shot', () => {
  it('starts at the ball, ends where it rests, and is continuous', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const shot = randomShot(seed);
      const { paths, rest, duration } = simulate(shot, { paths: true });
      paths!.forEach((path, i) => {
        expect(positionAt(path, 0)).toEqual({ x: shot.balls[i]!.x, y: shot.balls[i]!.y });
        const end = positionAt(path, duration);
        expect(Math.hypot(end.x - rest[i]!.x, end.y - rest[i]!.y)).toBeLessThan(1e-9);
        path.pieces.slice(1).forEach((piece) => {
          const before = positionAt(path, piece.t - 1e-9);
          expect(Math.hypot(before.x - piece.x, before.y - piece.y)).toBeLessThan(1e-6);
        });
        const drawn = samplePath(path, duration);
        expect(Math.hypot(drawn.at(-1)!.x - rest[i]!.x, drawn.at(-1)!.y - rest[i]!.y)).toBeLessThan(1e-9);
      });
    }
  });
});
