import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { ball, bedWith, moving, POOL, shotOf } from '../testing/balls.ts';
import { buildTable } from '../table/table.ts';
import { simulate, simulateMotion } from './simulate.ts';

const R = POOL.preset.ballRadius;
const G = 9.81;
const bouncy = bedWith({ bedRestitution: 0.5 });
const table = buildTable('pool-9ft', { bedRestitution: 0.5 });

describe('a ball in the air', () => {
  it.each([0.3, 0.8, 2])(
    'thrown up at %s m/s flies 2·v/g and bounces at half its fall, again and again',
    (vz) => {
      const { events } = simulateMotion(bouncy, [moving(ball('a', 0, 0), { vx: 1, wy: 1 / R, vz })]);
      const bounces = events.filter((event) => event.kind === 'bounce').map((event) => event.t);
      expect(bounces[0]!).toBeCloseTo((2 * vz) / G, 12);
      expect(bounces[1]! - bounces[0]!).toBeCloseTo(vz / G, 9);
      expect(bounces[2]! - bounces[1]!).toBeCloseTo((0.5 * vz) / G, 9);
      expect(events.at(-1)).toMatchObject({ kind: 'rest' });
    },
  );

  it('is what the cue makes of a raised butt, and stays on the cloth where the bed gives nothing back', () => {
    const over = { speed: 3, elevation: toRadians(40), tip: { side: 0, height: 0 } };
    const hop = simulate(shotOf(bouncy, [ball('cue', 0, 0)], over), { paths: true });
    const { flight } = hop.paths![0]!.pieces[0]!;
    expect(flight!.vz).toBeCloseTo(0.5 * 3 * Math.sin(toRadians(40)), 12);
    expect(hop.events[0]).toMatchObject({ kind: 'hop', id: 'cue' });
    const dead = simulate(shotOf(bedWith(), [ball('cue', 0, 0)], over));
    expect(dead.events.some((event) => event.kind === 'hop')).toBe(false);
  });

  it('passes over a ball when it is high enough, and hits it in three dimensions when it is not', () => {
    const jump = (vz: number) =>
      simulateMotion(bouncy, [
        moving(ball('cue', 0, 0), { vx: 2, wy: 2 / R, vz }),
        moving(ball('1', 0.35, 0), {}),
      ]);
    // At x = 0.35 after 0.175 s: 1.3·t − g·t²/2 = 77 mm > 2R; 0.9 m/s gives 7 mm.
    expect(jump(1.3).events.some((event) => event.kind === 'ball-ball')).toBe(false);
    const low = jump(0.9);
    const hit = low.events.find((event) => event.kind === 'ball-ball')!;
    const x = 2 * hit.t;
    const z = 0.9 * hit.t - 0.5 * G * hit.t ** 2;
    expect(Math.hypot(0.35 - x, z)).toBeCloseTo(2 * R, 9);
  });

  it('flies over the cushion and is off the table; slower it comes back from the nose', () => {
    const at = ball('cue', POOL.length - 0.3, POOL.width / 2);
    const off = simulateMotion(table, [moving(at, { vx: 3, vz: 1.2 })]);
    expect(off.rest[0]).toMatchObject({ offTable: true, pocket: null });
    expect(off.events.at(-1)).toMatchObject({ kind: 'off-table', id: 'cue' });
    const back = simulateMotion(table, [moving(at, { vx: 3, wy: 3 / R, vz: 0.2 })]);
    expect(back.rest[0]!.offTable).toBe(false);
    expect(back.events.some((event) => event.kind === 'ball-cushion')).toBe(true);
  });

  it('comes to an end on the table, in a pocket or off it, whatever it meets', () => {
    for (let k = 0; k < 40; k++) {
      const { rest, complete } = simulateMotion(table, [
        moving(ball('cue', 0.4, 0.3 + 0.015 * k), { vx: 3, vy: 0.1 * k, vz: 0.04 * k, wz: 10 * (k - 20) }),
        moving(ball('1', 1.2, 0.5), {}),
        moving(ball('2', 1.3, 0.7), {}),
      ]);
      expect(complete).toBe(true);
      for (const b of rest.filter((each) => each.pocket === null && !each.offTable)) {
        expect(b.x).toBeGreaterThan(-0.06);
        expect(b.x).toBeLessThan(POOL.length + 0.06);
      }
    }
  });
});
