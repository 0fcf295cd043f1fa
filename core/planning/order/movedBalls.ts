import { distance } from '../../math/point.ts';
import type { BallOnTable, ShotResult } from '../../motion/shot.ts';
import { isOnTable } from '../../shot/outcome.ts';
import type { Table } from '../../table/table.ts';
import { potLines, type AcceptanceSource } from '../potOptions.ts';

/** A ball that moved less is worth about the same from everywhere: its strokes are chosen by where it lies in any case, metres. */
export const ELSEWHERE = 0.03;
/** What each ball that is still to go leaves of the chance of clearing: one that lies open, and one that is blocked. */
const OPEN = 0.85;
const BLOCKED = 0.15;

/** Whether a shot left a ball, other than those that fell and the one that was struck, elsewhere. */
export function hasMoved([struck, ...balls]: readonly BallOnTable[], rest: ShotResult['rest']): boolean {
  return balls.some((ball) => {
    const at = rest.find(({ id }) => id === ball.id);
    return ball !== struck && at !== undefined && isOnTable(at) && distance(at, ball) > ELSEWHERE;
  });
}

/**
 * What may come of a table that a shot has changed, at a glance: a plan knows the balls only where they lay. Blocked balls
 * that were freed count as open ones.
 * @param balls object balls as they lie, the next one among them
 * @returns 0…1, beside the chance of the next pot
 */
export function opennessOf(table: Table, balls: readonly BallOnTable[], source: AcceptanceSource): number {
  const open = new Set(
    potLines(
      table,
      balls,
      balls.map(({ id }) => id),
      source,
    ).map(({ ball }) => ball),
  );
  const all = balls.reduce((product, { id }) => product * (open.has(id) ? OPEN : BLOCKED), 1);
  return Math.min(1, all / OPEN);
}

/** Whether a ball lies where it lay, or nearly. */
export function isWhereItLay(lay: readonly BallOnTable[], { id, x, y }: BallOnTable): boolean {
  const there = lay.find((ball) => ball.id === id);
  return there !== undefined && distance(there, { x, y }) < ELSEWHERE;
}
