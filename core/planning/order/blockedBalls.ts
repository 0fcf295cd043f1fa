import type { BallOnTable } from '../../motion/shot.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { isClear } from '../../shot/corridor.ts';
import { pocketNamed, type Table } from '../../table/table.ts';
import { potLines } from '../potOptions.ts';

/** A ball that reaches no pocket while others are in its way. */
export interface BlockedBall {
  readonly ball: string;
  /** Ids of those in the way to the pocket with fewest of them; none when it falls into no pocket anyhow. */
  readonly by: readonly string[];
}

/** The balls that have no free way into any pocket as the table lies, with what blocks them. */
export function blockedBalls(table: Table, balls: readonly BallOnTable[]): readonly BlockedBall[] {
  return balls.flatMap((ball): BlockedBall | [] => {
    const ways = potLines(table, [ball], [ball.id], acceptanceOf).map(({ pocket }) => {
      const { mouth } = pocketNamed(table, pocket);
      return balls.filter((other) => other !== ball && !isClear(ball, mouth, ball.radius, [other]));
    });
    const fewest = ways.sort((a, b) => a.length - b.length)[0];
    if (fewest?.length === 0) return [];
    return { ball: ball.id, by: (fewest ?? []).map(({ id }) => id) };
  });
}
