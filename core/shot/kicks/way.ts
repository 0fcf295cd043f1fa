import { wrapAngle } from '../../math/angle.ts';
import { simulate } from '../../motion/simulate.ts';
import type { BallOnTable, Shot, ShotEvent, Strike } from '../../motion/shot.ts';
import type { Table } from '../../table/table.ts';
import { sideOf } from './hit.ts';

/** A stroke without its direction: that is what is looked for. */
export type KickStroke = Pick<Strike, 'speed' | 'tip' | 'elevation'>;

/** Balls as they lie, and which of them is struck. */
export interface KickPosition {
  readonly table: Table;
  /** The cue ball among them. */
  readonly balls: readonly BallOnTable[];
  readonly cue: string;
}

/** How the cue ball's way up to its first ball ends. */
export type WayEnd = 'ball' | 'pocket' | 'off the table' | 'stops' | 'too many cushions';

/** The cue ball's way up to its first ball. */
export interface Way {
  /** Cushions that it meets, by the side of the table, in order. */
  readonly cushions: readonly string[];
  readonly end: WayEnd;
  /** Id of the ball that it meets. */
  readonly first: string | undefined;
}

/** The shot of a stroke in a direction, radians. */
export function kickShot(
  { table, balls, cue }: KickPosition,
  { speed, tip, elevation }: KickStroke,
  direction: number,
): Shot {
  return { table, balls, strike: { ball: cue, speed, direction: wrapAngle(direction), tip, elevation } };
}

/**
 * Follows the cue ball of a shot up to the first ball that it meets.
 * @param most cushions that are followed, ≥ 0
 */
export function wayOf(shot: Shot, most: number): Way {
  return wayIn(simulate(shot, { untilMeeting: true }).events, shot.strike.ball, most);
}

/** The cue ball's way up to its first ball, of what happened in a shot. */
export function wayIn(events: readonly ShotEvent[], cue: string, most: number): Way {
  const cushions: string[] = [];
  for (const event of events) {
    if (event.kind === 'ball-ball') {
      if (!event.ids.includes(cue)) continue;
      return { cushions, end: 'ball', first: event.ids.find((id) => id !== cue) };
    }
    if (event.id !== cue) continue;
    if (event.kind === 'pocket') return { cushions, end: 'pocket', first: undefined };
    if (event.kind === 'off-table') return { cushions, end: 'off the table', first: undefined };
    if (event.kind !== 'ball-cushion') continue;
    if (cushions.length === most) return { cushions, end: 'too many cushions', first: undefined };
    cushions.push(sideOf(event.cushion));
  }
  return { cushions, end: 'stops', first: undefined };
}

/** Tells ways apart: by their cushions and how they end. */
export function wayKey({ cushions, end, first }: Way): string {
  return `${cushions.join(' ')}|${first ?? end}`;
}
