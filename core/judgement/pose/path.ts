import { isOnTable } from '../../shot/outcome.ts';
import { distance, type Point } from '../../math/point.ts';
import { wayAfterHit } from '../../motion/path.ts';
import type { Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import type { Difficulty, DifficultyRanges } from '../kinds.ts';
import type { CallQuestion } from '../question.ts';
import type { Poser } from './poser.ts';
import { randomPot, type Posed } from './randomPot.ts';

/** The cue ball's way from the hit to its rest. */
export function pathAfterHit(shot: Shot): readonly Point[] {
  return wayAfterHit(simulate(shot, { paths: true }), shot.strike.ball);
}

/** Cushions that the way of a difficulty has. */
const CUSHIONS: DifficultyRanges = {
  plain: [0, 0],
  fair: [1, 1],
  close: [2, 2],
  'hair-fine': [3, 6],
};

/** A pot after which the cue ball has a way to be drawn. */
export const posePath: Poser = (table, random, { difficulty }) => {
  const posed = randomPot(table, random);
  return posed && pathOf(posed, difficulty);
};

/** Asks for the way of a stroke. @param difficulty undefined takes it as it is */
export function pathOf(posed: Posed, difficulty: Difficulty | undefined): CallQuestion | undefined {
  const { events, rest } = simulate(posed.shot);
  const cue = rest.find(({ id }) => id === posed.shot.strike.ball);
  if (cue === undefined || !isOnTable(cue)) return undefined;
  const cushions = events.filter((event) => event.kind === 'ball-cushion' && event.id === cue.id).length;
  if (difficulty !== undefined) {
    const [least, most] = CUSHIONS[difficulty];
    if (cushions < least || cushions > most) return undefined;
  }
  const truth = pathAfterHit(posed.shot);
  const [first] = truth;
  return first === undefined || distance(first, cue) < 0.25
    ? undefined
    : { kind: 'draw the path', ...posed, truth };
}
