import type { Drill } from '../records/drill.ts';
import { CUE_BALL } from './layout.ts';

/** How many places the cue ball takes in turn: one where the drill names no row of them. */
export function stationsOf({ stations }: Pick<Drill, 'stations'>): number {
  return stations?.length ?? 1;
}

/** At which station an attempt is played, from 1: they are gone through in turn, and then from the first again. */
export function stationOfAttempt(drill: Pick<Drill, 'stations'>, attempt: number): number {
  return 1 + ((attempt - 1) % stationsOf(drill));
}

/**
 * A drill as it is set for one of its attempts: the cue ball at the station whose turn it is.
 * @param attempt number in its round, from 1 @returns the drill itself where it names no stations
 */
export function atStation(drill: Drill, attempt: number): Drill {
  const at = drill.stations?.[stationOfAttempt(drill, attempt) - 1];
  if (at === undefined) return drill;
  return { ...drill, balls: drill.balls.map((ball) => (ball.id === CUE_BALL ? { ...ball, at } : ball)) };
}
