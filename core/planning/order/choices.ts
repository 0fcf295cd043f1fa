import type { ShareInterval } from '../../statistics/wilson.ts';
import { POCKET_NAMES } from '../../table/pockets.ts';
import type { OrderGame } from './nodes.ts';

/** A chance by so many fresh play-outs. */
export interface PlayedChance extends ShareInterval {
  readonly plays: number;
}

/** What one of the choices before the first shot is, as its plan goes. */
export interface ChoiceCourse {
  /** Its balls as the plan takes them, and whether that is all of them. */
  readonly order: readonly string[];
  readonly complete: boolean;
  /** The cue ball's way over all shots, and over the longest one, metres. */
  readonly travel: number;
  readonly longest: number;
  /** Its balls that are hard to come at, the hardest first, and those that lie open. */
  readonly hard: readonly string[];
  readonly spare: readonly string[];
  /** Balls that lie close together, where one of its own is among them. */
  readonly clusters: readonly (readonly string[])[];
}

/** The same with its chance. */
export interface PlannedChoice extends PlayedChance, ChoiceCourse {}

/** An interval's end may be a rounding short of the share itself. */
const ROUNDING = 1e-9;

/**
 * The best of some choices, by number; undefined where the best two are a tie: each inside the other's interval.
 * @param chances at least one
 */
export function bestChoice(chances: readonly PlayedChance[]): number | undefined {
  const [best, next] = [...chances.keys()].sort((a, b) => chances[b]!.share - chances[a]!.share);
  if (best === undefined || next === undefined) return best;
  const [one, other] = [chances[best]!, chances[next]!];
  const inside = (share: number, { low, high }: PlayedChance) =>
    share > low - ROUNDING && share < high + ROUNDING;
  return inside(one.share, other) && inside(other.share, one) ? undefined : best;
}

/** The balls that a choice leaves to be potted. */
export function ownBalls<S>(game: OrderGame<S>, choice: S): readonly string[] {
  const own: string[] = [];
  let state = choice;
  while (!game.isCleared(state)) {
    const [next] = game.legal(state);
    if (next === undefined) break;
    own.push(next);
    state = game.after(state, next, POCKET_NAMES[0]);
  }
  return own;
}
