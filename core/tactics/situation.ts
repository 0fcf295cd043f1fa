import type { BallOnTable } from '../motion/shot.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { FoulCost, Game } from '../rules/foulCost.ts';
import type { Table } from '../table/table.ts';

/** What a house may have a foul give at pool. */
export type FoulGives = Exclude<FoulCost, { readonly kind: 'points' }>;

/** Whose turn it is, at what, and against whom. */
export interface Situation {
  readonly table: Table;
  readonly game: Game;
  /** As they lie, the cue ball among them. */
  readonly balls: readonly BallOnTable[];
  readonly cue: string;
  /** Ids of the balls of which one has to be met first, and may be potted; at least one. */
  readonly on: readonly string[];
  /** Standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees). */
  readonly error: ExecutionError;
  readonly opponent: ExecutionError;
  /** At snooker: whether a miss is called, so that the opponent may have the stroke played again. */
  readonly missCalled: boolean;
  /** What a foul gives by the rules of the house; undefined for the game's usual ones, which alone count at snooker. */
  readonly foulGives?: FoulGives | undefined;
  /** At snooker: the player's points less the opponent's, where the frame counts; undefined where points alone do. */
  readonly lead?: number | undefined;
}
