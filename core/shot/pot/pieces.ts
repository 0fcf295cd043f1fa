import { toRadians } from '../../math/angle.ts';
import { normalCdf } from '../../math/normal.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Table } from '../../table/table.ts';
import { impact, inside, lookInside } from './bounds.ts';
import { HALF_NORMAL, ROOT_3, STEP } from './constants.ts';
import { playImpact } from './impact.ts';

/** Lines that are played where the share that falls is not one stretch, standard deviations to either side, and how many. */
const LINES_TO = 3.5;

const LINES = 18;

/** Gauss and Hermite's rule of five points, without the middle. */
const FIVE = [
  [1.355626179974266, 0.2220759220056126],
  [2.856970013872806, 0.01125741132772069],
] as const;

/** Share of a normal error of the line that falls with the stroke as it is now: between played lines margins are linear. */
function fallsOver(table: Table, line: number, aimed: number): number {
  let share = 0;
  let before = 0;
  let from = -LINES_TO;
  for (let k = 0; k <= LINES; k++) {
    const to = LINES_TO * ((2 * k) / LINES - 1);
    lookInside(table, aimed + to * line);
    const now = Math.min(inside.low, inside.high);
    if (k > 0 && (now > 0 || before > 0)) {
      const cross = from + ((to - from) * before) / (before - now);
      const [a, b] = [before > 0 ? from : cross, now > 0 ? to : cross];
      share += normalCdf(b) - normalCdf(a);
    }
    before = now;
    from = to;
  }
  return share;
}

/** What an error of the tip's side does, as an error of the line on an endless bed, radians. */
function sideAsLine(table: Table, error: ExecutionError, aimed: number): number {
  const { side } = impact;
  const goes = (off: number) => (playImpact(table, impact, off, false) ? impact.direction : 0);
  const slope = (goes(aimed + STEP) - goes(aimed)) / STEP;
  impact.side = side + error.tip;
  const left = goes(aimed);
  impact.side = side - error.tip;
  const turn = (left - goes(aimed)) / 2;
  impact.side = side;
  return slope === 0 ? 0 : Math.abs(turn / slope);
}

/**
 * The chance of a ball by a cushion, where the cue ball meets both at once or the cushion first: what falls comes in pieces.
 * Errors but that of the line are taken as adding up.
 */
export function inPieces(table: Table, error: ExecutionError, aimed: number): number {
  const { speed, side, height, elevation } = impact;
  const bySide = sideAsLine(table, error, aimed);
  let line = toRadians(error.directionDeg);
  // A raised butt turns a little side into a lot of swerve: that error then does what one of the line does.
  const swerves = bySide > line;
  if (swerves) line = Math.hypot(line, bySide);
  const planned = fallsOver(table, line, aimed);
  let chance = planned;
  const add = (weight: number) => (chance += weight * (fallsOver(table, line, aimed) - planned));
  for (const [sigmas, weight] of swerves ? [] : FIVE) {
    for (const sign of [-1, 1]) {
      impact.side = side + sign * sigmas * error.tip;
      add(weight);
    }
  }
  impact.side = side;
  for (const sign of [-ROOT_3, ROOT_3]) {
    impact.speed = speed * Math.max(0.2, 1 + sign * error.speed);
    add(1 / 6);
    impact.speed = speed;
    impact.height = height + sign * error.tip;
    add(1 / 6);
    impact.height = height;
    if (elevation > 0) {
      impact.elevation = Math.max(0, elevation + sign * toRadians(error.elevationDeg));
      add(1 / 6);
    }
    impact.elevation = elevation;
  }
  if (elevation === 0 && side !== 0) {
    for (const sigmas of HALF_NORMAL) {
      impact.elevation = sigmas * toRadians(error.elevationDeg);
      add(1 / 6);
    }
    impact.elevation = 0;
  }
  return Math.max(0, Math.min(1, chance));
}
