import type { Table } from '../table/table.ts';
import { begin } from './begin.ts';
import { engineFor, EVENT_CAP, type Engine } from './engine.ts';
import { partAtRest } from './partAtRest.ts';
import { playNext } from './playEvent.ts';
import { resultOf } from './result.ts';
import type { BallMotion, BallOnTable, Shot, ShotResult, SimulateOptions } from './shot.ts';
import { Phase } from './state.ts';
import { strikeBall } from './strike.ts';
import { checkShot } from './validate.ts';

/** Raised whenever the simulator's answers change, so that what was computed with an older one is not reused. */
export const MODEL_VERSION = 'full-3';

/**
 * Plays a shot: from the strike until every ball lies still.
 *
 * Event-driven: between events each ball moves in closed form, and the next event is found by solving for its
 * time, never by stepping; only a blow that several balls share is integrated. A pure function: the same shot gives
 * the same bits everywhere, whatever the order of its balls.
 * @throws InvalidShotError when the shot cannot be played (see checkShot)
 */
export function simulate(shot: Shot, options: SimulateOptions = {}): ShotResult {
  checkShot(shot);
  const { table, balls, strike } = shot;
  const struck = balls.findIndex((ball) => ball.id === strike.ball);
  const motion = strikeBall(balls[struck]!, strike, table.parameters.endMass);
  return run(table, balls, [motion], struck, options);
}

/**
 * Follows balls that are already in motion until all lie still, on the same terms as `simulate`; nothing is
 * checked.
 */
export function simulateMotion(
  table: Table,
  balls: readonly BallMotion[],
  options: SimulateOptions = {},
): ShotResult {
  return run(table, balls, balls, 0, options);
}

/** @param moving the motion of the balls from number `first` on; the others lie still */
function run(
  table: Table,
  balls: readonly BallOnTable[],
  moving: readonly BallMotion[],
  first: number,
  options: SimulateOptions,
): ShotResult {
  const e = engineFor(table, balls.length);
  begin(e, balls, moving, first, options.paths ?? false);
  const awaited = options.untilSettled === undefined ? -1 : e.s.ids.indexOf(options.untilSettled);
  const shared = options.contactPhase ?? true;
  const untilMeeting = options.untilMeeting ?? false;
  while (e.notes < EVENT_CAP && !hasSettled(e, awaited)) {
    if (!playNext(e, shared, untilMeeting)) break;
  }
  if (awaited < 0 && !untilMeeting) partAtRest(e);
  return resultOf(e, balls, e.notes < EVENT_CAP, options.events ?? true);
}

/** Whether the awaited ball has come to its end, after something has moved it. */
function hasSettled(e: Engine, awaited: number): boolean {
  if (awaited < 0 || e.version[awaited] === 0) return false;
  const phase = e.s.phase[awaited]!;
  return phase <= Phase.Spinning || phase >= Phase.Potted;
}
