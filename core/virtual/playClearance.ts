import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { potLines } from '../planning/potOptions.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import type { Condition, Drill } from '../records/drill.ts';
import { inHandAfter } from '../drill/inHand.ts';
import { CUE_BALL } from '../drill/layout.ts';
import { legalBalls } from '../drill/legalBalls.ts';
import { beginAttempt, clearanceRules, playShot, type Attempt } from '../drill/rules.ts';
import { respotPlace } from '../rack/respot.ts';
import type { PocketName } from '../table/pockets.ts';
import { brokenConditions, choosePot } from './choosePot.ts';
import { clearancePlans, type ClearancePlans } from './clearancePlan.ts';
import { placeInHand } from './cueBallPlace.ts';
import { playedBy, type VirtualPlayer } from './player.ts';

/** No attempt goes on for ever where faults are only noted. */
const MOST_SHOTS = 120;

/** A shot of an attempt as a coach who watches would write it down. */
export interface TracedShot {
  /** The ball and the pocket that were meant; null when no ball was on. */
  readonly ball: string | null;
  readonly pocket: PocketName | null;
  readonly potted: readonly string[];
  readonly inOff: boolean;
  readonly broken: readonly Condition[];
  /** Where the cue ball stopped, metres; null when it fell. */
  readonly landing: Point | null;
}

/** One attempt at a clearance, shot by shot, and what it left. */
export interface PlayedAttempt {
  readonly attempt: Attempt;
  readonly shots: readonly TracedShot[];
  /** Where balls lay when it ended. */
  readonly left: readonly BallOnTable[];
}

/** Where an attempt is taken up. */
interface ClearanceState {
  readonly attempt: Attempt;
  /** Object balls on the table. */
  readonly left: readonly BallOnTable[];
  /** Where the object balls stood at first, for those that are put back. */
  readonly home: readonly BallOnTable[];
  /** Undefined when it is in hand. */
  readonly cue: BallOnTable | undefined;
}

/** What may be potted once a ball is down. */
function legalAfterIn(drill: Drill, attempt: Attempt): (potted: string) => readonly string[] {
  const { order } = clearanceRules(drill);
  return (potted) => {
    const onTable = attempt.onTable.filter((id) => id !== potted);
    return onTable.length === 0 ? [] : legalBalls(order, { onTable, last: potted, suit: attempt.suit });
  };
}

/**
 * Plays an attempt at a clearance through the rules engine.
 * @param drill as it is played at the stage; @param objects the object balls as they are set
 * @param cue the cue ball where it starts, undefined when it is in hand
 * @param plans of this player for this drill, for whoever plays it again
 * @throws RangeError for a drill that asks for no clearance
 */
export function playClearance(
  player: VirtualPlayer,
  drill: Drill,
  objects: readonly BallOnTable[],
  cue: BallOnTable | undefined,
  plans: ClearancePlans = clearancePlans(player, drill),
): PlayedAttempt {
  const attempt = beginAttempt(
    clearanceRules(drill),
    objects.map(({ id }) => id),
  );
  return playOn(player, drill, { attempt, left: objects, home: objects, cue }, plans);
}

/** Plays an attempt on from where it stands. */
function playOn(
  player: VirtualPlayer,
  drill: Drill,
  start: ClearanceState,
  plans: ClearancePlans,
): PlayedAttempt {
  const rules = clearanceRules(drill);
  let { attempt, left, cue: cueBall } = start;
  let lastPocket: PocketName | undefined;
  const shots: TracedShot[] = [];
  while (attempt.over === undefined && attempt.shots < MOST_SHOTS) {
    const { legal } = attempt;
    const lines = potLines(player.table, left, legal, acceptanceNear);
    const { onTable, last, suit, shots: step } = attempt;
    const state = { onTable, last, suit, step, lastPocket };
    const plan = plans(state, left);
    const inHand = inHandAfter(drill, step);
    const struck = cueBall ?? plan?.place(inHand) ?? placeInHand(player, inHand, left, lines);
    const balls = [struck, ...left];
    const chosen =
      plan?.choose(state, struck) ??
      choosePot(player, {
        balls,
        cue: struck,
        legal,
        legalAfter: legalAfterIn(drill, attempt),
        conditions: drill.conditions,
        lastPocket,
      });
    if (chosen === undefined) {
      attempt = playShot(rules, attempt, { potted: [], inOff: false, broken: [] });
      const landing = { x: struck.x, y: struck.y };
      shots.push({ ball: null, pocket: null, potted: [], inOff: false, broken: [], landing });
      cueBall = attempt.cueBall === 'in hand' ? undefined : struck;
      continue;
    }
    const shot = playedBy(player, chosen.shot, player.random);
    const result = simulate(shot);
    const gone = result.rest.filter(({ pocket }) => pocket !== null).map(({ id }) => id);
    // A ball off the table is a foul like a lost cue ball; it comes back to its place.
    const off = result.rest.filter(({ offTable }) => offTable).map(({ id }) => id);
    const meant = { cue: CUE_BALL, object: chosen.ball, pocket: chosen.pocket, lastPocket };
    const played = {
      potted: gone.filter((id) => id !== CUE_BALL),
      inOff: gone.includes(CUE_BALL) || off.length > 0,
      broken: brokenConditions(drill.conditions, result, meant),
    };
    attempt = playShot(rules, attempt, played);
    lastPocket = result.rest.find(({ id }) => id === chosen.ball)?.pocket ?? lastPocket;
    const after = leftOnTable(balls, result.rest);
    const stopped = after.find(({ id }) => id === CUE_BALL);
    const landing = stopped === undefined ? null : { x: stopped.x, y: stopped.y };
    shots.push({ ball: chosen.ball, pocket: chosen.pocket, ...played, landing });
    left = respotted(
      player,
      after.filter(({ id }) => id !== CUE_BALL),
      start.home,
      [...attempt.respot, ...off.filter((id) => id !== CUE_BALL)],
      stopped,
    );
    cueBall =
      attempt.cueBall === 'in hand' || stopped === undefined
        ? undefined
        : attempt.cueBall === 'where it was planned'
          ? struck
          : stopped;
  }
  return { attempt, shots, left: cueBall === undefined ? left : [cueBall, ...left] };
}

/** Balls put back where they stood at first, or where the rules have them when that place is taken. */
function respotted(
  { table: { preset } }: VirtualPlayer,
  left: readonly BallOnTable[],
  objects: readonly BallOnTable[],
  back: readonly string[],
  cue: BallOnTable | undefined,
): readonly BallOnTable[] {
  const balls = [...left];
  for (const id of back) {
    const home = objects.find((ball) => ball.id === id);
    if (home === undefined) continue;
    const others = cue === undefined ? balls : [...balls, cue];
    balls.push({ ...home, ...respotPlace(preset, home, others) });
  }
  return balls;
}

/** A cue ball in a drill's layout, if it places one. */
export function placedCueBall(player: VirtualPlayer, balls: readonly BallOnTable[]): BallOnTable | undefined {
  const cue = balls.find(({ id }) => id === CUE_BALL);
  return cue && cueBallAt(player.table, cue, CUE_BALL);
}
