import type { BallOnTable } from '../../../motion/shot.ts';
import type { Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';
import { aimPointOf, type AimPoint } from '../aimPoint.ts';
import { ROUNDS } from './threeCushions.ts';
import {
  rightedThumb,
  THUMB_RULES,
  tryThumb,
  type ThumbFigures,
  type ThumbPace,
  type ThumbQuestion,
  type ThumbTrial,
} from './thumbRules.ts';

/** So many ways are told of each rule, those that come nearest. */
const MOST_OF_A_RULE = 2;

const ONE = ['left', 'right', 'head', 'foot'].map((side) => [side]);
const TWO = ['left', 'right'].flatMap((long) =>
  ['head', 'foot'].flatMap((short) => [
    [long, short],
    [short, long],
  ]),
);

/** Every way by which a rule of thumb may lead. */
export const THUMB_QUESTIONS: readonly ThumbQuestion[] = [
  ...[...ONE, ...TWO].map((cushions): ThumbQuestion => ({ rule: 'equal angles', cushions })),
  ...ROUNDS.map((round): ThumbQuestion => ({ rule: 'far mark', round })),
  ...ROUNDS.map((round): ThumbQuestion => ({ rule: 'thirds', round })),
];

/** What a rule of thumb says for a position, beside the truth. */
export interface ThumbAnswer extends ThumbTrial {
  /** Where the rule lets the cue point. */
  readonly aim: AimPoint;
  /** Where it should: the middle of the target is met; undefined where it cannot be by this stroke. */
  readonly right: AimPoint | undefined;
}

/**
 * What the rules say for a cue ball and a target, other balls left out of account: of each rule the ways that come nearest.
 * @param figures of this table
 */
export function thumbAnswers(
  table: Table,
  figures: ThumbFigures,
  pace: ThumbPace,
  from: BallOnTable,
  target: Point,
): readonly ThumbAnswer[] {
  const trials = THUMB_QUESTIONS.flatMap((question) => {
    const trial = tryThumb(table, question, figures, pace, from, target);
    return trial?.passing === undefined ? [] : [{ trial, gap: Math.abs(trial.passing.miss) }];
  }).sort((a, b) => a.gap - b.gap);
  const aimAt = (direction: number) => aimPointOf({ table, balls: [from], cue: from.id }, direction);
  return THUMB_RULES.flatMap((rule) =>
    trials
      .filter(({ trial }) => trial.question.rule === rule)
      .slice(0, MOST_OF_A_RULE)
      .map(({ trial }): ThumbAnswer => {
        const righted = rightedThumb(table, trial, from, target);
        return {
          ...trial,
          aim: aimAt(trial.direction),
          right: righted === undefined ? undefined : aimAt(righted),
        };
      }),
  );
}
