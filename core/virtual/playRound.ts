import { isOnTable, outcomeOfShot } from '../shot/outcome.ts';
import type { PocketName } from '../table/pockets.ts';
import { playOnce } from '../planning/cloud.ts';
import { executionErrorOf, looksAheadOf, type LevelName } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { solveDouble } from '../shot/doubles.ts';
import { solvePlant } from '../shot/plants.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { Drill } from '../records/drill.ts';
import type { RoundResult } from '../counting/result.ts';
import { CUE_BALL } from '../drill/layout.ts';
import type { Beginning } from '../drill/ladderStart.ts';
import { planShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { ballsOfAttempt, outcomeOf, roundProgress, type AttemptOutcome } from '../drill/round.ts';
import { ballsOfSetUp, setUp } from '../drill/setUp.ts';
import { atStage } from '../drill/stage.ts';
import { atStation, stationOfAttempt, stationsOf } from '../drill/station.ts';
import { zonePoints } from '../scoring/zonePoints.ts';
import type { Table } from '../table/table.ts';
import { clearancePlans, type ClearancePlans } from './clearancePlan.ts';
import { breakPlanner, type PlayedBreak } from './breaks/playBreak.ts';
import { plainBreak } from './plainBreak.ts';
import { placedCueBall, playClearance, type TracedShot } from './playClearance.ts';
import { planHit, playHit } from './playHit.ts';
import { planLanding, playLanding } from './playLanding.ts';
import { playedBy, type VirtualPlayer } from './player.ts';

/** What an attempt came to; of clearances with their shots, of breaks with how they were played. */
export type VirtualAttempt = AttemptOutcome & {
  readonly trace?: readonly TracedShot[];
  readonly broke?: PlayedBreak['broke'];
};

/** A round that a virtual player has played. */
export interface VirtualRound {
  readonly attempts: readonly VirtualAttempt[];
  readonly result: RoundResult;
}

/** What a virtual player can be asked to play; the judgement of a player is its own. */
export function canBePlayed(drill: Pick<Drill, 'task'>): boolean {
  return drill.task.kind !== 'call';
}

/** Seeds of rounds in a row lie so far apart. */
const SEEDS_APART = 1000;
/** A round without an end of its own is stopped here. */
const MOST_ATTEMPTS = 100;
/** Paces that are tried for a plant or a double, m/s. */
const PACES = [1.6, 2.4, 3.4];

/** How one attempt is played, once the drill is planned. */
type PlayAttempt = (attempt: {
  /** In its round, from 0. */
  readonly number: number;
  readonly balls: number | undefined;
  readonly target: string | undefined;
}) => VirtualAttempt;

function widest(
  solve: (speed: number) => { readonly toleranceDeg: number; readonly shot: Shot } | undefined,
): Shot | undefined {
  const ways = PACES.flatMap((speed) => solve(speed) ?? []);
  return ways.sort((a, b) => b.toleranceDeg - a.toleranceDeg)[0]?.shot;
}

/** Plays a solved stroke at one pot, whatever the way to it. */
function playPot(
  player: VirtualPlayer,
  plan: Shot | undefined,
  ball: string,
  pocket: PocketName,
): AttemptOutcome {
  if (plan === undefined) return { done: false };
  const { rest } = simulate(playedBy(player, plan, player.random));
  return { done: outcomeOfShot(rest, CUE_BALL, { object: ball, pocket }) === 'potted' };
}

function plain(speed: number) {
  return { ball: CUE_BALL, speed, tip: { side: 0, height: 0 }, elevation: 0 };
}

/** A drill planned for a level on a table: how each of its attempts is played. */
type PlayPlanned = (player: VirtualPlayer, seed: number) => PlayAttempt;

/** Every attempt of a drill whose stroke is planned is the same. */
function each(play: (player: VirtualPlayer) => VirtualAttempt): PlayPlanned {
  return (player) => () => play(player);
}

/** Plans a drill as far as it can be planned before its attempts. @throws RangeError for a drill that asks for a call */
function planAttempts(planner: VirtualPlayer, drill: Drill, stage: number): PlayPlanned {
  const { task } = drill;
  const { table } = planner;
  if (isPositionDrill(drill)) {
    const planned = planShot(drill, table);
    const aim = { object: drill.task.pot, pocket: drill.task.pocket };
    const bands = drill.stages[stage - 1]?.bands ?? [];
    return each((player) => {
      const shot = playedBy(player, planned.shot, player.random);
      const { outcome, landing } = playOnce(shot, aim);
      return { done: outcome === 'potted', points: zonePoints(outcome, landing, planned.window, bands) };
    });
  }
  if (task.kind === 'clear') {
    const plans = clearancePlans(planner, drill);
    return (player, seed) => clearances(player, drill, seed, plans);
  }
  const set = setUp(drill, table.preset, 1);
  const all = ballsOfSetUp(set);
  const cue = placedCueBall(planner, all);
  switch (task.kind) {
    case 'land': {
      const plan = planLanding(planner, drill, task, all);
      return each((player) => playLanding(player, drill, task, plan));
    }
    case 'break': {
      const play = breakPlanner(planner, drill, task);
      return each(play);
    }
    case 'kick':
    case 'safety': {
      const plans = Array.from({ length: stationsOf(drill) }, (_, k) => {
        const balls = ballsOfSetUp(setUp(atStation(drill, k + 1), table.preset, 1));
        const struck = placedCueBall(planner, balls);
        return struck && planHit(planner, drill, task, balls, struck);
      });
      return (player) =>
        ({ number }) =>
          playHit(player, drill, task, plans[stationOfAttempt(drill, number + 1) - 1]);
    }
    case 'plant': {
      const [first, second] = [task.first, task.pot].map((id) => all.find((ball) => ball.id === id));
      const others = all.filter((ball) => ball !== first && ball !== second && ball.id !== CUE_BALL);
      const plan =
        cue === undefined || first === undefined || second === undefined
          ? undefined
          : widest((speed) =>
              solvePlant({ table, cue, first, second, pocket: task.pocket, others }, plain(speed)),
            );
      return each((player) => playPot(player, plan, task.pot, task.pocket));
    }
    case 'double': {
      const question = { table, balls: all, object: task.pot, pocket: task.pocket };
      const plan = cue && widest((speed) => solveDouble(question, plain(speed)));
      return each((player) => playPot(player, plan, task.pot, task.pocket));
    }
    default:
      throw new RangeError(`virtualRounds: a virtual player does not play a ${task.kind} drill`);
  }
}

/** Clearances, each set up anew; a throw gives another layout each time. */
function clearances(player: VirtualPlayer, drill: Drill, seed: number, plans: ClearancePlans): PlayAttempt {
  return ({ number, balls, target }) => {
    const placed = ballsOfSetUp(setUp(drill, player.table.preset, seed + number));
    const all = openedRack(player, placed, drill.rack !== null);
    const cue = placedCueBall(player, all);
    const objects = all.filter(({ id }) => id !== CUE_BALL);
    if (target !== undefined) return oneOf(player, drill, objects, target, cue);
    const set = ballsOfAttempt(drill, balls);
    const up = objects.filter(({ id }) => set.includes(id));
    const played = playClearance(player, drill, up, cue, plans);
    return { ...outcomeOf(played.attempt), trace: played.shots };
  };
}

/** A rack that is to be cleared is broken first, by the same player; a break that pots or loses balls is broken again. */
function openedRack(
  player: VirtualPlayer,
  balls: readonly BallOnTable[],
  racked: boolean,
): readonly BallOnTable[] {
  if (!racked) return balls;
  const objects = balls.filter(({ id }) => id !== CUE_BALL);
  const plan = plainBreak(player, { kind: 'break', hit: 'head ball' }, null, objects);
  for (let k = 0; k < MOST_ATTEMPTS; k++) {
    const shot = playedBy(player, plan, player.random);
    const { rest } = simulate(shot, { events: false });
    const opened = objects.flatMap((ball) => {
      const at = rest.find(({ id }) => id === ball.id);
      return at === undefined || !isOnTable(at) ? [] : [{ ...ball, x: at.x, y: at.y }];
    });
    if (opened.length === objects.length) return opened;
  }
  return objects;
}

/** A try at one ball among the others, for drills of lives: it is done when that ball falls by rule. */
function oneOf(
  player: VirtualPlayer,
  drill: Drill,
  objects: readonly BallOnTable[],
  target: string,
  cue: BallOnTable | undefined,
): AttemptOutcome {
  const object = objects.filter(({ id }) => id === target);
  const single: Drill = { ...drill, faults: ENDING };
  // Nothing comes after it: there is no way to plan.
  const alone = { ...player, looksAhead: 1 };
  return { ...outcomeOf(playClearance(alone, single, object, cue).attempt), target };
}
const ENDING = {
  missed: 'ends the attempt',
  'in-off': 'ends the attempt',
  'wrong ball': 'ends the attempt',
  'condition broken': 'ends the attempt',
} as const;

/** Rounds of a drill by one virtual player. @param seed same seed, same round; yields what it has after each attempt */
export type VirtualRounds = (seed: number) => Generator<VirtualRound, VirtualRound>;

/**
 * Rounds of a drill by a virtual player of a level, attempt by attempt, counted by the drill's own method. What can be
 * planned beforehand is planned once.
 * @param base the drill @param begun its stage, and on a ladder the rung
 * @throws RangeError for a drill that asks for a call, or that does not fit the table; UnplayableDrillError for a plan
 *   that does not do on this table what the drill asks
 */
export function virtualRounds(
  base: Drill,
  { stage, ladderStart }: Beginning,
  table: Table,
  level: LevelName,
): VirtualRounds {
  const drill = atStage(base, stage);
  const error = executionErrorOf(level, table.preset.game);
  const looksAhead = looksAheadOf(level);
  const planned = planAttempts({ table, error, looksAhead, random: createRandom(1) }, drill, stage);
  return function* (seed) {
    const play = planned({ table, error, looksAhead, random: createRandom(seed) }, seed);
    const attempts: VirtualAttempt[] = [];
    let progress = roundProgress(drill, stage, attempts, ladderStart);
    while (!progress.result.complete && attempts.length < MOST_ATTEMPTS) {
      attempts.push(play({ number: attempts.length, balls: progress.balls, target: progress.targets?.[0] }));
      progress = roundProgress(drill, stage, attempts, ladderStart);
      if (!progress.result.complete) yield { attempts: [...attempts], result: progress.result };
    }
    return { attempts, result: progress.result };
  };
}

/** A round to its end. */
export function wholeRound(rounds: VirtualRounds, seed: number): VirtualRound {
  const round = rounds(seed);
  for (;;) {
    const next = round.next();
    if (next.done === true) return next.value;
  }
}

/** Rounds of one player one after the other, each with a seed of its own; whoever asks says how many. */
export function* roundsFrom(rounds: VirtualRounds, seed: number): Generator<VirtualRound, never> {
  for (let k = 0; ; k++) yield wholeRound(rounds, seed + SEEDS_APART * k);
}
