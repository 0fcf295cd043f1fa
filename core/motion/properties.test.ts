import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { ball, POOL, shotOf, SNOOKER } from '../testing/balls.ts';
import { buildTable, type Table } from '../table/table.ts';
import { contactDistance } from './ballBall.ts';
import { positionAt } from './path.ts';
import type { BallOnTable, Shot } from './shot.ts';
import { simulate } from './simulate.ts';

const SMALL = buildTable('eight-7ft');
const TABLES: readonly Table[] = [POOL, SNOOKER, SMALL];

/** A shot into some balls that lie anywhere, some of them frozen to each other or to a cushion. */
function anyShot(seed: number): Shot {
  const random = createRandom(seed);
  const table = TABLES[seed % TABLES.length]!;
  const { ballRadius, cueBallRadius } = table.preset;
  const count = 2 + Math.floor(6 * random.uniform());
  const balls: BallOnTable[] = [];
  for (let tries = 0; balls.length < count && tries < 200; tries++) {
    const radius = balls.length === 0 ? cueBallRadius : ballRadius;
    const reach = Math.sqrt(radius ** 2 - (table.parameters.noseHeight - radius) ** 2);
    const last = balls.at(-1);
    const angle = 2 * Math.PI * random.uniform();
    const frozen = last !== undefined && random.uniform() < 0.3;
    const x = frozen
      ? last.x + contactDistance(radius, last.radius) * Math.cos(angle)
      : 0.25 + random.uniform() * (table.length - 0.5);
    const y = frozen
      ? last.y + contactDistance(radius, last.radius) * Math.sin(angle)
      : random.uniform() < 0.15
        ? reach
        : 0.25 + random.uniform() * (table.width - 0.5);
    const clear = balls.every(
      (b) => Math.hypot(b.x - x, b.y - y) > contactDistance(radius, b.radius) - (b === last ? 1e-9 : -1e-3),
    );
    const inside = x > 0.1 && x < table.length - 0.1 && y >= reach && y < table.width - 0.1;
    if (clear && inside) {
      const id = balls.length === 0 ? 'cue' : String(balls.length);
      balls.push({ ...ball(id, x, y, table), radius, mass: balls.length === 0 ? 0.15 : 0.16 });
    }
  }
  return shotOf(table, balls, {
    speed: 0.3 + 5 * random.uniform(),
    direction: 2 * Math.PI * random.uniform(),
    tip: { side: 0.7 * (random.uniform() - 0.5), height: 0.7 * (random.uniform() - 0.5) },
    elevation: random.uniform() < 0.2 ? 0.4 * random.uniform() : 0,
  });
}

const runs = (seed: number, numRuns: number) => ({ seed, numRuns });
const anySeed = fc.integer({ min: 1, max: 1e6 });

describe('any shot', () => {
  it('ends, with every ball on the table, in a pocket or off it', () => {
    fc.assert(
      fc.property(anySeed, (seed) => {
        const shot = anyShot(seed);
        const { rest, complete } = simulate(shot);
        expect(complete).toBe(true);
        for (const b of rest.filter((each) => each.pocket === null)) {
          const { length, width } = shot.table;
          // A ball may hang in the jaws, a few centimetres behind the line of the noses.
          const behind = Math.max(-b.x, -b.y, b.x - length, b.y - width);
          expect(behind).toBeLessThan(0.06);
        }
      }),
      runs(101, 600),
    );
  });

  it('never lets two balls overlap at any event', () => {
    fc.assert(
      fc.property(anySeed, (seed) => {
        const { paths, events } = simulate(anyShot(seed), { paths: true });
        const shot = anyShot(seed);
        const gone = new Map(events.flatMap((e) => (e.kind === 'pocket' ? [[e.id, e.t] as const] : [])));
        for (const { t } of events) {
          const there = paths!
            .map((path, i) => ({ at: positionAt(path, t), ball: shot.balls[i]! }))
            .filter(({ ball: b }) => t < (gone.get(b.id) ?? Infinity));
          there.forEach((a, i) => {
            for (const b of there.slice(i + 1)) {
              const gap =
                Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y) - contactDistance(a.ball.radius, b.ball.radius);
              // While a blow lasts balls press each other in by less than a millimetre.
              expect(gap).toBeGreaterThan(-1e-3);
            }
          });
        }
        const { rest } = simulate(shot);
        rest.forEach((a, i) => {
          rest.slice(i + 1).forEach((b, k) => {
            if (a.pocket !== null || b.pocket !== null) return;
            const reach = contactDistance(shot.balls[i]!.radius, shot.balls[i + 1 + k]!.radius);
            expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(reach - 2e-6);
          });
        });
      }),
      runs(102, 150),
    );
  });

  it('is the same to the bit whatever the order of its balls', () => {
    fc.assert(
      fc.property(anySeed, (seed) => {
        const shot = anyShot(seed);
        const turned = simulate({ ...shot, balls: [...shot.balls].reverse() });
        expect([...turned.rest].reverse()).toEqual(simulate(shot).rest);
        expect(turned.events).toEqual(simulate(shot).events);
      }),
      runs(103, 150),
    );
  });

  it('mirrored gives the mirror image, and turned by half a turn the turned one', () => {
    fc.assert(
      fc.property(anySeed, fc.boolean(), (seed, turn) => {
        const shot = anyShot(seed);
        const { length, width } = shot.table;
        const { strike, balls } = shot;
        const image = simulate({
          ...shot,
          balls: balls.map((b) => ({ ...b, x: turn ? length - b.x : b.x, y: width - b.y })),
          strike: {
            ...strike,
            direction: turn ? strike.direction + Math.PI : -strike.direction,
            tip: { ...strike.tip, side: turn ? strike.tip.side : -strike.tip.side },
          },
        });
        const plain = simulate(shot);
        // Rounding grows with every hit; a few of them keep it far below what can be seen.
        fc.pre(plain.events.filter((e) => e.kind === 'ball-ball' || e.kind === 'ball-cushion').length <= 7);
        plain.rest.forEach((b, i) => {
          if (b.pocket !== null) return;
          expect(image.rest[i]!.x).toBeCloseTo(turn ? length - b.x : b.x, 5);
          expect(image.rest[i]!.y).toBeCloseTo(width - b.y, 5);
        });
      }),
      runs(104, 250),
    );
  });

  it('never has more energy of motion in plan than the cue gave it, spin included', () => {
    fc.assert(
      fc.property(anySeed, (seed) => {
        const shot = anyShot(seed);
        const { paths, duration } = simulate(shot, { paths: true });
        const { speed, tip } = shot.strike;
        // m·v² and 2/5·m·(5/2·v·offset)², twice the energy; the bed may only take of it.
        const given = shot.balls[0]!.mass * speed ** 2 * (1 + 2.5 * (tip.side ** 2 + tip.height ** 2));
        for (let t = 0; t < duration; t += duration / 40) {
          const now = paths!.reduce((sum, { pieces }, i) => {
            const piece = pieces.findLast((each) => each.t <= t)!;
            const vx = piece.vx + piece.ax * (t - piece.t);
            const vy = piece.vy + piece.ay * (t - piece.t);
            return sum + shot.balls[i]!.mass * (vx * vx + vy * vy);
          }, 0);
          expect(now).toBeLessThanOrEqual(given * (1 + 1e-9));
        }
      }),
      runs(105, 150),
    );
  });
});

describe('hard cases', () => {
  it('a full-power break of 21 balls on a snooker table ends', () => {
    const r = SNOOKER.preset.ballRadius;
    const balls = [ball('cue', 0.6, 0.75, SNOOKER)];
    for (let line = 0; line < 5; line++) {
      for (let k = 0; k <= line; k++) {
        balls.push(ball(`r${line}${k}`, 2.74 + line * r * Math.sqrt(3), 0.889 + (2 * k - line) * r, SNOOKER));
      }
    }
    for (const [id, x, y] of [
      ['yellow', 0.737, 0.597],
      ['green', 0.737, 1.181],
      ['brown', 0.737, 0.889],
      ['blue', 1.785, 0.889],
      ['pink', 2.677, 0.889],
      ['black', 3.245, 0.889],
    ] as const)
      balls.push(ball(id, x, y, SNOOKER));
    for (const speed of [1, 4, 9]) {
      const { complete, rest } = simulate(shotOf(SNOOKER, balls, { speed, direction: 0.066 }));
      expect(complete).toBe(true);
      expect(rest).toHaveLength(22);
    }
  });

  it('a ball pressed against a frozen ball and a cushion by heavy follow comes to an end', () => {
    const r = POOL.preset.ballRadius;
    const reach = Math.sqrt(r ** 2 - (POOL.parameters.noseHeight - r) ** 2);
    const object = ball('1', POOL.length - reach, 0.6);
    for (const gap of [0, 1e-6, 0.3]) {
      const cue = ball('cue', object.x - 2 * r - gap, 0.6);
      for (const height of [0.5, -0.5]) {
        const shot = shotOf(POOL, [cue, object], { speed: 3, tip: { side: 0, height } });
        expect(simulate(shot).complete).toBe(true);
      }
    }
  });

  it('a slow ball that just reaches another one touches it', () => {
    const { rollingFriction, gravity } = POOL.parameters;
    const r = POOL.preset.ballRadius;
    for (const beyond of [1e-4, 1e-6]) {
      const speed = Math.sqrt(2 * rollingFriction * gravity * (0.5 + beyond));
      const { events } = simulate(
        shotOf(POOL, [ball('cue', 0.5, 0.6), ball('1', 1 + 2 * r, 0.6)], {
          speed,
          tip: { side: 0, height: 0.4 },
        }),
      );
      expect(events.some((event) => event.kind === 'ball-ball')).toBe(true);
    }
  });

  it('a grazing ball misses by a hair or brushes by a hair', () => {
    const r = POOL.preset.ballRadius;
    for (const [aside, met] of [
      [2 * r + 1e-7, false],
      [2 * r - 1e-7, true],
    ] as const) {
      const { events } = simulate(
        shotOf(POOL, [ball('cue', 0.5, 0.5), ball('1', 1, 0.5 + aside)], {
          speed: 2,
          tip: { side: 0, height: 0.4 },
        }),
      );
      expect(events.some((event) => event.kind === 'ball-ball')).toBe(met);
    }
  });
});
