import { bearing, type Point } from '../math/point.ts';
import type { Shot } from '../motion/shot.ts';
import { executionErrorOf } from '../player/levels.ts';
import type { AimPoint } from '../shot/kicks/aimPoint.ts';
import { kickChance } from '../shot/kicks/kickChance.ts';
import type { KickPosition } from '../shot/kicks/way.ts';
import type { Worth } from './worth.ts';

/** One of the lines that a question offers. */
export interface OfferedLine {
  /** Its letter. */
  readonly pick: string;
  /** Radians. */
  readonly direction: number;
}

/** What is asked of a position in which the ball that is on is hidden, or hard to pot. */
export type KickQuestion = {
  /** The stroke that is shown: the best line, the line that is asked about, or the better answer. */
  readonly shot: Shot;
  /** The ball to be met first. */
  readonly target: string;
} & (
  | {
      readonly kind: 'which line';
      readonly lines: readonly OfferedLine[];
      readonly truth: string;
      /** A team player's chance to meet the ball by each of them, the best first. */
      readonly worth: Worth;
    }
  | {
      readonly kind: 'where on the cushion';
      /** Where the cue points with the best line. */
      readonly truth: AimPoint;
      readonly cushions: readonly string[];
      /** A team player's chance to meet the ball with it. */
      readonly best: number;
    }
  | {
      readonly kind: 'which way to miss';
      readonly truth: 'left' | 'right';
      /** What strokes of a team player that are off to either side are worth on average; see `unit`. */
      readonly left: number;
      readonly right: number;
      /** What the next pot is worth at this game: 1 at pool, points at snooker. */
      readonly unit: number;
    }
  | {
      readonly kind: 'pot or safe';
      readonly truth: 'pot' | 'safe';
      /** What either is worth to a team player against one of the same level; see `unit`. */
      readonly potWorth: number;
      readonly safeWorth: number;
      /** Chance that the pot falls, 0…1. */
      readonly falls: number;
      readonly unit: number;
    }
);

/** Whether a ball is met first by any way. */
const meets =
  (target: string) =>
  ({ first }: { readonly first: string | undefined }) =>
    first === target;

/** Every other of the executions: enough to tell lines apart, and quick. */
const EVERY = 2;

/**
 * The chance that a team player meets a ball first with a stroke in some direction, by any cushions, 0…1.
 * @param direction radians @throws RangeError without the ball that is struck
 */
export function chanceToMeet({ table, balls, strike }: Shot, target: string, direction: number): number {
  const position: KickPosition = { table, balls, cue: strike.ball };
  const error = executionErrorOf('team', table.preset.game);
  return kickChance(position, strike, direction, error, meets(target), EVERY).met;
}

/** The direction in which a place lies from the ball that is struck, radians. @throws RangeError without that ball */
export function directionTo({ balls, strike }: Shot, place: Point): number {
  const cue = balls.find(({ id }) => id === strike.ball);
  if (cue === undefined) throw new RangeError(`directionTo: there is no ball ${strike.ball}`);
  return bearing(cue, place);
}
