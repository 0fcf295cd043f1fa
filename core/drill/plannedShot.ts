import { leftOnTable } from '../planning/aftermath.ts';
import { isOnTable, outcomeOfShot } from '../shot/outcome.ts';
import type { PocketName } from '../table/pockets.ts';
import { distance, pathLength, type Point } from '../math/point.ts';
import { wayAfterHit } from '../motion/path.ts';
import { simulate } from '../motion/simulate.ts';
import { InvalidShotError } from '../motion/validate.ts';
import type { BallOnTable, BallPath, Shot, ShotResult } from '../motion/shot.ts';
import { positionWindow } from '../planning/window.ts';
import type { PositionWindow } from '../planning/grid.ts';
import { aimToPot } from '../shot/aim.ts';
import { pocketNamed, type Table } from '../table/table.ts';
import { CUE_BALL, layOut } from './layout.ts';
import { meetings, paceOn, strokeOf } from './paceOn.ts';
import type { PositionDrill } from './positionDrill.ts';

/** Where the planned stroke would end at another pace. */
export interface PaceStop {
  /** Share of the planned speed. */
  readonly factor: number;
  readonly at: Point;
  /** False where the shot misses, or meets other balls or cushions than planned. */
  readonly asPlanned: boolean;
}

/** A position drill's shot on a table, solved: how it is played, where it ends, what it leaves. */
export interface PlannedShot {
  readonly shot: Shot;
  readonly result: ShotResult;
  /** Where the cue ball should stop. */
  readonly landing: Point;
  /** Unit vector of its way as it arrives; for a ball that stops dead, of the shot. */
  readonly arrival: Point;
  readonly window: PositionWindow;
  readonly next: { readonly ball: Point; readonly mouth: Point };
  readonly paceStops: readonly PaceStop[];
}

/** A drill whose planned stroke does not do on this table what the drill asks. */
export class UnplayableDrillError extends Error {
  override name = 'UnplayableDrillError';
}

/** Whether what was thrown says that a drill cannot be played on a table, and not that something else went wrong. */
export function isUnplayable(error: unknown): error is Error {
  return (
    error instanceof UnplayableDrillError || error instanceof InvalidShotError || error instanceof RangeError
  );
}

/** A cue ball that goes no farther than this after the pot has no way of its own, metres. */
const STOPS_DEAD = 0.08;
/** Paces tried to explain a landing, as shares of the planned speed. */
const PACE_LOW = 0.6;
const PACE_HIGH = 1.5;
const PACE_STEP = 0.02;

function cuePath(paths: readonly BallPath[] | undefined): BallPath {
  const path = paths?.find((candidate) => candidate.id === CUE_BALL);
  if (path === undefined) throw new UnplayableDrillError('the drill has no cue ball');
  return path;
}

function arrivalOf(path: BallPath, contactAt: Point, landing: Point, direction: number): Point {
  if (distance(contactAt, landing) > STOPS_DEAD) {
    const last = path.pieces.findLast((piece) => piece.vx !== 0 || piece.vy !== 0);
    if (last !== undefined) {
      const speed = Math.hypot(last.vx, last.vy);
      return { x: last.vx / speed, y: last.vy / speed };
    }
  }
  return { x: Math.cos(direction), y: Math.sin(direction) };
}

function paceStopsOf(
  shot: Shot,
  planned: ShotResult,
  task: { readonly object: string; readonly pocket: PocketName },
): readonly PaceStop[] {
  const wanted = meetings(planned.events);
  const steps = Math.round((PACE_HIGH - PACE_LOW) / PACE_STEP);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const factor = PACE_LOW + i * PACE_STEP;
    const result = simulate({ ...shot, strike: { ...shot.strike, speed: shot.strike.speed * factor } });
    const cue = result.rest.find((ball) => ball.id === CUE_BALL);
    return {
      factor,
      at: { x: cue?.x ?? 0, y: cue?.y ?? 0 },
      asPlanned:
        outcomeOfShot(result.rest, CUE_BALL, task) === 'potted' && meetings(result.events) === wanted,
    };
  });
}

/** A position drill's stroke on a table: how it is played, what it does, and where the cue ball stops. */
export interface PlannedStroke extends Pick<PlannedShot, 'shot' | 'result' | 'landing'> {
  /** The other balls that are left, where they lie then, and the next one of them. */
  readonly left: readonly BallOnTable[];
  readonly next: BallOnTable;
}

/**
 * Solves a drill's planned stroke on a table, at the pace that this cloth asks for; it is found much sooner than all of the
 * plan.
 * @throws UnplayableDrillError when the stroke does not pot the ball or loses the cue ball or the next one, RangeError or
 *   InvalidShotError when the layout does not fit the table
 */
export function plannedStroke(drill: PositionDrill, table: Table): PlannedStroke {
  const { task, plan } = drill;
  const stroke = strokeOf(plan, paceOn(drill, table));
  const aim = aimToPot(table, layOut(drill, table.preset), stroke, task.pot, task.pocket);
  if (aim.kind === 'no-way') {
    throw new UnplayableDrillError(
      `${drill.slug}: the planned stroke does not pot the ${task.pot} (${aim.reason})`,
    );
  }
  const { shot, result } = aim;
  const cue = result.rest.find(({ id }) => id === CUE_BALL);
  const left = leftOnTable(shot.balls, result.rest).filter(({ id }) => id !== CUE_BALL);
  const next = left.find(({ id }) => id === task.next.ball);
  if (cue === undefined || !isOnTable(cue) || next === undefined) {
    throw new UnplayableDrillError(`${drill.slug}: the planned stroke loses the cue ball or the next ball`);
  }
  return { shot, result, landing: { x: cue.x, y: cue.y }, left, next };
}

/**
 * How far the cue ball goes after the hit, as planned, metres.
 * @throws as plannedStroke
 */
export function plannedWay(drill: PositionDrill, table: Table): number {
  const { shot, result } = plannedStroke(drill, table);
  return pathLength(wayAfterHit(result, shot.strike.ball));
}

/**
 * Solves a drill's planned stroke on a table, and computes the window of its next ball.
 * @throws as plannedStroke
 */
export function planShot(drill: PositionDrill, table: Table): PlannedShot {
  const { task } = drill;
  const { shot, result, landing, left, next } = plannedStroke(drill, table);
  const path = cuePath(result.paths);
  const contact = path.pieces[1] ?? path.pieces[0]!;
  return {
    shot,
    result,
    landing,
    arrival: arrivalOf(path, contact, landing, shot.strike.direction),
    window: positionWindow(
      table,
      next,
      task.next.pocket,
      drill.scoring.windowLevel,
      left.filter(({ id }) => id !== next.id),
    ),
    next: { ball: { x: next.x, y: next.y }, mouth: pocketNamed(table, task.next.pocket).mouth },
    paceStops: paceStopsOf(shot, result, { object: task.pot, pocket: task.pocket }),
  };
}
