import { normalCdf, normalQuantile } from '../math/normal.ts';
import { ballValue } from '../counting/breakPoints.ts';
import { pointsOnTable } from './pointsOnTable.ts';
import { visitPoints } from './visit.ts';
import { STILL, worthOfEnd, type Swing, type TurnEnd } from './turnEnd.ts';
import type { Situation } from './situation.ts';

const BLACK = 'black';
/** A foul gives so many points at least. */
const LEAST_FOUL = 4;
/** A frame is never quite sure before it is over. */
const SURE = 1e-6;

/**
 * The chance of winning a frame between equal players, 0…1: what is left goes to either of them, visit by visit, as a random
 * walk whose steps are a visit's points; so the final margin is normal about today's, its variance what is left times a
 * visit. Fouls may bring back who needs more than is left, but not on the last black.
 * @param lead points more than the opponent @param left points on the table, ≥ 0 @param visit points of a visit, > 0
 */
export function frameChance(lead: number, left: number, visit: number): number {
  if (left <= ballValue(BLACK) && Math.abs(lead) > left) return lead > 0 ? 1 : 0;
  if (left === 0) return 0.5;
  return normalCdf(lead / Math.sqrt(left * visit));
}

/** How many fouls by the opponent a player needs at least to draw level or win; 0 for none. @param lead, left as above */
export function foulsNeeded(lead: number, left: number): number {
  return Math.max(0, Math.ceil((-lead - left) / LEAST_FOUL));
}

/** By what the ends of a turn are weighed: points, or what points do for the frame. */
export interface Scale {
  /** What points more are worth, expected ones that come of a swing, with so many left on the table. */
  readonly worthOf: (points: number, left: number, swing: Swing) => number;
  /** The points for certain that are worth as much here. */
  readonly pointsFor: (worth: number) => number;
  /** Whether it is the frame that counts. */
  readonly isFrame: boolean;
}

const POINTS: Scale = { worthOf: (points) => points, pointsFor: (worth) => worth, isFrame: false };

/** The scale of a situation: the frame where the lead is told at snooker, otherwise points, or chances, as they are. */
export function scaleOf({ game, lead, table, balls, cue, error, opponent }: Situation): Scale {
  if (game !== 'snooker' || lead === undefined) return POINTS;
  const objects = balls.flatMap(({ id }) => (id === cue ? [] : [id]));
  const visit = (visitPoints(table, error, objects) + visitPoints(table, opponent, objects)) / 2;
  const spread = Math.sqrt(pointsOnTable(objects) * visit);
  return {
    isFrame: true,
    worthOf(points, left, swing) {
      const certain = lead + points - swing.chance * swing.points;
      const swung = frameChance(certain + swing.points, left - Math.abs(swing.points), visit);
      return swing.chance * swung + (1 - swing.chance) * frameChance(certain, left, visit);
    },
    pointsFor: (worth) => spread * normalQuantile(Math.min(1 - SURE, Math.max(SURE, worth))) - lead,
  };
}

/**
 * What an end is worth on a scale; one that is played again is worth what the situation is, for certain.
 * @param again what the situation is worth, points; undefined where nothing is played again
 */
export function worthOn(scale: Scale, end: TurnEnd, again: number | undefined): number {
  const isReplayed = end.again && again !== undefined && -again > end.theirs;
  return scale.worthOf(worthOfEnd(end, again), end.pointsLeft, isReplayed ? STILL : end.swing);
}
