import type { ContactGrade } from '../counting/gradedContact.ts';
import type { LeaveGrade } from '../counting/kickScore.ts';
import type { AttemptOutcome } from '../drill/round.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { bestSafety } from '../planning/safety/bestSafety.ts';
import { bestLeft } from '../planning/safety/leave.ts';
import { executed } from '../player/execute.ts';
import { opponentError } from '../player/opponent.ts';
import type { Drill } from '../records/drill.ts';
import { forgivingKick } from '../shot/kicks/forgivingKick.ts';
import { hitOf, type Hit } from '../shot/kicks/hit.ts';
import { ballLost } from '../shot/outcome.ts';
import type { VirtualPlayer } from './player.ts';

type HitTask = Extract<Drill['task'], { kind: 'kick' | 'safety' }>;

/** From these shares of the width on a hit is full, or thick. */
const FULL_FROM = 0.7;
const THICK_FROM = 0.4;
/** A missed shot is played again this often before the virtual player is let off. */
const MOST_REPEATS = 9;
/** From these chances of the opponent's best pot on a leave is half a chance, or wide open. */
const HALF = 0.25;
const OPEN = 0.6;

/** The stroke that a virtual player plans: the kick that forgives most, or the safety that leaves least. */
export function planHit(
  { table }: VirtualPlayer,
  drill: Drill,
  task: HitTask,
  balls: readonly BallOnTable[],
  cue: BallOnTable,
): Shot | undefined {
  return task.kind === 'safety'
    ? bestSafety(table, opponentError(drill, table.preset.game), balls, cue.id, task.target)
    : forgivingKick(table, balls, cue.id, task);
}

/** How a leave is graded: what an opponent makes of it. @param chance of their best pot, 0…1 */
export function leaveGrade(chance: number): LeaveGrade {
  return chance >= OPEN ? 'wide open' : chance >= HALF ? 'half a chance' : 'nothing on';
}

function gradeOf(task: HitTask, hit: Hit): ContactGrade {
  if (hit.first !== task.target) return 'miss';
  const wanted = task.kind === 'kick' ? task.cushions.length : 0;
  if (hit.before.length > wanted && wanted > 0) return 'cushion first';
  return hit.covered >= FULL_FROM ? 'full' : hit.covered >= THICK_FROM ? 'thick' : 'thin';
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
  const opponent = opponentError(drill, player.table.preset.game);
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
    const leave = foul
      ? 'wide open'
      : leaveGrade(bestLeft(player.table, opponent, cue, objects, task.target));
    const done = met && !foul && (task.kind === 'kick' ? hit.legal : leave === 'nothing on');
    return {
      done,
      grade: gradeOf(task, hit),
      kick: { hit: met, legal: met && hit.legal && !foul, repeats, leave },
    };
  }
}
