import type { ContactGrade } from '../counting/gradedContact.ts';
import { gradeOfHit } from '../counting/gradeOfHit.ts';
import { givenAway } from '../counting/kickScore.ts';
import { isAskedLeave, leaveAsked, leaveGrade } from '../counting/leaveGrade.ts';
import type { AttemptOutcome } from '../drill/round.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { safeties, type HitWish } from '../planning/safety/safeties.ts';
import { bestLeft, isHidden } from '../planning/safety/leave.ts';
import { judgesLeave, opponentError } from '../player/opponent.ts';
import type { Drill } from '../records/drill.ts';
import type { Game } from '../table/preset.ts';
import { forgivingKick, isKickAsked } from '../shot/kicks/forgivingKick.ts';
import { acceptanceAbout } from '../shot/acceptanceNear.ts';
import { hitOf, isLegalHit, type Hit } from '../shot/kicks/hit.ts';
import { ballLost } from '../shot/outcome.ts';
import { playedBy, worthAsPlayed, type VirtualPlayer } from './player.ts';

type HitTask = Extract<Drill['task'], { kind: 'kick' | 'safety' }>;

/** A missed shot is played again this often before the virtual player is let off. */
const MOST_REPEATS = 9;

/** Safeties that are tried before one is settled on, and the best of them that are looked at closely: executions of each. */
const LOOKED_AT = 260;
const ROUGHLY = 10;
const CLOSELY_LOOKED_AT = 16;
const CLOSELY = 60;
/** Strokes of one pace that differ by less are not told apart, radians. */
const NEIGHBOURS = 0.02;
/** So many of the best are refined, and so many of those told apart for good: the best of many by few tries is luck. */
const REFINED = 5;
const TOLD_APART = 6;
const FOR_GOOD = 400;
/** By how much one is turned, radians, and its pace changed, to see whether a neighbour is better. */
const TURNS = [-0.024, -0.016, -0.008, 0.008, 0.016, 0.024];
const PACES = [0.85, 0.93, 1.07, 1.15];

function asksCushionFirst({ conditions }: Pick<Drill, 'conditions'>): boolean {
  return conditions.includes('cushion first');
}

/** Sides of the tip that are tried for a kick, ball radii: as much to the right as to the left. */
const KICK_SIDES = [0, -0.4, 0.4];

/** What a kick or a safety is to do, as the drill has it. */
function wishOf(drill: Drill, task: HitTask, game: Game): HitWish {
  const { target } = task;
  if (task.kind === 'kick') {
    const sides = drill.conditions.includes('no side') ? [0] : KICK_SIDES;
    return { target, sides, wanted: (hit) => isKickAsked(task, hit, game) && keepsTo(drill, hit) };
  }
  return { target, sides: [0], wanted: (hit) => keepsTo(drill, hit) };
}

/** Whether a hit keeps to what the drill asks of it beside its cushions. */
function keepsTo(drill: Drill, hit: Hit): boolean {
  return !asksCushionFirst(drill) || hit.before.length > 0;
}

/**
 * The stroke that a virtual player plans: of the kicks or safeties that the drill asks for the one that does best as it will
 * be played; the kick that forgives most goes with them, and alone where there is no other.
 */
export function planHit(
  player: VirtualPlayer,
  drill: Drill,
  task: HitTask,
  balls: readonly BallOnTable[],
  cue: BallOnTable,
): Shot | undefined {
  const { table } = player;
  const { game } = table.preset;
  const opponent = opponentError(drill, game);
  const all = safeties(table, opponent, balls, cue.id, wishOf(drill, task, game)).map(({ shot }) => shot);
  const forgiving = task.kind === 'kick' ? forgivingKick(table, balls, cue.id, task) : undefined;
  if (all.length === 0) return forgiving;
  const best = (shots: readonly Shot[], executions: number) =>
    shots
      .map((shot) => ({
        shot,
        worth: worthAsPlayed(player, shot, executions, (played) =>
          worthOf(drill, judged(player, drill, task, played, true)),
        ),
      }))
      .sort((x, y) => y.worth - x.worth)
      .map(({ shot }) => shot);
  const rough = best(spreadOut(forgiving === undefined ? all : [forgiving, ...all]), ROUGHLY);
  const close = best(rough.slice(0, CLOSELY_LOOKED_AT), CLOSELY);
  const refined = best(close.slice(0, REFINED).flatMap(around), CLOSELY);
  return best(refined.slice(0, TOLD_APART), FOR_GOOD)[0];
}

/** A stroke and its near neighbours in line and pace. */
function around(shot: Shot): readonly Shot[] {
  const { strike } = shot;
  return [
    shot,
    ...TURNS.map((turn) => ({ ...shot, strike: { ...strike, direction: strike.direction + turn } })),
    ...PACES.map((pace) => ({ ...shot, strike: { ...strike, speed: strike.speed * pace } })),
  ];
}

/** Some strokes of a list, the first among them, without neighbours of those that are taken. */
function spreadOut(all: readonly Shot[]): readonly Shot[] {
  const taken: Shot[] = [];
  for (const shot of all) {
    if (taken.length >= LOOKED_AT) break;
    const { speed, direction, tip } = shot.strike;
    const isNew = taken.every(
      ({ strike }) =>
        strike.speed !== speed ||
        strike.tip.side !== tip.side ||
        Math.abs(strike.direction - direction) > NEIGHBOURS,
    );
    if (isNew) taken.push(shot);
  }
  return taken;
}

/** By how much less a stroke counts that gives the opponent all: of strokes that a drill rates alike the safer one. */
const TIE = 0.01;

/** What a drill gives for a kick or a safety, 0…1: its points, or what it does not give away. */
function worthOf({ scoring }: Drill, { met, legal, grade, given, asAsked }: Judged): number {
  const leave = leaveGrade(given);
  if (scoring.method === 'kick') {
    const most = scoring.penalty + Math.max(1, ...Object.values(scoring.leaveCosts));
    return 1 - givenAway({ hit: met, legal, repeats: 0, leave }, scoring) / most - TIE * given;
  }
  if (scoring.method !== 'graded-contact') return (legal && asAsked ? 1 : 0) - TIE * given;
  const points = scoring.points[met ? grade : 'miss'];
  return points / Math.max(1, ...Object.values(scoring.points)) - TIE * given;
}

function gradeOf(task: HitTask, hit: Hit): ContactGrade {
  if (hit.first !== task.target) return 'miss';
  return gradeOfHit(hit, task.kind === 'kick' ? task.cushions.length : 0);
}

/** How a played kick or safety ended. */
interface Judged {
  readonly met: boolean;
  readonly legal: boolean;
  readonly grade: ContactGrade;
  /** Chance that the opponent is given, 0…1: all of it after a miss or a foul. */
  readonly given: number;
  /** Whether it leaves what is asked for. */
  readonly asAsked: boolean;
}

/** Leaves are looked at only where the drill judges them. @param asPlanned to choose by: less closely */
function judged(
  { table }: VirtualPlayer,
  drill: Drill,
  task: HitTask,
  shot: Shot,
  asPlanned = false,
): Judged {
  const result = simulate(shot, { paths: true });
  const cueId = shot.strike.ball;
  const hit = hitOf(result, cueId);
  const met = hit.first === task.target && !(asksCushionFirst(drill) && hit.before.length === 0);
  const after = leftOnTable(shot.balls, result.rest);
  const cue = after.find(({ id }) => id === cueId);
  const objects = after.filter((ball) => ball !== cue);
  const foul = cue === undefined || ballLost(result.rest);
  const opponent = opponentError(drill, table.preset.game);
  const source = asPlanned ? acceptanceAbout : undefined;
  const asked = leaveAsked(task);
  const hides = () => asked === 'hidden' && cue !== undefined && isHidden(table, cue, objects, task.target);
  const left = foul || !judgesLeave(drill) ? 1 : bestLeft(table, opponent, cue, objects, task.target, source);
  const given = met ? left : 1;
  return {
    met,
    legal: met && !foul && isLegalHit(hit, table.preset.game),
    grade: met ? gradeOf(task, hit) : 'miss',
    given,
    asAsked:
      asked === undefined ||
      (cue !== undefined && isAskedLeave(asked, { leave: leaveGrade(given), hidden: hides() })),
  };
}

/**
 * Plays one attempt at a planned kick or safety and judges it: hit, legal, thickness, and what it leaves to the
 * opponent, who is the same for everybody; a miss that the drill calls is played again.
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
    const { met, legal, grade, given, asAsked } = judged(
      player,
      drill,
      task,
      playedBy(player, plan, player.random),
    );
    if (!met && called && repeats < MOST_REPEATS) continue;
    const leave = leaveGrade(given);
    return { done: legal && asAsked, grade, kick: { hit: met, legal, repeats, leave } };
  }
}
