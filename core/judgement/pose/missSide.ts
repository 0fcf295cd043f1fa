import { kickShot } from '../../shot/kicks/way.ts';
import { lineSides } from '../../tactics/sides.ts';
import { isAsHard, type DifficultyRanges } from '../kinds.ts';
import type { Poser } from './poser.ts';
import { hiddenBall, KICK_STROKE, linesTo } from './hidden.ts';
import { potUnit, turnAt } from './turn.ts';

/** Less often than this nobody plays such a line. */
const LEAST_CHANCE = 0.3;
/** Pots by which the sides differ. Most lines forgive either side alike: the others are too few to be chosen finely. */
const APART: DifficultyRanges = {
  plain: [0.2, Infinity],
  fair: [0.14, 0.25],
  close: [0.1, 0.18],
  'hair-fine': [0, 0.14],
};

/** A kick, and its line: on which side does an error cost less? */
export const poseMissSide: Poser = (table, random, { difficulty }) => {
  const hidden = hiddenBall(table, random);
  if (hidden === undefined) return undefined;
  const { position, target } = hidden;
  const [best] = linesTo(position, target);
  if (best === undefined || best.chance < LEAST_CHANCE) return undefined;
  const shot = kickShot(position, KICK_STROKE, best.direction);
  const turn = turnAt(position, target);
  const sides = lineSides(turn, shot);
  if (sides === undefined) return undefined;
  const { below: left, above: right } = sides;
  const unit = potUnit(turn);
  if (!isAsHard(APART, difficulty, Math.abs(left - right) / unit)) return undefined;
  return {
    kind: 'which way to miss',
    shot,
    target,
    truth: left > right ? 'left' : 'right',
    left,
    right,
    unit,
  };
};
