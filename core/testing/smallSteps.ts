import { collideBalls, contactDistance } from '../motion/ballBall.ts';
import { noseDistance, reboundFromCushion } from '../motion/ballCushion.ts';
import type { Shot } from '../motion/shot.ts';
import { strikeBall } from '../motion/strike.ts';

/**
 * A brute-force twin of the simulator for its tests: the same forces and impulses, but time goes in small steps
 * and contacts are found by looking whether bodies overlap. Knows nothing of events, roots or phases.
 * @param dt step in seconds
 * @returns where the balls rest, or undefined when a ball comes near a pocket or time runs out
 */
export function smallStepRest(shot: Shot, dt: number): readonly { x: number; y: number }[] | undefined {
  const { table } = shot;
  const p = table.parameters;
  const balls = shot.balls.map((b) => ({
    ...(b.id === shot.strike.ball ? strikeBall(b, shot.strike) : { ...b, vx: 0, vy: 0, wx: 0, wy: 0, wz: 0 }),
    vz: 0,
  }));
  const steps = Math.ceil(40 / dt);
  const slide = p.slidingFriction * p.gravity;
  const roll = p.rollingFriction * p.gravity;
  for (let step = 0; step < steps; step++) {
    let moving = false;
    for (const b of balls) {
      const R = b.radius;
      const sx = b.vx - R * b.wy;
      const sy = b.vy + R * b.wx;
      const slip = Math.sqrt(sx * sx + sy * sy);
      const speed = Math.sqrt(b.vx * b.vx + b.vy * b.vy);
      if (slip > 4 * slide * dt) {
        const ax = (-slide * sx) / slip;
        const ay = (-slide * sy) / slip;
        b.vx += ax * dt;
        b.vy += ay * dt;
        b.wx += (2.5 * ay * dt) / R;
        b.wy -= (2.5 * ax * dt) / R;
        moving = true;
      } else if (speed > 2 * roll * dt) {
        b.vx -= (roll * b.vx * dt) / speed;
        b.vy -= (roll * b.vy * dt) / speed;
        b.wx = -b.vy / R;
        b.wy = b.vx / R;
        moving = true;
      } else {
        b.vx = b.vy = b.wx = b.wy = 0;
      }
      b.wz = Math.sign(b.wz) * Math.max(0, Math.abs(b.wz) - p.spinDeceleration * dt);
      b.x += b.vx * dt;
      b.y += b.vy * dt;
    }
    if (!moving) return balls;
    for (const b of balls) {
      const d = noseDistance(b.radius, p.noseHeight);
      const nearPocket = table.pockets.some((q) => Math.hypot(b.x - q.mouth.x, b.y - q.mouth.y) < 0.16);
      const low = (v: number) => v < d;
      if (low(b.x) || low(b.y) || low(table.length - b.x) || low(table.width - b.y)) {
        if (nearPocket) return undefined;
        const nx = low(b.x) ? -1 : low(table.length - b.x) ? 1 : 0;
        const ny = nx !== 0 ? 0 : low(b.y) ? -1 : 1;
        reboundFromCushion(b, b.mass, b.radius, nx, ny, p);
      }
    }
    for (let i = 0; i < balls.length; i++) {
      for (let j = i + 1; j < balls.length; j++) {
        const a = balls[i]!;
        const b = balls[j]!;
        const dx = b.x - a.x;
        const dy = b.y - a.y;
        const reach = contactDistance(a.radius, b.radius);
        if (dx * dx + dy * dy < reach * reach) {
          collideBalls(
            { motion: a, mass: a.mass, radius: a.radius },
            { motion: b, mass: b.mass, radius: b.radius },
            dx,
            dy,
            p,
          );
        }
      }
    }
  }
  return undefined;
}
