import type { LeaveGrade } from '../counting/kickScore.ts';
import type { BallAtRest } from '../motion/shot.ts';
import type { Hit } from '../shot/kicks/hit.ts';

/** Points that come with some chance. */
export interface Swing {
  /** 0…1. */
  readonly chance: number;
  readonly points: number;
}

/** Nothing is left to chance. */
export const STILL: Swing = { chance: 0, points: 0 };

/** How a turn can end, as it is told. */
export type EndKind = 'pot' | LeaveGrade | 'foul';

/** What one played stroke comes to. Worths are chances of the next pot, 0…1, or points at snooker. */
export interface TurnEnd {
  readonly kind: EndKind;
  readonly hit: Hit;
  /** The pot that was made; undefined for none. */
  readonly potted: string | undefined;
  /** What it brings the player: the ball, and what may follow. */
  readonly gained: number;
  /** What the opponent makes of the table that is left, and the penalty they get. */
  readonly theirs: number;
  readonly penalty: number;
  /** Chance of the opponent's best pot, 0…1. */
  readonly left: number;
  /** Whether the opponent may have the stroke played again. */
  readonly again: boolean;
  /** Points that are left on the table, at snooker; 0 elsewhere. */
  readonly pointsLeft: number;
  /** What of the worth is not certain, at snooker: the chance of a visit, and its points, below 0 for the opponent's. */
  readonly swing: Swing;
  readonly rest: readonly BallAtRest[];
}

/**
 * What a turn's end is worth to the player: what it gained, less what it gives the opponent.
 * @param again what the situation itself is worth: after a called miss the opponent takes the better of both; undefined where
 *   it is not played again
 */
export function worthOfEnd(
  { gained, theirs, penalty, again: mayRepeat }: TurnEnd,
  again: number | undefined,
): number {
  const given = mayRepeat && again !== undefined ? Math.max(theirs, -again) : theirs;
  return gained - penalty - given;
}
