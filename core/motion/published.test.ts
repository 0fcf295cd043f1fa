import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../math/angle.ts';
import { ball, bedWith, moving, POOL } from '../testing/balls.ts';
import { buildTable } from '../table/table.ts';
import { noseDistance } from './noseDistance.ts';
import { positionAt } from './path.ts';
import type { BallMotion } from './shot.ts';
import { simulateMotion } from './simulate.ts';

/** What players and experiments say of whole shots, held against the simulator. */

const small = buildTable('eight-7ft');

/** A ball's way off the left-hand cushion of a table: its direction from the normal just after it, and once it rolls. */
function offTheCushion(table: typeof POOL, b: BallMotion) {
  const { paths, events } = simulateMotion(table, [b], { paths: true });
  const hit = events.find((event) => event.kind === 'ball-cushion')!;
  const { pieces } = paths![0]!;
  const first = pieces.findIndex((piece) => Math.abs(piece.t - hit.t) < 1e-12);
  const outDeg = (k: number) => toDegrees(Math.atan2(pieces[k]!.vx, -pieces[k]!.vy));
  return { path: paths![0]!, hitAt: hit.t, now: outDeg(first), rolled: outDeg(first + 1) };
}

/** A ball some way from the left-hand cushion, sent at it at an angle from the normal. */
function sent(
  table: typeof POOL,
  inDeg: number,
  speed: number,
  way: number,
  spin: { readonly roll: number; readonly side: number },
): BallMotion {
  const at = ball('o', 0.35, 0, table);
  const reach = noseDistance(at.radius, table.parameters.noseHeight);
  const vx = speed * Math.sin(toRadians(inDeg));
  const vy = speed * Math.cos(toRadians(inDeg));
  return moving(
    { ...at, y: table.width - reach - way },
    {
      vx,
      vy,
      wx: (-spin.roll * vy) / at.radius,
      wy: (spin.roll * vx) / at.radius,
      wz: (2.5 * spin.side * speed) / at.radius,
    },
  );
}

describe('a soft double rebounds wide of the mirror line, a firm one narrow', () => {
  // Small table, 20° in, stunned: the slope at which it comes back across the table; the mirror's is 0.364.
  it.each([
    [1.2, 0.447],
    [2, 0.414],
    [3, 0.33],
    [5, 0.274],
  ])('at %s m/s it comes back at a slope of %s', (speed, slope) => {
    const { path, hitAt } = offTheCushion(small, sent(small, 20, speed, 0.395, { roll: 0, side: 0 }));
    const from = positionAt(path, hitAt);
    let t = hitAt;
    while (from.y - positionAt(path, t).y < 0.85) t += 1e-4;
    const to = positionAt(path, t);
    expect(Math.abs((to.x - from.x) / (from.y - to.y) - slope)).toBeLessThan(0.01);
  });
});

describe('a ball keeps more of its running side when fast', () => {
  it('so that, rolled 1 m at 30° with side 0.3, it leaves wider when hit harder: about 22, 30 and 35°', () => {
    const out = [0.7, 1, 2].map(
      (speed) =>
        offTheCushion(POOL, sent(POOL, 30, speed, Math.cos(toRadians(30)), { roll: 1, side: 0.3 })).now,
    );
    expect(out[1]!).toBeGreaterThan(out[0]! + 3);
    expect(out[2]!).toBeGreaterThan(out[1]! + 1.5);
    [22, 30, 35].forEach((said, i) => expect(Math.abs(out[i]! - said)).toBeLessThan(3));
  });
});

describe('heavy draw with a little check side', () => {
  it.each([25, 35])('squares a ball up that comes in at %s°', (inDeg) => {
    const plain = offTheCushion(POOL, sent(POOL, inDeg, 2.5, 0.05, { roll: 1, side: 0 }));
    const drawn = offTheCushion(POOL, sent(POOL, inDeg, 2.5, 0.05, { roll: -1, side: -0.3 }));
    expect(Math.abs(drawn.now)).toBeLessThan(plain.now - 4);
    expect(Math.abs(drawn.rolled)).toBeLessThan(0.6 * Math.abs(plain.rolled));
  });
});

describe('a light cue ball', () => {
  const table = bedWith({ ballRestitution: 0.94, ballFriction: { a: 0, b: 0, c: 0 } });
  const cue = { id: 'cue', x: 0, y: 0, radius: 0.0254, mass: 0.097 };
  const object = { id: '1', x: 2 * 0.0254 + 1e-9, y: 0, radius: 0.0254, mass: 0.118 };
  /** Where the cue ball of a full hit ends, with some of the spin of rolling on it. */
  const endsAt = (roll: number) =>
    simulateMotion(table, [moving(cue, { vx: 1.5, wy: (roll * 1.5) / cue.radius }), moving(object, {})])
      .rest[0]!.x;

  it('stunned full comes back, and needs a little follow to stop dead', () => {
    expect(endsAt(0)).toBeLessThan(-0.01);
    // Rolling out keeps 5/7 of the velocity and 2/7 of the spin's: −0.0645·5 + 2·ω must vanish, so ω is 0.161 of rolling; it slides back 2 mm meanwhile.
    expect(Math.abs(endsAt(0.161))).toBeLessThan(Math.abs(endsAt(0)) / 8);
    expect(endsAt(0.3)).toBeGreaterThan(0.005);
  });
});

describe('throw at a half-ball stun shot', () => {
  const real = bedWith();
  const R = POOL.preset.ballRadius;
  const throwDeg = (speed: number, roll: number, side: number) => {
    const [x, y] = [2 * R * Math.cos(toRadians(30)), 2 * R * Math.sin(toRadians(30))];
    const { paths } = simulateMotion(
      real,
      [
        moving(ball('cue', 0, 0), { vx: speed, wy: (roll * speed) / R, wz: (2.5 * side * speed) / R }),
        moving(ball('1', x * (1 + 1e-9), y * (1 + 1e-9)), {}),
      ],
      { paths: true },
    );
    const piece = paths![1]!.pieces.find((each) => each.vx !== 0)!;
    return 30 - toDegrees(Math.atan2(piece.vy, piece.vx));
  };

  it('is a few degrees when slow, less when hard, less with top or draw, none when geared', () => {
    expect(throwDeg(0.7, 0, 0)).toBeGreaterThan(3);
    expect(throwDeg(0.7, 0, 0)).toBeLessThan(6);
    expect(throwDeg(4, 0, 0)).toBeLessThan(0.5 * throwDeg(0.7, 0, 0));
    for (const roll of [1, -1]) expect(throwDeg(0.7, roll, 0)).toBeLessThan(0.6 * throwDeg(0.7, 0, 0));
    expect(throwDeg(0.7, 0, 0.2)).toBeCloseTo(0, 6);
  });
});
