import { toRadians } from '../math/angle.ts';
import type { Shot } from '../motion/shot.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { seenOf } from '../shot/kicks/seen.ts';
import type { Situation } from './situation.ts';
import { JUMPING } from './raisedButt.ts';
import type { TurnEnd } from './turnEnd.ts';
import { onForOpponent } from './turns.ts';

/** What a stroke is meant to do, by what it does as planned. */
export const ANSWER_NAMES = [
  'pot',
  'hide',
  'foul',
  'jump',
  'swerve',
  'kick',
  'thin hit',
  'full hit',
  'half hit',
] as const;
export type AnswerName = (typeof ANSWER_NAMES)[number];

/** An answer in a few words: what it does, at which ball, by which cushions. */
export interface AnswerKind {
  readonly name: AnswerName;
  /** The ball that is met first; none is by some fouls. */
  readonly ball: string;
  /** Cushions before it. */
  readonly cushions: readonly string[];
}

const THIN = 0.35;
/** From this butt on a stroke with side is meant to curve, radians. */
const SWERVING = toRadians(15);
const FULL = 0.7;

/** Names a stroke by its planned end. */
export function kindOfAnswer(situation: Situation, shot: Shot, planned: TurnEnd): AnswerKind {
  const { hit } = planned;
  const ball = hit.first ?? '';
  const cushions = hit.before;
  const named = (name: AnswerName): AnswerKind => ({ name, ball, cushions });
  if (planned.kind === 'pot') return named('pot');
  if (planned.kind === 'foul') return { name: 'foul', ball, cushions: [] };
  const { elevation, tip } = shot.strike;
  if (elevation >= JUMPING && tip.side === 0 && cushions.length === 0) return named('jump');
  if (elevation >= SWERVING && tip.side !== 0 && cushions.length === 0) return named('swerve');
  if (leavesHidden(situation, shot, planned)) return named('hide');
  if (cushions.length > 0) return named('kick');
  if (hit.covered < THIN) return named('thin hit');
  return named(hit.covered >= FULL ? 'full hit' : 'half hit');
}

/** Whether the opponent can see no ball that they may play. */
function leavesHidden({ table, cue: cueId, game, on }: Situation, shot: Shot, { rest }: TurnEnd): boolean {
  const balls = leftOnTable(shot.balls, rest);
  if (balls.every(({ id }) => id !== cueId)) return false;
  const ids = balls.flatMap(({ id }) => (id === cueId ? [] : [id]));
  const theirs = onForOpponent(game, on, ids);
  return theirs.length > 0 && theirs.every((id) => seenOf({ table, balls, cue: cueId }, id).usable === 0);
}
