import { positionAt } from '../motion/path.ts';
import type { ShotResult } from '../motion/shot.ts';

/** A side of the table, as seen from the head end. */
export type TableSide = 'head' | 'foot' | 'right' | 'left';

/** A moment that an eye, an ear or a stopwatch can tell. */
export type Moment = 'tip' | 'rest' | { readonly cushion: number } | 'hit';

/** What is measured of a guided shot, and of which ball. */
export type Reading =
  /** Where a ball comes to rest. */
  | { readonly kind: 'rest'; readonly ball: string; readonly axis: 'x' | 'y' }
  /** Where it meets its nth cushion, which is that of a side: the place of its middle along it. */
  | { readonly kind: 'meets'; readonly ball: string; readonly cushion: number; readonly side: TableSide }
  /** Seconds from one moment of a ball to another. */
  | { readonly kind: 'time'; readonly ball: string; readonly from: Moment; readonly to: Moment };

/** How exactly it is read: standard deviations of tape and watch; a sound recording tells times much better. */
export interface Exactness {
  /** Metres. */
  readonly tape: number;
  /** Seconds. */
  readonly watch: number;
}

export const BY_HAND: Exactness = { tape: 0.005, watch: 0.1 };
/** Times from a sound recording: to the moment at which a knock is found, and a cushion gives way for some milliseconds. */
export const BY_EAR: Exactness = { tape: 0.005, watch: 0.005 };

/** The standard deviation of a reading, in its own unit. */
export function errorOf(reading: Reading, { tape, watch }: Exactness): number {
  return reading.kind === 'time' ? watch : tape;
}

/**
 * What a simulated shot says where somebody reads it: metres, or seconds.
 * @param result of a simulation with paths
 * @returns undefined where it does not come to that: the cushion is not met, the ball falls
 */
export function readOff(result: ShotResult, reading: Reading): number | undefined {
  const { ball } = reading;
  const path = result.paths?.find(({ id }) => id === ball);
  const rest = result.rest.find(({ id }) => id === ball);
  if (path === undefined || rest === undefined) return undefined;
  if (reading.kind === 'rest') {
    return rest.pocket === null && !rest.offTable ? rest[reading.axis] : undefined;
  }
  if (reading.kind === 'meets') {
    const met = cushionsMet(result, ball)[reading.cushion - 1];
    if (met === undefined || !met.cushion.startsWith(reading.side)) return undefined;
    return positionAt(path, met.t)[axisOf(reading.side)];
  }
  const [from, to] = [momentOf(result, ball, reading.from), momentOf(result, ball, reading.to)];
  return from === undefined || to === undefined ? undefined : to - from;
}

/** When a moment of a ball is, seconds after the tip; undefined where it never is. */
export function momentOf(
  { events }: Pick<ShotResult, 'events'>,
  ball: string,
  moment: Moment,
): number | undefined {
  if (moment === 'tip') return 0;
  if (moment === 'rest')
    return events.findLast(({ kind, ...event }) => kind === 'rest' && 'id' in event && event.id === ball)?.t;
  if (moment === 'hit')
    return events.find((event) => event.kind === 'ball-ball' && event.ids.includes(ball))?.t;
  return cushionsMet({ events }, ball)[moment.cushion - 1]?.t;
}

const axisOf = (side: TableSide) => (side === 'head' || side === 'foot' ? 'y' : 'x');

/** Along which axis a reading tells a place: x from the head end, y from the right; undefined for a time. */
export function axisOfReading(reading: Reading): 'x' | 'y' | undefined {
  if (reading.kind === 'time') return undefined;
  return reading.kind === 'rest' ? reading.axis : axisOf(reading.side);
}

function cushionsMet({ events }: Pick<ShotResult, 'events'>, ball: string) {
  return events.flatMap((event) => (event.kind === 'ball-cushion' && event.id === ball ? [event] : []));
}
