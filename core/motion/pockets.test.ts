import { describe, expect, it } from 'vitest';
import { ball, moving, POOL, SNOOKER } from '../testing/balls.ts';
import { pocketNamed, type Table } from '../table/table.ts';
import type { PocketName } from '../table/pockets.ts';
import { simulateMotion } from './simulate.ts';

/** Rolls a ball at a pocket from 0.8 m away along a line that misses the middle of the mouth by `off` metres. */
function roll(table: Table, name: PocketName, speed: number, off: number, turn = 0) {
  const { mouth } = pocketNamed(table, name);
  const centre = { x: table.length / 2, y: table.width / 2 };
  const inward = name.startsWith('middle')
    ? Math.sign(centre.y - mouth.y) * (Math.PI / 2)
    : Math.atan2(Math.sign(centre.y - mouth.y), Math.sign(centre.x - mouth.x));
  const from = inward + turn;
  const [ux, uy] = [-Math.cos(from), -Math.sin(from)];
  const at = ball('a', mouth.x - 0.8 * ux - off * uy, mouth.y - 0.8 * uy + off * ux, table);
  return simulateMotion(table, [
    moving(at, {
      vx: speed * ux,
      vy: speed * uy,
      wx: (-speed * uy) / at.radius,
      wy: (speed * ux) / at.radius,
    }),
  ]);
}

describe.each([
  ['pool', POOL],
  ['snooker', SNOOKER],
] as const)('the pockets of a %s table', (_, table) => {
  it.each(['head-right', 'head-left', 'middle-right', 'middle-left', 'foot-right', 'foot-left'] as const)(
    'take a ball that rolls in through the middle of %s at any pace',
    (name) => {
      for (const speed of [0.6, 1.5, 4]) {
        const { rest, events } = roll(table, name, speed, 0);
        expect(rest[0]!.pocket).toBe(name);
        expect(events.some((event) => event.kind === 'ball-cushion')).toBe(false);
      }
    },
  );

  it('take less of a fast ball than of a slow one', () => {
    for (const name of ['foot-left', 'middle-left'] as const) {
      const taken = (speed: number) => {
        let count = 0;
        for (let off = -0.06; off <= 0.06; off += 0.001) {
          for (const turn of [-0.3, 0, 0.3]) {
            if (roll(table, name, speed, off, turn).rest[0]!.pocket === name) count++;
          }
        }
        return count;
      };
      expect(taken(4)).toBeLessThan(taken(0.7));
    }
  });

  it('let a ball rattle: it meets both jaws and stays out, or falls', () => {
    let rattledOut = 0;
    let rattledIn = 0;
    for (let off = -0.06; off <= 0.06; off += 0.0005) {
      const { events, rest } = roll(table, 'foot-left', 2.5, off);
      const jaws = events.filter((event) => event.kind === 'ball-cushion').map((event) => event.cushion);
      if (jaws.includes('foot') && jaws.includes('left-foot')) {
        if (rest[0]!.pocket === null) rattledOut++;
        else rattledIn++;
      }
    }
    expect(rattledOut).toBeGreaterThan(0);
    expect(rattledIn).toBeGreaterThan(0);
  });

  it('let a ball hang that runs out of pace on the shelf', () => {
    const { drop, radius, mouth } = pocketNamed(table, 'foot-left');
    // A ball stops within a few millimetres of the drop when its pace is chosen so.
    const { rollingFriction, gravity } = table.parameters;
    const way = 0.8 + Math.hypot(drop.x - mouth.x, drop.y - mouth.y) - radius - 0.004;
    const { rest } = roll(table, 'foot-left', Math.sqrt(2 * rollingFriction * gravity * way), 0);
    expect(rest[0]!.pocket).toBeNull();
    expect(Math.hypot(rest[0]!.x - drop.x, rest[0]!.y - drop.y) - radius).toBeCloseTo(0.004, 4);
  });
});
