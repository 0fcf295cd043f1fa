import type { BallOnTable } from '../../../motion/shot.ts';
import type { Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';
import type { KickStroke } from '../way.ts';
import { mirroredLine } from './mirrored.ts';
import { trueLine } from './trueLine.ts';

/** Round the table: the long cushion that is met first, and the short one after it; the third is the other long one. */
export interface Round {
  readonly first: 'left' | 'right';
  readonly second: 'head' | 'foot';
}

export const ROUNDS: readonly Round[] = [
  { first: 'left', second: 'foot' },
  { first: 'left', second: 'head' },
  { first: 'right', second: 'foot' },
  { first: 'right', second: 'head' },
];

/** Running side with which both rules for three cushions are played, ball radii. */
export const RUNNING_SIDE = 0.35;

/**
 * What two rules for three cushions need to know of a table at a pace. All of it for a ball that goes by the left long
 * cushion, the foot one and the right one to the left cushion again, near the head: other rounds are its mirror images.
 */
export interface ThreeCushionFigures {
  /** m/s */
  readonly speed: number;
  /** From anywhere in the head half a cue ball that is sent straight at this place comes to the corner. Metres. */
  readonly mark: Point;
  /** So far towards the head the mark moves for a metre by which the arrival moves from the corner towards the foot. */
  readonly shift: number;
  /**
   * The aim on the first cushion is a third of twice the start less the arrival, and this, metres: all counted along the
   * long cushions from the head; the start is where the cue's line comes from over the right cushion.
   */
  readonly constant: number;
}

/** Where cue balls are tried, and arrivals, as shares of the table. */
const ALONG = [0.06, 0.16, 0.27, 0.38, 0.5];
const ACROSS = [0.1, 0.26, 0.42, 0.58];
const ARRIVALS = [0, 0.1, 0.22];
/** The mark is found anew so often, each line weighed by how far it is from there. */
const PASSES = 4;

interface Line {
  readonly from: Point;
  readonly direction: number;
}

/** The cushions of a round, in order. */
export function cushionsOf({ first, second }: Round): readonly string[] {
  return [first, second, first === 'left' ? 'right' : 'left'];
}

/** The stroke of a round at a pace. @param speed m/s */
export function roundStroke({ first, second }: Round, speed: number): KickStroke {
  const sign = (first === 'left' ? 1 : -1) * (second === 'foot' ? 1 : -1);
  return { speed, tip: { side: sign * RUNNING_SIDE, height: 0 }, elevation: 0 };
}

/** A place as it lies for a ball that goes round by left, foot and right; and back, for turned twice it is the same. */
export function turned<T extends Point>({ length, width }: Table, { first, second }: Round, place: T): T {
  return {
    ...place,
    x: second === 'foot' ? place.x : length - place.x,
    y: first === 'left' ? place.y : width - place.y,
  };
}

/** A direction as it is in the turned table, radians. */
export function turnedDirection({ first, second }: Round, direction: number): number {
  const [ux, uy] = [Math.cos(direction), Math.sin(direction)];
  return Math.atan2(first === 'left' ? uy : -uy, second === 'foot' ? ux : -ux);
}

const CANONICAL: Round = { first: 'left', second: 'foot' };

/**
 * Fits the mark, its shift and the constant to a table: where the cue ball has to be sent is found by playing from many
 * places.
 * @param speed m/s, > 0 @returns undefined where too few strokes of this pace get round
 */
export function threeCushionFigures(table: Table, speed: number): ThreeCushionFigures | undefined {
  const { length, width, preset } = table;
  const r = preset.ballRadius;
  const stroke = roundStroke(CANONICAL, speed);
  const cushions = cushionsOf(CANONICAL);
  const found = ARRIVALS.map((share) => {
    const arrival = Math.max(r, share * length);
    const place = { x: arrival, y: width - r };
    const lines = ALONG.flatMap((along) =>
      ACROSS.flatMap((across): readonly Line[] => {
        const from: BallOnTable = {
          id: 'cue',
          x: along * length,
          y: across * width,
          radius: r,
          mass: preset.ballMass,
        };
        const ideal = mirroredLine(table, from, place, cushions);
        const direction = ideal && trueLine(table, from, stroke, ideal.direction, cushions, place);
        return direction === undefined ? [] : [{ from, direction }];
      }),
    );
    return { arrival, lines };
  });
  const [corner, ...others] = found;
  if (corner === undefined || corner.lines.length < 6) return undefined;
  const mark = meetingOf(corner.lines);
  if (mark === undefined) return undefined;
  const shifts = others.map(({ arrival, lines }) => ({ arrival, by: shiftAlong(lines, mark) }));
  const shift =
    -sumOf(shifts, ({ arrival, by }) => (arrival - r) * by) /
    sumOf(shifts, ({ arrival }) => (arrival - r) ** 2);
  const constants = found.flatMap(({ arrival, lines }) =>
    lines.map(({ from, direction }) => {
      const slope = Math.cos(direction) / Math.sin(direction);
      const aim = from.x + (width - from.y) * slope;
      const start = from.x - from.y * slope;
      return aim - (2 * start - arrival) / 3;
    }),
  );
  return { speed, mark, shift, constant: sumOf(constants, (each) => each) / constants.length };
}

/** The place that many lines pass nearest, by angles as they are seen from where the lines begin; undefined for parallels. */
function meetingOf(lines: readonly Line[]): Point | undefined {
  let place: Point | undefined;
  for (let pass = 0; pass < PASSES; pass++) {
    let [xx, xy, yy, xb, yb] = [0, 0, 0, 0, 0];
    for (const { from, direction } of lines) {
      const [nx, ny] = [-Math.sin(direction), Math.cos(direction)];
      const weight = place === undefined ? 1 : 1 / ((place.x - from.x) ** 2 + (place.y - from.y) ** 2);
      const b = nx * from.x + ny * from.y;
      xx += weight * nx * nx;
      xy += weight * nx * ny;
      yy += weight * ny * ny;
      xb += weight * nx * b;
      yb += weight * ny * b;
    }
    const det = xx * yy - xy * xy;
    if (!(det > 1e-9 * xx * yy)) return undefined;
    place = { x: (yy * xb - xy * yb) / det, y: (xx * yb - xy * xb) / det };
  }
  return place;
}

/** How far along x a place has to move so that lines pass it nearest, metres. */
function shiftAlong(lines: readonly Line[], { x, y }: Point): number {
  let [above, below] = [0, 0];
  for (const { from, direction } of lines) {
    const [nx, ny] = [-Math.sin(direction), Math.cos(direction)];
    const weight = 1 / ((x - from.x) ** 2 + (y - from.y) ** 2);
    above -= weight * nx * (nx * (x - from.x) + ny * (y - from.y));
    below += weight * nx * nx;
  }
  return below === 0 ? 0 : above / below;
}

function sumOf<T>(items: readonly T[], of: (item: T) => number): number {
  return items.reduce((sum, each) => sum + of(each), 0);
}
