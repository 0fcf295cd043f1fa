import { distance, type Point } from '../../math/point.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { cueBallAt } from '../../planning/windowAmong.ts';
import type { Random } from '../../random/random.ts';
import type { Table } from '../../table/table.ts';
import type { Difficulty, DifficultyRanges } from '../kinds.ts';
import type { Worth } from '../worth.ts';
import { ballAt, somewhere } from './randomPot.ts';

/** Centres are at least so many radii apart, and so far from the cushions, metres. */
const APART = 4;
const FROM_CUSHION = 0.08;
/** Places that are tried until all balls have one. */
const TRIES = 100;

/** Balls and the cue ball thrown on a table; undefined where they find no room. */
export function thrown(
  table: Table,
  random: Random,
  names: readonly string[],
): { readonly cue: BallOnTable; readonly balls: readonly BallOnTable[] } | undefined {
  const places: Point[] = [];
  for (let k = 0; k < TRIES && places.length <= names.length; k++) {
    const place = somewhere(table, random, FROM_CUSHION);
    if (places.every((each) => distance(each, place) > APART * table.preset.ballRadius)) places.push(place);
  }
  const [first, ...others] = places;
  if (first === undefined || others.length < names.length) return undefined;
  return {
    cue: cueBallAt(table, first),
    balls: others.map((place, i) => ballAt(table, names[i] ?? '', place)),
  };
}

/** By how much the second pick is behind the best one, as a share of the best one's worth. */
const BEHIND: DifficultyRanges = {
  plain: [0.3, 1],
  fair: [0.15, 0.3],
  close: [0.07, 0.15],
  'hair-fine': [0.02, 0.07],
};

/** Whether picks lie apart as a difficulty has it. @param worth the best first */
export function liesApart([best, second]: Worth, difficulty: Difficulty): boolean {
  if (best === undefined || second === undefined || best.value <= 0) return false;
  const behind = 1 - second.value / best.value;
  const [least, most] = BEHIND[difficulty];
  return behind >= least && behind <= most;
}

export const bestFirst = (worth: Worth): Worth => [...worth].sort((a, b) => b.value - a.value);
