import { ballLost } from '../shot/outcome.ts';
import type { ContactGrade } from '../counting/gradedContact.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable, Shot, ShotResult, Strike } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import { directionsWhere, middleOf } from '../shot/directions.ts';
import type { AttemptOutcome } from '../drill/round.ts';
import type { Drill } from '../records/drill.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { bestLeft, leaveGrade } from './leave.ts';
import type { VirtualPlayer } from './player.ts';

type HitTask = Extract<Drill['task'], { kind: 'kick' | 'safety' }>;

/** What became of a hit on a ball. */
interface Hit {
  /** Cushions of the cue ball before its first ball, by the side of the table. */
  readonly before: readonly string[];
  readonly first: string | undefined;
  /** Share of the ball that was covered, 0…1. */
  readonly covered: number;
  /** After it a ball fell or reached a cushion. */
  readonly legal: boolean;
}

const SPEEDS = [1.2, 1.9, 2.8, 4];
const SIDES = [0, -0.4, 0.4];
const STEP = 0.012;
const FULL_FROM = 0.7;
const THICK_FROM = 0.4;
/** A missed shot is played again this often before the virtual player is let off. */
const MOST_REPEATS = 9;
/** Half turns of the cue are looked at in these steps for a safety; paces as above. */
const SAFETY_STEP = 0.03;

function sideOf(cushion: string): string {
  return cushion.split('-')[0] ?? cushion;
}

function hitOf(result: ShotResult, cue: string): Hit {
  const before: string[] = [];
  for (const [i, event] of result.events.entries()) {
    if (event.kind === 'ball-cushion' && event.id === cue) before.push(sideOf(event.cushion));
    if (event.kind !== 'ball-ball' || !event.ids.includes(cue)) continue;
    const first = event.ids.find((id) => id !== cue);
    const later = result.events.slice(i + 1);
    const legal = later.some(({ kind }) => kind === 'pocket' || kind === 'ball-cushion');
    return { before, first, covered: coveredAt(result, cue, first ?? '', event.t), legal };
  }
  return { before, first: undefined, covered: 0, legal: false };
}

/** The share of a ball that the cue ball covers along its way as they meet. */
function coveredAt(result: ShotResult, cue: string, ball: string, t: number): number {
  const [cuePath, ballPath] = [cue, ball].map((id) => result.paths?.find((path) => path.id === id));
  if (cuePath === undefined || ballPath === undefined) return 0;
  const before: Point = positionAt(cuePath, t - 1e-3);
  const at = positionAt(cuePath, t);
  const off = bearing(before, at) - bearing(at, positionAt(ballPath, t));
  return 1 - Math.abs(Math.sin(off));
}

/** Whether a hit is what a task asks for. */
function isAsked(task: HitTask, hit: Hit): boolean {
  if (hit.first !== task.target) return false;
  if (task.kind === 'safety' || task.cushions.length === 0) return hit.legal;
  return hit.legal && hit.before.join(' ') === task.cushions.join(' ');
}

/**
 * The stroke that a virtual player plans: for a kick the pace and line that forgive most, by the cushions that the drill
 * names and, where they do not lead there, by any; for a safety the best leave.
 */
export function planHit(
  player: VirtualPlayer,
  task: HitTask,
  balls: readonly BallOnTable[],
  cue: BallOnTable,
): Shot | undefined {
  const shotAt = (speed: number, direction: number, side = 0): Shot => {
    const strike: Strike = { ball: cue.id, speed, direction, tip: { side, height: 0 }, elevation: 0 };
    return { table: player.table, balls, strike };
  };
  const look = (shot: Shot) => hitOf(simulate(shot, { paths: true }), cue.id);
  if (task.kind === 'safety')
    return bestSafety(player, task, shotAt, (shot) => look(shot).first === task.target);
  const asked = (shot: Shot) => isAsked(task, look(shot));
  const anyWay = (shot: Shot) => {
    const hit = look(shot);
    return hit.first === task.target && hit.legal;
  };
  for (const [sides, wanted] of [
    [SIDES.slice(0, 1), asked],
    [SIDES.slice(1), asked],
    [SIDES, anyWay],
  ] as const) {
    const best = mostForgiving(sides, shotAt, wanted);
    if (best !== undefined) return best;
  }
  return undefined;
}

function mostForgiving(
  sides: readonly number[],
  shotAt: (speed: number, direction: number, side: number) => Shot,
  wanted: (shot: Shot) => boolean,
): Shot | undefined {
  let best: { shot: Shot; width: number } | undefined;
  for (const side of sides) {
    for (const speed of SPEEDS) {
      const holds = (direction: number) => wanted(shotAt(speed, direction, side));
      const range = directionsWhere(-Math.PI, Math.PI, STEP, holds)[0];
      if (range === undefined) continue;
      const width = range.high - range.low;
      if (best === undefined || width > best.width)
        best = { shot: shotAt(speed, middleOf(range), side), width };
    }
  }
  return best?.shot;
}

function bestSafety(
  player: VirtualPlayer,
  task: HitTask,
  shotAt: (speed: number, direction: number) => Shot,
  asked: (shot: Shot) => boolean,
): Shot | undefined {
  let best: { shot: Shot; left: number; away: number } | undefined;
  for (const speed of SPEEDS) {
    for (let direction = -Math.PI; direction < Math.PI; direction += SAFETY_STEP) {
      const shot = shotAt(speed, direction);
      if (!asked(shot)) continue;
      const after = leftOnTable(shot.balls, simulate(shot, { events: false }).rest);
      const cue = after.find(({ id }) => id === shot.strike.ball);
      if (cue === undefined) continue;
      const objects = after.filter((ball) => ball !== cue);
      const left = bestLeft(player, cue, objects, task.target);
      const away = Math.min(...objects.map((ball) => distance(ball, cue)));
      if (best === undefined || left < best.left - 0.01 || (left < best.left + 0.01 && away > best.away)) {
        best = { shot, left, away };
      }
    }
  }
  return best?.shot;
}

function gradeOf(task: HitTask, hit: Hit): ContactGrade {
  if (hit.first !== task.target) return 'miss';
  const wanted = task.kind === 'kick' ? task.cushions.length : 0;
  if (hit.before.length > wanted && wanted > 0) return 'cushion first';
  return hit.covered >= FULL_FROM ? 'full' : hit.covered >= THICK_FROM ? 'thick' : 'thin';
}

/**
 * Plays one attempt at a planned kick or safety and judges it: hit, legal, thickness, and what it leaves to an opponent of
 * the same level; a miss that the drill calls is played again.
 */
export function playHit(
  player: VirtualPlayer,
  drill: Drill,
  task: HitTask,
  plan: Shot | undefined,
): AttemptOutcome {
  const missed = { hit: false, legal: false, repeats: MOST_REPEATS, leave: 'wide open' } as const;
  if (plan === undefined) return { done: false, grade: 'miss', kick: missed };
  const called = drill.scoring.method === 'kick' && drill.scoring.penalty > 0;
  for (let repeats = 0; ; repeats++) {
    const shot = executed(plan, player.error, player.random);
    const result = simulate(shot, { paths: true });
    const hit = hitOf(result, plan.strike.ball);
    const met = hit.first === task.target;
    if (!met && called && repeats < MOST_REPEATS) continue;
    const after = leftOnTable(plan.balls, result.rest);
    const cue = after.find(({ id }) => id === plan.strike.ball);
    const objects = after.filter((ball) => ball !== cue);
    const foul = cue === undefined || ballLost(result.rest);
    const leave = foul ? 'wide open' : leaveGrade(bestLeft(player, cue, objects, task.target));
    const done = met && !foul && (task.kind === 'kick' ? hit.legal : leave === 'nothing on');
    return {
      done,
      grade: gradeOf(task, hit),
      kick: { hit: met, legal: met && hit.legal && !foul, repeats, leave },
    };
  }
}
