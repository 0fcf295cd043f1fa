import { CUE_BALL } from '../drill/layout.ts';
import { inHandAfter, placesInHand } from '../drill/inHand.ts';
import type { OrderState } from '../drill/legalBalls.ts';
import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import type { AttemptLog } from '../records/attempt.ts';
import type { Drill } from '../records/drill.ts';
import type { Table } from '../table/table.ts';
import { replayClearance } from './countAttempt.ts';
import { layoutOfAttempt } from './layoutOfAttempt.ts';
import { liesAfter } from './liesAfter.ts';

/** A clearance before a shot. */
export interface PlanMoment {
  readonly state: OrderState;
  /** Object balls; those that did not fall lie where they were set, or where somebody tapped that a shot moved them. */
  readonly balls: readonly BallOnTable[];
  /** Undefined where nobody marked its place. */
  readonly cue: BallOnTable | 'in hand' | undefined;
  /** Where a cue ball in hand may lie, metres; undefined for anywhere. */
  readonly places: readonly Point[] | undefined;
  /** The ball that was played; undefined after the last shot, or where it was not told. */
  readonly played: string | undefined;
}

/**
 * The moments of a clearance at which a plan can say what to play: before each shot that was logged, and after the last
 * one while it goes on.
 * @param drill as it is played at the stage @param seed of the round @throws UncountableError for shots that cannot be
 */
export function planMoments(
  drill: Drill,
  table: Table,
  log: Pick<AttemptLog, 'seed' | 'set' | 'places' | 'shots'>,
  seed: number,
): readonly PlanMoment[] {
  const { shots } = log;
  const layout = layoutOfAttempt(drill, table.preset, log, seed);
  const objects = layout.balls.filter(({ id }) => id !== CUE_BALL);
  const moments: PlanMoment[] = [];
  let cue: PlanMoment['cue'] = layout.cue ?? 'in hand';
  for (let k = 0; k <= shots.length; k++) {
    const attempt = replayClearance(drill, log.set, shots.slice(0, k));
    const before = shots[k - 1];
    if (before !== undefined && attempt.cueBall !== 'where it was planned') {
      const { landing } = before;
      cue =
        attempt.cueBall === 'in hand'
          ? 'in hand'
          : landing === null
            ? undefined
            : cueBallAt(table, landing, CUE_BALL);
    }
    if (k === shots.length && attempt.over !== undefined) break;
    moments.push({
      state: { onTable: attempt.onTable, last: attempt.last, suit: attempt.suit },
      balls: liesAfter(objects, shots.slice(0, k)).filter(({ id }) => attempt.onTable.includes(id)),
      cue,
      places: placesInHand(table.preset, inHandAfter(drill, k)),
      played: shots[k]?.ball ?? undefined,
    });
  }
  return moments;
}
