import { describe, expect, it } from 'vitest';
import { wrapAngle } from '../../math/angle.ts';
import { bearing, distance } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import { positionAt } from '../../motion/path.ts';
import type { ShotResult } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { squirtTangent } from '../../motion/strike.ts';
import { createRandom } from '../../random/random.ts';
import { withoutCushions, type Table } from '../../table/table.ts';
import { ball, cueBall, POOL, SMALL, SNOOKER } from '../../testing/balls.ts';
import { passedLeft, playImpact, prepareImpact, type Impact } from './impact.ts';

const TABLES = [POOL, SNOOKER, SMALL];

function impactOf(over: Partial<Impact>): Impact {
  return { speed: 2, side: 0, height: 0, elevation: 0, direction: NaN, sent: NaN, spin: NaN, ...over };
}

/** Where the object ball of a simulated shot rolls, and how fast where it begins to; undefined when nothing met it. */
function rollingOf(result: ShotResult): { direction: number; speed: number } | undefined {
  const path = result.paths?.find(({ id }) => id === '1');
  // The last piece is the ball at rest; the one before it the straight roll.
  const roll = path?.pieces.at(-2);
  if (path === undefined || roll === undefined || path.pieces.length < 2) return undefined;
  const rest = positionAt(path, result.duration);
  return { direction: bearing(roll, rest), speed: Math.hypot(roll.vx, roll.vy) };
}

/** A stroke with the direction of the cue turned so that the cue ball leaves, after squirt, beside the ball by `off`. */
function simulated(
  table: Table,
  stroke: Impact,
  cue: { x: number; y: number },
  object: typeof cue,
  off: number,
) {
  const balls = [cueBall(cue.x, cue.y, table), ball('1', object.x, object.y, table)];
  const { side, height, speed, elevation } = stroke;
  const squirt = Math.atan(squirtTangent(side, table.preset.cueBallMass, table.parameters.endMass));
  const direction = bearing(cue, object) + off + squirt;
  return simulate(
    { table, balls, strike: { ball: 'cue', speed, direction, tip: { side, height }, elevation } },
    { paths: true },
  );
}

describe('an impact played by itself', () => {
  it('sends the object ball as the simulator does, whatever tip, pace and butt, on three tables', () => {
    const random = createRandom(20);
    let met = 0;
    let missed = 0;
    for (let k = 0; k < 600; k++) {
      const table = withoutCushions(TABLES[k % 3]!);
      const between = (low: number, high: number) => low + (high - low) * random.uniform();
      const cue = { x: between(0.5, 1), y: between(0.3, 0.6) };
      const apart = between(0.08, 1.2);
      const turned = between(-Math.PI, Math.PI);
      const object = { x: cue.x + apart * Math.cos(turned), y: cue.y + apart * Math.sin(turned) };
      const stroke = impactOf({
        speed: between(0.8, 5),
        side: between(-0.35, 0.35),
        height: between(-0.35, 0.35),
        elevation: k % 4 === 0 ? between(0.1, 0.9) : 0,
      });
      const widest = Math.asin(
        Math.min(1, contactDistance(table.preset.cueBallRadius, table.preset.ballRadius) / apart),
      );
      const off = between(-1.1, 1.1) * widest;
      prepareImpact(table, cue, object);
      const isHit = playImpact(table, stroke, off, false);
      const rolls = rollingOf(simulated(table, stroke, cue, object, off));
      // A cue ball that dies on the way, or only just brushes the ball, is left out of the comparison.
      if (rolls === undefined || rolls.speed < 0.02) {
        if (rolls === undefined) missed += Number(!isHit);
        continue;
      }
      met++;
      expect(isHit).toBe(true);
      expect(Math.abs(wrapAngle(stroke.direction + bearing(cue, object) - rolls.direction))).toBeLessThan(
        1e-4,
      );
      expect(stroke.sent).toBeCloseTo(1.4 * rolls.speed, 4);
    }
    expect(met).toBeGreaterThan(300);
    expect(missed).toBeGreaterThan(20);
  });

  it('says on which side a stroke passes that swerves round the ball', () => {
    const cue = { x: 0.6, y: 0.6 };
    const object = { x: 1.4, y: 0.6 };
    const table = withoutCushions(POOL);
    prepareImpact(table, cue, object);
    for (const [side, off] of [
      [0, 0.2],
      [0, -0.2],
      [0.4, 0.1],
      [0.4, 0.3],
      [-0.4, -0.1],
      [-0.4, -0.3],
    ] as const) {
      const stroke = impactOf({ speed: 2.2, side, elevation: side === 0 ? 0 : 0.7 });
      expect(playImpact(table, stroke, off, false)).toBe(false);
      const path = simulated(table, stroke, cue, object, off).paths!.find(({ id }) => id === 'cue')!;
      // Where it is level with the ball, by small steps of time.
      let t = 0;
      while (positionAt(path, t).x < object.x) t += 1e-3;
      expect(passedLeft()).toBe(positionAt(path, t).y > object.y);
    }
  });

  it('meets the cushion together with a ball that lies at it, as the simulator does', () => {
    const { ballRadius, cueBallRadius } = POOL.preset;
    const object = { x: 2.1, y: ballRadius + 0.0005 };
    let rebounds = 0;
    for (const cue of [
      { x: 1.5, y: 0.12 },
      { x: 1.7, y: 0.3 },
      { x: 1.6, y: cueBallRadius + 0.004 },
    ]) {
      prepareImpact(POOL, cue, object);
      const widest = Math.asin(contactDistance(cueBallRadius, ballRadius) / distance(cue, object));
      for (let share = -1; share <= 1; share += 0.05) {
        const off = share * widest;
        const stroke = impactOf({ speed: 1.4, height: 0.3 });
        const isHit = playImpact(POOL, stroke, off);
        const result = simulated(POOL, stroke, cue, object, off);
        const first = result.events.find(
          (event) => event.kind === 'ball-ball' || event.kind === 'ball-cushion',
        );
        if (first?.kind === 'ball-cushion' && first.id === 'cue') rebounds++;
        expect(isHit).toBe(result.events.some((event) => event.kind === 'ball-ball'));
      }
    }
    expect(rebounds).toBeGreaterThan(3);
    // Behind the jaw of the middle pocket: what touches it first never gets to the ball, or far off its line.
    const behind = { x: 1.42, y: ballRadius + 0.0105 };
    const cue = { x: 0.6, y: 0.3 };
    prepareImpact(POOL, cue, behind);
    const widest = Math.asin(contactDistance(cueBallRadius, ballRadius) / distance(cue, behind));
    let caught = 0;
    for (let share = -1; share <= 1; share += 0.02) {
      const stroke = impactOf({ speed: 3 });
      const isHit = playImpact(POOL, stroke, share * widest);
      const { events } = simulated(POOL, stroke, cue, behind, share * widest);
      const first = events.find(({ kind }) => kind === 'ball-ball' || kind === 'ball-cushion');
      if (first?.kind === 'ball-ball') expect(isHit).toBe(true);
      if (first?.kind === 'ball-cushion' && !isHit) caught++;
    }
    expect(caught).toBeGreaterThan(0);
  });
});
