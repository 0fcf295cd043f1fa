import { distance } from '../../math/point.ts';
import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { acceptanceAbout } from '../../shot/acceptanceNear.ts';
import { hitOf, type Hit } from '../../shot/kicks/hit.ts';
import type { Table } from '../../table/table.ts';
import { leftOnTable } from '../aftermath.ts';
import { bestLeft } from './leave.ts';

/** Paces that are tried, m/s; half turns of the cue are looked at in these steps, radians. */
const SPEEDS = [1.2, 1.9, 2.8, 4];
const STEP = 0.015;
/** Leaves nearer to each other than this are alike: the one farther away counts. */
const ALIKE = 0.01;

/** A stroke that meets a ball first, and what it leaves as planned. */
interface PlannedSafety {
  readonly shot: Shot;
  /** Chance of the opponent's best pot, 0…1. */
  readonly left: number;
  /** How far the cue ball is from the nearest ball, metres. */
  readonly away: number;
}

/** Which strokes are looked for. */
export interface HitWish {
  /** The ball that is to be met first. */
  readonly target: string;
  /** Whether a hit is one that is wanted, beside the ball that it meets. */
  readonly wanted: (hit: Hit) => boolean;
  /** Sides of the tip that are tried, ball radii. */
  readonly sides: readonly number[];
}

/**
 * The strokes that meet a ball first as is wanted and keep the cue ball, those that leave least first: by the chance of the
 * opponent's best pot, and of those alike by how far the cue ball is from every ball.
 * @param error the opponent's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees)
 * @param balls as they lie, the cue ball among them
 */
export function safeties(
  table: Table,
  error: ExecutionError,
  balls: readonly BallOnTable[],
  cueId: string,
  { target, wanted, sides }: HitWish,
): readonly PlannedSafety[] {
  const found: PlannedSafety[] = [];
  for (const side of sides) {
    for (const speed of SPEEDS) {
      for (let direction = -Math.PI; direction < Math.PI; direction += STEP) {
        const strike = { ball: cueId, speed, direction, tip: { side, height: 0 }, elevation: 0 };
        const shot: Shot = { table, balls, strike };
        const result = simulate(shot, { paths: true });
        const hit = hitOf(result, cueId);
        if (hit.first !== target || !wanted(hit)) continue;
        const after = leftOnTable(balls, result.rest);
        const cue = after.find(({ id }) => id === cueId);
        if (cue === undefined) continue;
        const objects = after.filter((ball) => ball !== cue);
        const left = bestLeft(table, error, cue, objects, target, acceptanceAbout);
        found.push({ shot, left, away: Math.min(...objects.map((ball) => distance(ball, cue))) });
      }
    }
  }
  const step = ({ left }: PlannedSafety) => Math.round(left / ALIKE);
  return found.sort((a, b) => step(a) - step(b) || b.away - a.away);
}
