import type { Press, Shot, ShotResult } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';

/** Two balls that touch while a rack opens. */
export interface OpeningContact {
  /** When it begins and when it is over, since the first contact, seconds. */
  readonly after: number;
  readonly until: number;
  readonly ids: readonly [string, string];
  /** Greatest force between them, newtons; undefined for balls that meet by themselves, not within a shared blow. */
  readonly force: number | undefined;
}

/** How a rack opens. */
export interface Opening {
  /** With each ball's path, also within the blow. */
  readonly result: ShotResult;
  /** When the first two balls meet, seconds; undefined when none do. */
  readonly hit: number | undefined;
  /** In the order in which they happen. */
  readonly contacts: readonly OpeningContact[];
}

/** So long after the first contact a rack is open, seconds: what meets later are balls under way. */
export const OPENING = 0.015;
/** A meeting and a press of the same two balls within this are the same contact, seconds. */
const SAME = 1e-3;

const isPair = (a: readonly string[], b: readonly string[]) => [...a].sort().join() === [...b].sort().join();

/**
 * A break, with the first milliseconds told: which balls press which, in which order, how hard.
 * @throws InvalidShotError when the shot cannot be played
 */
export function openingOf(shot: Shot): Opening {
  const result = simulate(shot, { paths: 'fine' });
  const meetings = result.events.flatMap((event) => (event.kind === 'ball-ball' ? [event] : []));
  const hit = meetings[0]?.t;
  if (hit === undefined) return { result, hit, contacts: [] };
  const presses = result.presses ?? [];
  const isPress = ({ t, ids }: Pick<Press, 't' | 'ids'>) =>
    presses.some((press) => Math.abs(press.t - t) < SAME && isPair(press.ids, ids));
  const alone = meetings
    .filter((event) => !isPress(event))
    .map(({ t, ids }) => ({ t, until: t, ids, force: undefined }));
  const contacts = [...presses, ...alone]
    .filter(({ t }) => t <= hit + OPENING)
    .sort((a, b) => a.t - b.t)
    .map(({ t, until, ids, force }) => ({ after: t - hit, until: until - hit, ids, force }));
  return { result, hit, contacts };
}
