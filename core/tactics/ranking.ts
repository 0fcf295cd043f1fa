import { LEAVE_GRADES } from '../counting/kickScore.ts';
import type { BallAtRest, Shot } from '../motion/shot.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executedWith, type Draws } from '../player/execute.ts';
import { latinDraws } from '../player/latinDraws.ts';
import { foulsToTry, potsToTry, strokesAllRound, type Candidate } from './candidates.ts';
import { mean } from '../statistics/summary.ts';
import { scaleOf, worthOn, type Scale } from './frame.ts';
import { kindOfAnswer, type AnswerKind } from './kindOfAnswer.ts';
import { FOR_GOOD, sidesOf, toTheRight, type Sides } from './sides.ts';
import { raisedStrokes } from './raisedButt.ts';
import type { Situation } from './situation.ts';
import { worthOfEnd, type EndKind, type TurnEnd } from './turnEnd.ts';
import { TurnJudge } from './turnJudge.ts';

/** Executions at each look, and how many strokes are left for it. */
const GLANCED = latinDraws(5, 70);
const ROUGHLY = latinDraws(16, 71);
const LOOKED_AT = 64;
const CLOSELY = latinDraws(60, 72);
const CLOSE = 16;
const REFINED = 5;
const MOST_ANSWERS = 6;
/** Strokes of one pace that differ by less are not told apart, radians. */
const NEIGHBOURS = 0.02;
/** By how much a stroke is turned, radians, and its pace changed, to see whether a neighbour is better. */
const TURNS = [-0.006, -0.003, 0.003, 0.006];
const PACES = [0.85, 0.93, 1.07, 1.15];
/** What the situation is worth after called misses settles within so many rounds. */
const ROUNDS = 6;

/** One way in which an answer ends. */
export interface OutcomeShare {
  readonly kind: EndKind;
  /** Of the executions, 0…1. */
  readonly share: number;
  /** Mean worth of those. */
  readonly worth: number;
  /** Where the balls lie after one in the middle of them. */
  readonly example: readonly BallAtRest[];
}

/** An answer to a position: a stroke, what it is worth to this player, and why. */
export interface Answer {
  readonly kind: AnswerKind;
  readonly shot: Shot;
  readonly planned: TurnEnd;
  /** Expected: chance of the next pot, or points at snooker, for the player less for the opponent. */
  readonly worth: number;
  /** Chance of the frame, 0…1, where the frame counts: then the worth is the points for certain that are worth as much. */
  readonly frame: number | undefined;
  /** Standard error of the worth. */
  readonly worthError: number;
  readonly outcomes: readonly OutcomeShare[];
  /** Chance that the stroke is no foul, 0…1. */
  readonly legal: number;
  /** The opponent's best pot after the strokes that are no foul and no pot, 0…1; NaN for none. */
  readonly left: number;
  /** What errors to either side come to; undefined where they cannot be told apart. */
  readonly line: Sides | undefined;
  readonly pace: Sides | undefined;
}

/** What a position comes to. */
export interface Ranking {
  /** The best of each kind, the best first; empty when nothing legal was found. */
  readonly answers: readonly Answer[];
  /** Points that a called miss at the best answer costs before the turn is over, on average; undefined where none is called. */
  readonly replays: Replays | undefined;
}

/** What called misses come to with the best answer. */
export interface Replays {
  /** Chance that the stroke is missed so that it may be played again, 0…1. */
  readonly missed: number;
  /** Misses before one hits, on average, and the points that they give. */
  readonly misses: number;
  readonly points: number;
}

interface Tried extends Candidate {
  readonly ends: readonly TurnEnd[];
}

/**
 * Ranks what can be done in a position by what it is worth to this player against this opponent: pots, straight hits and kicks
 * at all paces, each as the player will execute it, valued by the game's rules.
 * @param onShare told what share is done, 0…1
 * @throws RangeError without the cue ball or a ball that is on
 */
export function rankAnswers(
  situation: Situation,
  onShare: (share: number) => void = () => undefined,
): Ranking {
  const judge = new TurnJudge(situation);
  const glance = new TurnJudge(situation, true);
  const round = strokesAllRound(situation, glance, (share) => onShare(0.5 * share));
  const pots = potsToTry(situation, glance);
  const fouls = foulsToTry(situation, glance);
  const raised = raisedStrokes(situation, glance);
  const tried = (some: readonly Candidate[], draws: readonly Draws[], by = judge) =>
    some.map((each) => played(situation, by, each, draws));
  // What a stroke does as planned says little of what it does with errors: each is tried a few times.
  const scale = scaleOf(situation);
  const best = (some: readonly Tried[]) => bestFirst(some, scale);
  const glanced = best(tried([...pots, ...round, ...raised, ...fouls], GLANCED, glance));
  const rough = best(tried(spreadOut(glanced), ROUGHLY, glance));
  onShare(0.6);
  const close = best(tried(ofAllKinds(situation, rough, CLOSE), CLOSELY, glance));
  onShare(0.7);
  const around = close.slice(0, REFINED).flatMap((each) => neighbours(each, glance));
  const refined = best([...close, ...tried(around, CLOSELY, glance)]);
  onShare(0.8);
  const shown = ofAllKinds(situation, refined, MOST_ANSWERS);
  const last = shown.map((each, k) => {
    onShare(0.8 + (0.2 * k) / shown.length);
    return played(situation, judge, each, FOR_GOOD);
  });
  return ranked(situation, last, scale);
}

/** The ends of a stroke as the player executes it. */
function played(
  { error }: Situation,
  judge: TurnJudge,
  candidate: Candidate,
  draws: readonly Draws[],
): Tried {
  const own = errorAsCued(candidate.shot, error);
  const ends = draws.map((draw) => judge.endOf(executedWith(candidate.shot, own, draw)));
  return { ...candidate, ends };
}

/** Mean worth on a scale, as what is certain and worth as much. */
function meanWorth({ ends }: Pick<Tried, 'ends'>, again: number | undefined, scale: Scale): number {
  return scale.pointsFor(mean(ends.map((end) => worthOn(scale, end, again))));
}

/** What the situation is worth with the best of some strokes, when a called miss may bring it back. */
function worthWhenRepeated(some: readonly Tried[], scale: Scale): number {
  const bestWith = (again: number | undefined) =>
    Math.max(...some.map((each) => meanWorth(each, again, scale)));
  // At first as if no miss were ever played again; then by what that makes the situation worth.
  let again = bestWith(undefined);
  for (let round = 1; round < ROUNDS; round++) {
    const worth = bestWith(again);
    if (Math.abs(worth - again) < 1e-4) break;
    again = worth;
  }
  return again;
}

function bestFirst(some: readonly Tried[], scale: Scale): readonly Tried[] {
  if (some.length === 0) return [];
  const again = worthWhenRepeated(some, scale);
  return some
    .map((each) => ({ ...each, worth: meanWorth(each, again, scale) }))
    .sort((a, b) => b.worth - a.worth);
}

/** Some of the strokes, the first among them, without neighbours of those that are taken. */
function spreadOut(all: readonly Candidate[]): readonly Candidate[] {
  const taken: Candidate[] = [];
  for (const each of all) {
    if (taken.length >= LOOKED_AT) break;
    const { speed, direction } = each.shot.strike;
    const isNew = taken.every(
      ({ shot: { strike } }) => strike.speed !== speed || Math.abs(strike.direction - direction) > NEIGHBOURS,
    );
    if (isNew) taken.push(each);
  }
  return taken;
}

/** So many of the strokes: the best of each kind first, then the best of what is left. */
function ofAllKinds(situation: Situation, sorted: readonly Tried[], most: number): readonly Tried[] {
  const kinds = new Set<string>();
  const firsts = sorted.filter(({ planned, shot }) => {
    const { name, ball, cushions } = kindOfAnswer(situation, shot, planned);
    const key = [name, ball, cushions.join()].join(' ');
    return !kinds.has(key) && kinds.add(key);
  });
  const rest = most === MOST_ANSWERS ? [] : sorted.filter((each) => !firsts.includes(each));
  return [...firsts, ...rest].slice(0, most);
}

function neighbours({ shot }: Candidate, judge: TurnJudge): readonly Candidate[] {
  const { strike } = shot;
  const strikes = [
    ...TURNS.map((turn) => ({ ...strike, direction: strike.direction + turn })),
    ...PACES.map((pace) => ({ ...strike, speed: strike.speed * pace })),
  ];
  return strikes.flatMap((each) => {
    const turned = { ...shot, strike: each };
    const planned = judge.endUnlessFoul(turned);
    return planned === undefined ? [] : [{ shot: turned, planned, worth: worthOfEnd(planned, 0) }];
  });
}

function ranked(situation: Situation, last: readonly Tried[], scale: Scale): Ranking {
  if (last.length === 0) return { answers: [], replays: undefined };
  const again = worthWhenRepeated(last, scale);
  const answers = last
    .map((each) => answerOf(situation, each, again, scale))
    .sort((a, b) => b.worth - a.worth);
  const first = answers[0];
  const ends = last.find(({ shot }) => shot === first?.shot)?.ends ?? [];
  return { answers, replays: situation.missCalled ? replaysOf(ends) : undefined };
}

function replaysOf(ends: readonly TurnEnd[]): Replays | undefined {
  const calls = ends.filter((end) => end.again);
  if (calls.length === 0) return undefined;
  const missed = calls.length / ends.length;
  const misses = missed / (1 - missed);
  const penalty = calls.reduce((sum, end) => sum + end.penalty, 0) / calls.length;
  return { missed, misses, points: misses * penalty };
}

const KINDS: readonly EndKind[] = ['pot', ...LEAVE_GRADES, 'foul'];

function answerOf(situation: Situation, { shot, planned, ends }: Tried, again: number, scale: Scale): Answer {
  const worths = ends.map((end) => worthOfEnd(end, again));
  const middle = mean(worths);
  const utility = mean(ends.map((end) => worthOn(scale, end, again)));
  const variance = worths.reduce((sum, each) => sum + (each - middle) ** 2, 0) / (worths.length - 1);
  const outcomes = KINDS.flatMap((kind): OutcomeShare[] => {
    const own = ends
      .filter((end) => end.kind === kind)
      .sort((a, b) => worthOfEnd(a, again) - worthOfEnd(b, again));
    const example = own[Math.floor(own.length / 2)];
    if (example === undefined) return [];
    const worthOf = mean(own.map((end) => worthOfEnd(end, again)));
    return [{ kind, share: own.length / ends.length, worth: worthOf, example: example.rest }];
  });
  const quiet = ends.filter(({ kind }) => kind !== 'foul' && kind !== 'pot');
  return {
    kind: kindOfAnswer(situation, shot, planned),
    shot,
    planned,
    worth: scale.pointsFor(utility),
    frame: scale.isFrame ? utility : undefined,
    worthError: Math.sqrt(variance / worths.length),
    outcomes,
    legal: ends.filter(({ kind }) => kind !== 'foul').length / ends.length,
    left: quiet.length === 0 ? NaN : mean(quiet.map(({ left }) => left)),
    line: sidesOf(worths, toTheRight),
    pace: sidesOf(worths, ({ pace }) => pace),
  };
}
