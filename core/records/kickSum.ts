import { object, type InferType } from 'yup';
import { SIDES_USED } from './loggedShot.ts';
import { choice, count } from './fields.ts';

/** How far the ball lies from the cue ball: a third of the table's length, two thirds, more. */
export const KICK_DISTANCES = ['near', 'middle', 'far'] as const;
export type KickDistance = (typeof KICK_DISTANCES)[number];

export const MOST_CUSHIONS = 9;

/** Kicks that were asked alike, added up. */
export const kickSumSchema = object({
  /** Cushions that the drill asks for; null where the way is the player's to find. */
  cushions: count(0, MOST_CUSHIONS).nullable().defined(),
  distance: choice(KICK_DISTANCES),
  /** Side that was used; null where nobody said, left out of rounds that ended before it was summed up. */
  side: choice(SIDES_USED).nullable().optional(),
  kicks: count(1, 1e9),
  /** Kicks that met the ball in the end. */
  hits: count(0, 1e9),
  /** Misses that were called, and where they went as far as it was told. */
  called: count(0, 1e9),
  left: count(0, 1e9),
  right: count(0, 1e9),
  short: count(0, 1e9),
});
export type KickSum = InferType<typeof kickSumSchema>;
