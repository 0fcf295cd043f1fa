import type { Shot } from '../motion/shot.ts';
import { POCKET_NAMES, type PocketName } from '../table/pockets.ts';
import type { BreakKind } from './kinds.ts';
import type { Worth } from './worth.ts';

/** A rack and a break: into which pocket will the next ball go? */
export interface BreakCallQuestion {
  readonly kind: BreakKind;
  /** The break as it is planned, with the rack. */
  readonly shot: Shot;
  readonly truth: PocketName;
  /** Shares of the breaks after which the breaker goes on: how often the easiest next pot is into each pocket, the most first. */
  readonly worth: Worth;
  /** Share of breaks after which the breaker goes on, 0…1, and how many were played. */
  readonly goesOn: number;
  readonly breaks: number;
}

/** The pockets that may be called. */
export const BREAK_PICKS: readonly string[] = POCKET_NAMES;
