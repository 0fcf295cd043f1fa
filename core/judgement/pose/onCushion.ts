import { aimPointOf } from '../../shot/kicks/aimPoint.ts';
import { kickShot } from '../../shot/kicks/way.ts';
import { isAsHard, type DifficultyRanges } from '../kinds.ts';
import { hiddenBall, KICK_STROKE, linesTo } from './hidden.ts';
import type { Poser } from './poser.ts';

/** How often a team player meets the ball by its best line, 0…1. */
export const LINE_CHANCES: DifficultyRanges = {
  plain: [0.85, 1],
  fair: [0.7, 0.85],
  close: [0.55, 0.7],
  'hair-fine': [0.1, 0.55],
};

/** A hidden ball: where on the cushion does the cue point? */
export const poseOnCushion: Poser = (table, random, { difficulty }) => {
  const hidden = hiddenBall(table, random);
  if (hidden === undefined) return undefined;
  const { position, target } = hidden;
  const best = linesTo(position, target).find(({ cushions }) => cushions.length > 0);
  if (best === undefined || !isAsHard(LINE_CHANCES, difficulty, best.chance)) return undefined;
  return {
    kind: 'where on the cushion',
    shot: kickShot(position, KICK_STROKE, best.direction),
    target,
    truth: aimPointOf(position, best.direction),
    cushions: best.cushions,
    best: best.chance,
  };
};
