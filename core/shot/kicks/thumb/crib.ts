import type { BallOnTable } from '../../../motion/shot.ts';
import type { Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';
import type { KickStroke } from '../way.ts';
import { mirroredLine } from './mirrored.ts';
import { cushionsOf, roundStroke, ROUNDS } from './threeCushions.ts';
import { THUMB_PACES, thumbSpeed, type ThumbPace } from './thumbRules.ts';
import { trueLine } from './trueLine.ts';

/** Sights from corner to corner: on a long cushion, and on a short one; steps of a crib card, also without any. */
export const SIGHTS = { long: 8, short: 4 } as const;
/** Balls of the lines by one cushion lie so far from the other cushion, as a share of the way across. */
const OFF = 0.12;
/** Those across lie from here on, in sights: their aims are clear of the middle pocket. */
const FIRST = 0.4;
const MOST_APART = { across: 6, along: 3 } as const;
const STARTS = [0, 1, 2, 3, 4];
const ARRIVALS = [0, 1, 2];

/** Where to aim, metres, at each pace; undefined where that stroke does not lead there. */
type AimByPace = Readonly<Record<ThumbPace, number | undefined>>;

/** A line by one cushion between two balls that lie equally far off it. */
export interface ApartLine extends AimByPace {
  /** How far the balls are apart along the cushion, and where equal angles aim, from the cue ball on; metres. */
  readonly apart: number;
  readonly equal: number;
}

/** A line round by three cushions, the cue ball beside the right long cushion; all along the long cushions from the head. */
export interface RoundLine extends AimByPace {
  /** Where the cue ball lies, where it is to arrive on the left cushion after the third one, metres. */
  readonly start: number;
  readonly arrival: number;
}

/** Lines of a table to learn or to take along. */
export interface Crib {
  readonly across: readonly ApartLine[];
  readonly along: readonly ApartLine[];
  readonly round: readonly RoundLine[];
}

/** Works the lines of a crib card out by playing them on the table, balls in steps of a sight. */
export function cribOf(table: Table): Crib {
  const { length, width, preset } = table;
  const r = preset.ballRadius;
  const cueAt = (x: number, y: number): BallOnTable => ({
    id: 'cue',
    x,
    y,
    radius: r,
    mass: preset.ballMass,
  });
  const plain = (pace: ThumbPace): KickStroke => ({
    speed: thumbSpeed(table, 'equal angles', pace),
    tip: { side: 0, height: 0 },
    elevation: 0,
  });
  const byPace = (
    from: BallOnTable,
    place: Point,
    cushions: readonly string[],
    strokeAt: (pace: ThumbPace) => KickStroke,
    aimOf: (direction: number) => number,
  ): AimByPace & { readonly equal: number | undefined } => {
    const ideal = mirroredLine(table, from, place, cushions)?.direction;
    const at = (pace: ThumbPace) => {
      const direction = ideal && trueLine(table, from, strokeAt(pace), ideal, cushions, place);
      return direction === undefined ? undefined : aimOf(direction);
    };
    const [soft, firm] = THUMB_PACES.map(at);
    return { soft, firm, equal: ideal === undefined ? undefined : aimOf(ideal) };
  };
  const steps = (most: number) => Array.from({ length: most }, (_, i) => i + 1);
  return {
    across: steps(MOST_APART.across).flatMap((sights) => {
      const apart = (sights * length) / SIGHTS.long;
      const from = cueAt((FIRST * length) / SIGHTS.long, OFF * width);
      const aimOf = (direction: number) => ((width - from.y) * Math.cos(direction)) / Math.sin(direction);
      const { equal, ...paces } = byPace(from, { x: from.x + apart, y: from.y }, ['left'], plain, aimOf);
      return equal === undefined ? [] : [{ apart, equal, ...paces }];
    }),
    along: steps(MOST_APART.along).flatMap((sights) => {
      const apart = (sights * width) / SIGHTS.short;
      const from = cueAt(OFF * length, 0.5 * (width - apart));
      const aimOf = (direction: number) => (length - from.x) * Math.tan(direction);
      const { equal, ...paces } = byPace(from, { x: from.x, y: from.y + apart }, ['foot'], plain, aimOf);
      return equal === undefined ? [] : [{ apart, equal, ...paces }];
    }),
    round: ARRIVALS.flatMap((arrives) =>
      STARTS.map((starts): RoundLine => {
        const [start, arrival] = [starts, arrives].map((sights) => (sights * length) / SIGHTS.long);
        const from = cueAt(Math.max(2 * r, start!), 2 * r);
        const round = ROUNDS[0]!;
        const { soft, firm } = byPace(
          from,
          { x: Math.max(r, arrival!), y: width - r },
          cushionsOf(round),
          (pace) => roundStroke(round, thumbSpeed(table, 'far mark', pace)),
          (direction) => from.x + ((width - from.y) * Math.cos(direction)) / Math.sin(direction),
        );
        return { start: start!, arrival: arrival!, soft, firm };
      }),
    ),
  };
}
