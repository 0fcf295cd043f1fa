import { simulate } from '../../../motion/simulate.ts';
import type { BallOnTable, PathPiece } from '../../../motion/shot.ts';
import { distance, type Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';
import { sideOf } from '../hit.ts';
import { kickShot, type KickStroke } from '../way.ts';

/** Straight bits by which a curved piece of a way is followed. */
const BITS = 6;

/** How a cue ball that is sent off by cushions passes a place. */
export interface Passing {
  /**
   * How far its middle passes from the place, metres: above zero long (on the far side, as the ball runs along its last
   * cushion), below zero short.
   */
  readonly miss: number;
  /** Where it is then. */
  readonly at: Point;
}

/**
 * Sends a cue ball off on a table with no other ball, and sees how near it comes to a place after it has met just the
 * cushions that are named, before the next one.
 * @param from the cue ball @param direction radians @param cushions sides of the table, in order, at least one
 * @returns undefined where it does not meet these cushions in this order, passes over the place before, falls, or stops short
 */
export function passingOf(
  table: Table,
  from: BallOnTable,
  stroke: KickStroke,
  direction: number,
  cushions: readonly string[],
  place: Point,
): Passing | undefined {
  const { events, paths } = simulate(kickShot({ table, balls: [from], cue: from.id }, stroke, direction), {
    paths: true,
  });
  const met = events.filter(
    ({ kind }) => kind === 'ball-cushion' || kind === 'pocket' || kind === 'off-table',
  );
  const asked = met.slice(0, cushions.length);
  const isAsked = asked.every(
    (event, i) => event.kind === 'ball-cushion' && sideOf(event.cushion) === cushions[i],
  );
  const since = asked[cushions.length - 1]?.t;
  if (!isAsked || since === undefined) return undefined;
  const until = met[cushions.length]?.t ?? Infinity;
  const pieces = paths?.[0]?.pieces ?? [];
  const before = nearestOn(bitsOf(pieces, 0, since), place);
  if (before !== undefined && before.gap < 2 * from.radius) return undefined;
  const way = bitsOf(pieces, since, until);
  const first = way[0];
  const last = way[way.length - 1];
  if (first === undefined || last === undefined) return undefined;
  const near = nearestOn(way, place);
  if (near === undefined) return undefined;
  // A ball that stops short of the place has passed it nowhere.
  if (until === Infinity && near.at === last && near.gap > from.radius) return undefined;
  const isLong = cushions[cushions.length - 1] === 'left' || cushions[cushions.length - 1] === 'right';
  const onward = isLong ? Math.sign(last.x - first.x) : Math.sign(last.y - first.y);
  const beyond = isLong ? near.at.x - place.x : near.at.y - place.y;
  return { miss: near.gap * (beyond * onward < 0 ? -1 : 1), at: near.at };
}

/** The way between two moments, as places that follow each other closely. */
function bitsOf(pieces: readonly PathPiece[], since: number, until: number): readonly Point[] {
  return pieces.flatMap((piece, i) => {
    const end = Math.min(pieces[i + 1]?.t ?? piece.t, until);
    if (piece.t < since || end <= piece.t) return [];
    return Array.from({ length: BITS + 1 }, (_, k) => {
      const t = ((end - piece.t) * k) / BITS;
      return {
        x: piece.x + piece.vx * t + 0.5 * piece.ax * t * t,
        y: piece.y + piece.vy * t + 0.5 * piece.ay * t * t,
      };
    });
  });
}

function nearestOn(
  way: readonly Point[],
  place: Point,
): { readonly at: Point; readonly gap: number } | undefined {
  let near: { at: Point; gap: number } | undefined;
  for (let i = 0; i + 1 < way.length; i++) {
    const [a, b] = [way[i]!, way[i + 1]!];
    const [ux, uy] = [b.x - a.x, b.y - a.y];
    const length = ux * ux + uy * uy;
    const share = length === 0 ? 0 : ((place.x - a.x) * ux + (place.y - a.y) * uy) / length;
    const at = share <= 0 ? a : share >= 1 ? b : { x: a.x + share * ux, y: a.y + share * uy };
    const gap = distance(at, place);
    if (near === undefined || gap < near.gap) near = { at, gap };
  }
  return near;
}
