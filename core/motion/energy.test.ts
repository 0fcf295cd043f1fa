import { describe, expect, it } from 'vitest';
import { breakRack } from '../testing/racks.ts';
import { seededShot } from '../testing/thousandShots.ts';
import { begin } from './begin.ts';
import { engineFor, type Engine } from './engine.ts';
import { playNext } from './playEvent.ts';
import type { Shot } from './shot.ts';
import { Phase } from './state.ts';
import { strikeBall } from './strike.ts';

/** Energy of motion, spin and height of all balls at the present event, joules. */
function totalEnergy({ s, now, table }: Engine): number {
  const { gravity } = table.parameters;
  let total = 0;
  for (let i = 0; i < s.count; i++) {
    const phase = s.phase[i]!;
    if (phase >= Phase.Potted) continue;
    // A contact phase leaves its balls ahead of what else happens meanwhile; they are taken as they stand there.
    const dt = Math.max(0, now - s.t0[i]!);
    const [mass, radius] = [s.mass[i]!, s.radius[i]!];
    const vx = s.vx[i]! + s.ax[i]! * dt;
    const vy = s.vy[i]! + s.ay[i]! * dt;
    const flies = phase === Phase.Flying;
    const vz = flies ? s.vz[i]! - gravity * dt : 0;
    const height = flies ? s.z[i]! - radius + (s.vz[i]! - 0.5 * gravity * dt) * dt : 0;
    const rolls = phase === Phase.Rolling;
    const wx = rolls ? -vy / radius : s.wx[i]! + s.bx[i]! * dt;
    const wy = rolls ? vx / radius : s.wy[i]! + s.by[i]! * dt;
    const wz = s.wz[i]!;
    const inertia = 0.4 * mass * radius * radius;
    total +=
      0.5 * mass * (vx * vx + vy * vy + vz * vz) +
      0.5 * inertia * (wx * wx + wy * wy + wz * wz) +
      mass * gravity * height;
  }
  return total;
}

/** The largest share of the first energy that any one event adds, and how many events there were. */
function largestGain({ table, balls, strike }: Shot): { readonly gain: number; readonly events: number } {
  const e = engineFor(table, balls.length);
  const struck = balls.findIndex((ball) => ball.id === strike.ball);
  begin(e, balls, [strikeBall(balls[struck]!, strike, table.parameters.endMass)], struck, false);
  const first = totalEnergy(e);
  let before = first;
  let gain = 0;
  let events = 0;
  while (playNext(e, true, false)) {
    const after = totalEnergy(e);
    gain = Math.max(gain, (after - before) / first);
    before = after;
    events++;
  }
  return { gain, events };
}

describe('energy of motion, spin and height together', () => {
  it('never grows from one event to the next, in fifteen hundred seeded shots of every kind', () => {
    let events = 0;
    const grew: string[] = [];
    for (let seed = 1; seed <= 1500; seed++) {
      const found = largestGain(seededShot(seed));
      events += found.events;
      // What a contact phase stores in the balls comes back within its own event; its steps lose no more than this.
      if (found.gain > 1e-6) grew.push(`seed ${String(seed)}: ${found.gain.toExponential(2)}`);
    }
    expect(grew).toEqual([]);
    expect(events).toBeGreaterThan(10_000);
  });

  it.each([1e-6, 3e-4])('never grows in a break of a rack with gaps of %s m', (gap) => {
    const { gain, events } = largestGain(breakRack(gap, 9));
    expect(gain).toBeLessThan(1e-6);
    expect(events).toBeGreaterThan(100);
  });
});
