import { distance } from '../../math/point.ts';
import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { hitOf } from '../../shot/kicks/hit.ts';
import type { Table } from '../../table/table.ts';
import { leftOnTable } from '../aftermath.ts';
import { bestLeft } from './leave.ts';

/** Paces that are tried, m/s; half turns of the cue are looked at in these steps, radians. */
const SPEEDS = [1.2, 1.9, 2.8, 4];
const STEP = 0.03;
/** Leaves nearer to each other than this are alike: the one farther away counts. */
const ALIKE = 0.01;

/**
 * The plain stroke that meets a ball first and leaves least: the smallest chance of the opponent's best pot, and of
 * those alike the cue ball farthest from every ball.
 * @param error the opponent's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees) @param balls as they lie, the cue ball among them
 * @returns undefined where no stroke meets the ball and keeps the cue ball
 */
export function bestSafety(
  table: Table,
  error: ExecutionError,
  balls: readonly BallOnTable[],
  cueId: string,
  target: string,
): Shot | undefined {
  let best: { shot: Shot; left: number; away: number } | undefined;
  for (const speed of SPEEDS) {
    for (let direction = -Math.PI; direction < Math.PI; direction += STEP) {
      const strike = { ball: cueId, speed, direction, tip: { side: 0, height: 0 }, elevation: 0 };
      const shot: Shot = { table, balls, strike };
      const result = simulate(shot, { paths: true });
      if (hitOf(result, cueId).first !== target) continue;
      const after = leftOnTable(balls, result.rest);
      const cue = after.find(({ id }) => id === cueId);
      if (cue === undefined) continue;
      const objects = after.filter((ball) => ball !== cue);
      const left = bestLeft(table, error, cue, objects, target);
      const away = Math.min(...objects.map((ball) => distance(ball, cue)));
      if (best === undefined || left < best.left - ALIKE || (left < best.left + ALIKE && away > best.away)) {
        best = { shot, left, away };
      }
    }
  }
  return best?.shot;
}
