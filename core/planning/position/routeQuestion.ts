import { distance, type Point } from '../../math/point.ts';
import { gridOver } from '../grid.ts';
import type { RouteQuestion } from '../routes.ts';
import { aimsFor, FINE_STEP, prepare, ROUGH_STEP, windowFor } from './prepared.ts';
import type { NoPicture, PositionQuestion } from './question.ts';

/** How near to a wanted place a stroke may end and still be one that goes there, metres. */
const WANTED_ROOM = 0.3;
/** From this share of the way to it on a stroke goes to a wanted place. */
const GOES_THERE = 0.5;

/**
 * What a search of routes is asked.
 * @param to a place where the cue ball is wanted, instead of the next ball's window
 */
export function routeQuestion(question: PositionQuestion, to: Point | null): RouteQuestion | NoPicture {
  const prepared = prepare(question);
  if (prepared.acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
  const { table } = prepared;
  const window =
    to === null
      ? windowFor(question, prepared, FINE_STEP)
      : gridOver(table, ROUGH_STEP, (place) => Math.max(0, 1 - distance(place, to) / WANTED_ROOM));
  const aims = aimsFor(question, prepared, window);
  return {
    table,
    balls: question.balls,
    cue: question.cue,
    acceptance: prepared.acceptance,
    aims: to === null ? aims : { ...aims, wanted: { balls: [] }, confidence: GOES_THERE },
    side: question.side,
    middle: question.middle,
  };
}
