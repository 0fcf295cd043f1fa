import type { Point } from '../../math/point.ts';
import type { BallOnTable, Shot, Strike } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { checkShot, InvalidShotError } from '../../motion/validate.ts';
import { executedWith, type Draws } from '../../player/execute.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Table } from '../../table/table.ts';

const CUE = 'cue';
const OBJECT = 'object';

/** Executions by which it is told how often a second meeting costs the pot: corners and faces of what errors do. */
const DRAWS: readonly Draws[] = [
  { line: 0, pace: 0, side: 0, height: 0, elevation: 0 },
  { line: 0.7, pace: 1, side: 0, height: 0.7, elevation: 0 },
  { line: -0.7, pace: -1, side: 0, height: -0.7, elevation: 0 },
  { line: 0.7, pace: -1, side: 0, height: -0.7, elevation: 0 },
  { line: -0.7, pace: 1, side: 0, height: 0.7, elevation: 0 },
  { line: 0, pace: 1.3, side: 0.7, height: 0, elevation: 0 },
  { line: 0, pace: -1.3, side: -0.7, height: 0, elevation: 0 },
  { line: 0.3, pace: 0.4, side: -0.7, height: -1.2, elevation: 0 },
  { line: -0.3, pace: -0.4, side: 0.7, height: 1.2, elevation: 0 },
];

function ballOn({ preset }: Table, id: string, { x, y }: Point): BallOnTable {
  return id === CUE
    ? { id, x, y, radius: preset.cueBallRadius, mass: preset.cueBallMass }
    : { id, x, y, radius: preset.ballRadius, mass: preset.ballMass };
}

/** Whether balls lie where a shot can be played: chances are asked for the mouths of pockets, too. */
function canBePlayed(shot: Shot): boolean {
  try {
    checkShot(shot);
    return true;
  } catch (error) {
    if (error instanceof InvalidShotError) return false;
    throw error;
  }
}

/** Whether the cue ball comes back to the ball, by way of a cushion, and keeps it from falling. */
function isSpoilt(shot: Shot): boolean {
  const { rest, events } = simulate(shot);
  const meetings = events.filter(({ kind }) => kind === 'ball-ball').length;
  return meetings > 1 && rest.some(({ id, pocket }) => id === OBJECT && pocket === null);
}

/**
 * The share of executions in which the cue ball does not come back to the ball on its way to the pocket and turn it away:
 * after a thin cut it keeps its pace, and from a cushion it may meet the ball again. Told only where the planned stroke
 * does so, or comes near: elsewhere it is 1 after one shot.
 * @param cue, object centres, metres @param strike of a ball called "cue", aimed
 * @returns 0…1
 */
export function keptFromSecondMeeting(
  table: Table,
  cue: Point,
  object: Point,
  strike: Omit<Strike, 'ball'>,
  error: ExecutionError,
): number {
  const balls = [ballOn(table, CUE, cue), ballOn(table, OBJECT, object)];
  const shot: Shot = { table, balls, strike: { ball: CUE, ...strike } };
  if (!canBePlayed(shot)) return 1;
  const planned = simulate(shot);
  const met = planned.events.filter(({ kind }) => kind === 'ball-ball').length;
  if (met <= 1) return 1;
  const spoilt = DRAWS.filter((draws) => isSpoilt(executedWith(shot, error, draws))).length;
  return 1 - spoilt / DRAWS.length;
}
