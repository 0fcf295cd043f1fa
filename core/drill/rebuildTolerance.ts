import { toRadians } from '../math/angle.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { InvalidShotError } from '../motion/validate.ts';
import { landingCloud } from '../planning/cloud.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executionErrorOf } from '../player/levels.ts';
import { fullAcceptanceOf } from '../shot/acceptance.ts';
import { aimToPot } from '../shot/aim.ts';
import { potChance } from '../shot/potChance.ts';
import type { Table } from '../table/table.ts';
import { CUE_BALL, layOut } from './layout.ts';
import { paceOn } from './paceOn.ts';
import type { PositionDrill } from './positionDrill.ts';

/** How far a ball may be off its place before the shot is another one. */
export interface BallTolerance {
  readonly id: string;
  /** Metres. */
  readonly within: number;
  /** Even at `within` the shot is the same: no more was tried. */
  readonly atLeast: boolean;
}

/** By how much the chance may change, as a share: five points. */
export const SAME_CHANCE = 0.05;
/** What the search allows, so that directions between those that it tries are inside too. */
const SEARCH_CHANCE = 0.042;
/** Nearest and farthest that is tried, metres: what a hand can place, and what no eye misses. */
const LEAST = 0.0005;
const MOST = 0.05;
/** Directions tried at each distance; the search ends when it is this near, metres. */
const DIRECTIONS = 12;
const NEAR_ENOUGH = 0.0005;
const EXECUTIONS = 700;
const SEED = 4610;

/**
 * The chance of a drill's pot and the next one: how often the planned stroke, aimed anew at the balls as they lie,
 * pots its ball, times how likely the next is potted from where the cue ball stops. The player is the one whose
 * chances contour the drill's window. Always the same executions, so that two layouts can be compared.
 * @param balls as they lie, metres
 */
export function pairChance(drill: PositionDrill, table: Table, balls: readonly BallOnTable[]): number {
  const { task, plan, scoring } = drill;
  const stroke = {
    ball: CUE_BALL,
    speed: plan.speed,
    tip: plan.tip,
    elevation: toRadians(plan.elevationDeg),
  };
  const aim = aimToPot(table, balls, stroke, task.pot, task.pocket);
  const next = balls.find((ball) => ball.id === task.next.ball);
  if (aim.kind === 'no-way' || next === undefined) return 0;
  const acceptance = fullAcceptanceOf(table, next, task.next.pocket);
  if (acceptance === undefined) return 0;
  const error = executionErrorOf(scoring.windowLevel, table.preset.game);
  const cloud = landingCloud(
    aim.shot,
    { object: task.pot, pocket: task.pocket },
    errorAsCued(aim.shot, error),
    EXECUTIONS,
    SEED,
  );
  const target = { object: next, acceptance };
  const sum = cloud.reduce(
    (total, { outcome, landing }) =>
      outcome === 'potted' ? total + potChance(table, landing, target, error) : total,
    0,
  );
  return sum / cloud.length;
}

function displaced(
  balls: readonly BallOnTable[],
  id: string,
  by: number,
  towards: number,
): readonly BallOnTable[] {
  return balls.map((ball) =>
    ball.id === id
      ? { ...ball, x: ball.x + by * Math.cos(towards), y: ball.y + by * Math.sin(towards) }
      : ball,
  );
}

/**
 * How exactly each ball of a position drill must be set: the distance at which the chance of the pot and the next
 * one changes by five points in the worst direction.
 * @param written the drill as it is played at the stage
 * @param onProgress called with the share that is done, 0…1
 * @throws RangeError when the layout does not fit the table
 */
export function rebuildTolerance(
  written: PositionDrill,
  table: Table,
  onProgress: (share: number) => void = () => undefined,
): readonly BallTolerance[] {
  const drill = { ...written, plan: { ...written.plan, speed: paceOn(written, table) } };
  const balls = layOut(drill, table.preset);
  const planned = pairChance(drill, table, balls);
  const sameAt = (id: string, by: number): boolean => {
    for (let k = 0; k < DIRECTIONS; k++) {
      const towards = (2 * Math.PI * k) / DIRECTIONS;
      const chance = pairChanceOrNone(drill, table, displaced(balls, id, by, towards));
      if (Math.abs(chance - planned) > SEARCH_CHANCE) return false;
    }
    return true;
  };
  return balls.map(({ id }, i) => {
    onProgress(i / balls.length);
    if (sameAt(id, MOST)) return { id, within: MOST, atLeast: true };
    let low = LEAST;
    let high = MOST;
    while (high - low > Math.max(NEAR_ENOUGH, 0.08 * high)) {
      const middle = 0.5 * (low + high);
      if (sameAt(id, middle)) low = middle;
      else high = middle;
    }
    return { id, within: low, atLeast: false };
  });
}

/** A ball moved into a cushion or into another one leaves no shot at all. */
function pairChanceOrNone(drill: PositionDrill, table: Table, balls: readonly BallOnTable[]): number {
  try {
    return pairChance(drill, table, balls);
  } catch (error) {
    if (error instanceof InvalidShotError) return 0;
    throw error;
  }
}
