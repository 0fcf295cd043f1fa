import { isOnTable } from './outcome.ts';
import { toDegrees } from '../math/angle.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { borderOf } from '../math/roots.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import type { StrokePlan } from './aim.ts';
import { directionsWhere, middleOf } from './directions.ts';

/** A plant: the first ball is hit so that it sends the second into a pocket. */
export interface Plant {
  readonly table: Table;
  readonly cue: BallOnTable;
  readonly first: BallOnTable;
  readonly second: BallOnTable;
  readonly pocket: PocketName;
  readonly others: readonly BallOnTable[];
}

export type ContactSide = 'left' | 'full' | 'right';

/** How a plant is played. */
export interface PlantWay {
  readonly shot: Shot;
  /** On which side the first ball is met, as the player sees it. */
  readonly side: ContactSide;
  /** Off a full hit on the first ball, as a share of the sum of both radii: 0 full, ±1 a graze; positive to the left. */
  readonly offset: number;
  /** Either way from the middle, degrees of the cue ball's direction. */
  readonly toleranceDeg: number;
  /** Where the cue ball stops; undefined when it falls. */
  readonly landing: Point | undefined;
}

/** Nearer to full than this the side cannot be told, as a share of both radii. */
const FULL = 0.03;
const STEPS = 240;
/** Gaps between the balls that are tried for a flip, metres. */
const WIDEST_GAP = 0.012;
const GAP_STEP = 0.0005;
const GAP_EXACT = 2e-5;

/** How far the line of both balls' centres points past the pocket, degrees; positive when it points to its left. */
export function plantOffsetDeg({ first, second }: Plant, target: Point): number {
  const off = bearing(first, second) - bearing(second, target);
  return toDegrees(Math.atan2(Math.sin(off), Math.cos(off)));
}

/**
 * Solves a plant by playing it over the whole width of the first ball.
 * @returns undefined when no hit pots the second ball
 */
export function solvePlant(plant: Plant, stroke: StrokePlan): PlantWay | undefined {
  const { table, cue, first, second, pocket, others } = plant;
  const balls = [cue, first, second, ...others];
  const full = bearing(cue, first);
  const reach = contactDistance(cue.radius, first.radius);
  const away = distance(cue, first);
  const widest = Math.asin(Math.min(1, reach / away));
  const shotAt = (direction: number): Shot => ({ table, balls, strike: { ...stroke, direction } });
  const pots = (direction: number) =>
    simulate(shotAt(direction), { events: false }).rest[2]?.pocket === pocket;
  const range = directionsWhere(full - 0.97 * widest, full + 0.97 * widest, (1.94 * widest) / STEPS, pots)[0];
  if (range === undefined) return undefined;
  const direction = middleOf(range);
  const shot = shotAt(direction);
  // A cue ball sent to the left of the full line meets the ball on its left.
  const offset = (away * Math.sin(direction - full)) / reach;
  const at = simulate(shot, { events: false }).rest[0];
  return {
    shot,
    offset,
    side: Math.abs(offset) < FULL ? 'full' : offset > 0 ? 'left' : 'right',
    toleranceDeg: toDegrees(0.5 * (range.high - range.low)),
    landing: at === undefined || !isOnTable(at) ? undefined : { x: at.x, y: at.y },
  };
}

/** The same plant with the first ball drawn back along the line of centres so that both lie a gap apart, metres. */
export function withGap(plant: Plant, gap: number): Plant {
  const { first, second } = plant;
  const line = bearing(second, first);
  const apart = contactDistance(first.radius, second.radius) + gap;
  return {
    ...plant,
    first: { ...first, x: second.x + apart * Math.cos(line), y: second.y + apart * Math.sin(line) },
  };
}

/** Where the side to hit changes as the balls lie farther apart, metres. */
export interface Flip {
  /** Up to this gap the side that pots touching balls pots them still. */
  readonly until: number;
  /** From this gap on the other side does; between the two, neither. */
  readonly from: number;
}

/**
 * The gap between the balls at which the side to hit changes: below it the pull of the touching (or nearly touching)
 * balls turns the second ball, above it the first ball's own way does.
 * @returns undefined when no side pots touching balls, or the same one does up to 12 mm
 */
export function flipGap(plant: Plant, stroke: StrokePlan): Flip | undefined {
  const sideAt = (gap: number) => solvePlant(withGap(plant, gap), stroke)?.side;
  const touching = sideAt(0);
  if (touching === undefined || touching === 'full') return undefined;
  const same = (gap: number) => sideAt(gap) === touching;
  const other = (gap: number) => {
    const side = sideAt(gap);
    return side !== undefined && side !== 'full' && side !== touching;
  };
  let until: number | undefined;
  for (let gap = GAP_STEP; gap <= WIDEST_GAP; gap += GAP_STEP) {
    if (until === undefined && !same(gap)) until = borderOf(same, gap - GAP_STEP, gap, GAP_EXACT);
    // One lucky gap is no side: the next one has to agree.
    if (until !== undefined && other(gap) && other(gap + GAP_STEP)) {
      const from = other(gap - GAP_STEP) ? gap - GAP_STEP : borderOf(other, gap, gap - GAP_STEP, GAP_EXACT);
      return { until, from: Math.max(until, from) };
    }
  }
  return undefined;
}
