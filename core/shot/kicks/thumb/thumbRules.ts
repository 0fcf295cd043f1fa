import type { BallOnTable } from '../../../motion/shot.ts';
import type { Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';
import type { KickStroke } from '../way.ts';
import { mirroredLine } from './mirrored.ts';
import { passingOf, type Passing } from './passing.ts';
import {
  cushionsOf,
  roundStroke,
  turned,
  turnedDirection,
  type Round,
  type ThreeCushionFigures,
} from './threeCushions.ts';
import { trueLine } from './trueLine.ts';

/** Three rules of thumb for kicks: the mirrored ball, one mark far off, and arithmetic along the long cushions. */
export const THUMB_RULES = ['equal angles', 'far mark', 'thirds'] as const;
export type ThumbRule = (typeof THUMB_RULES)[number];

/** How hard: so many table lengths a second; a kick by one or two cushions, and one that goes round by three. */
export const THUMB_PACES = ['soft', 'firm'] as const;
export type ThumbPace = (typeof THUMB_PACES)[number];
const LENGTHS_A_SECOND: Readonly<Record<ThumbPace, readonly [few: number, round: number]>> = {
  soft: [0.8, 1.3],
  firm: [1.5, 2],
};

/** A rule, and the cushions by which it is to lead. */
export type ThumbQuestion =
  | { readonly rule: 'equal angles'; readonly cushions: readonly string[] }
  | { readonly rule: 'far mark' | 'thirds'; readonly round: Round };

/** What is known of a table for its rules, at both paces; undefined where no such stroke gets round. */
export type ThumbFigures = Readonly<Record<ThumbPace, ThreeCushionFigures | undefined>>;

/** The pace of a rule on a table, m/s. */
export function thumbSpeed({ length }: Table, rule: ThumbRule, pace: ThumbPace): number {
  return length * LENGTHS_A_SECOND[pace][rule === 'equal angles' ? 0 : 1];
}

/** The cushions by which a rule leads, in order. */
export function thumbCushions(question: ThumbQuestion): readonly string[] {
  return question.rule === 'equal angles' ? question.cushions : cushionsOf(question.round);
}

/** The stroke with which a rule is played: plain, or round the table with running side. */
export function thumbStroke(table: Table, question: ThumbQuestion, pace: ThumbPace): KickStroke {
  const speed = thumbSpeed(table, question.rule, pace);
  return question.rule === 'equal angles'
    ? { speed, tip: { side: 0, height: 0 }, elevation: 0 }
    : roundStroke(question.round, speed);
}

/**
 * Where a rule says the cue ball is to be sent.
 * @param figures of this table at the pace; not asked for by equal angles
 * @returns radians; undefined where the rule has no answer: its cushions cannot be met in this order
 */
export function thumbDirection(
  table: Table,
  question: ThumbQuestion,
  figures: ThreeCushionFigures | undefined,
  from: Point,
  target: Point,
): number | undefined {
  const line = mirroredLine(table, from, target, thumbCushions(question));
  if (line === undefined) return undefined;
  if (question.rule === 'equal angles') return line.direction;
  if (figures === undefined) return undefined;
  const { round } = question;
  const [cue, last, ball] = [from, line.last, target].map((place) => turned(table, round, place));
  if (cue === undefined || last === undefined || ball === undefined || ball.y <= last.y) return undefined;
  // Where the ball would arrive on the long cushion, by equal angles on its last stretch.
  const edge = table.width - table.preset.ballRadius;
  const arrival = last.x + ((ball.x - last.x) * (edge - last.y)) / (ball.y - last.y);
  const aim =
    question.rule === 'far mark'
      ? { x: figures.mark.x - figures.shift * (arrival - table.preset.ballRadius), y: figures.mark.y }
      : { x: thirdsAim(figures.constant, table.width, cue, arrival), y: table.width };
  return turnedDirection(round, Math.atan2(aim.y - cue.y, aim.x - cue.x));
}

/** The aim on the first cushion for which it is a third of twice the start less the arrival, and the constant; metres. */
function thirdsAim(constant: number, width: number, cue: Point, arrival: number): number {
  // The start is where the line from the aim through the cue ball comes to the other cushion: it depends on the aim.
  const stretch = width / (width - cue.y);
  return ((2 * cue.x * stretch - arrival) / 3 + constant) / (1 - (2 * (1 - stretch)) / 3);
}

/** A rule of thumb tried on a table. */
export interface ThumbTrial {
  readonly question: ThumbQuestion;
  readonly stroke: KickStroke;
  /** Where the rule sends the cue ball, radians. */
  readonly direction: number;
  /** How that passes the target; undefined where the cue ball does not come by these cushions. */
  readonly passing: Passing | undefined;
  /** Whether it meets a ball there. */
  readonly hits: boolean;
}

/**
 * Plays what a rule says, on a table with no other ball.
 * @returns undefined where the rule has no answer
 */
export function tryThumb(
  table: Table,
  question: ThumbQuestion,
  figures: ThumbFigures,
  pace: ThumbPace,
  from: BallOnTable,
  target: Point,
): ThumbTrial | undefined {
  const direction = thumbDirection(table, question, figures[pace], from, target);
  if (direction === undefined) return undefined;
  const stroke = thumbStroke(table, question, pace);
  const passing = passingOf(table, from, stroke, direction, thumbCushions(question), target);
  return {
    question,
    stroke,
    direction,
    passing,
    hits: passing !== undefined && Math.abs(passing.miss) < 2 * table.preset.ballRadius,
  };
}

/** The direction in which a tried stroke really leads to the target's middle; undefined where there is none near it. */
export function rightedThumb(
  table: Table,
  { question, stroke, direction }: ThumbTrial,
  from: BallOnTable,
  target: Point,
): number | undefined {
  return trueLine(table, from, stroke, direction, thumbCushions(question), target);
}
