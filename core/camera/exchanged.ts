import { distance } from '../math/point.ts';
import type { Seen } from './frame.ts';

/** No ball that is not broken with goes faster than this, m/s. */
const FASTEST = 8;
/** Who was not seen for longer than this may be anywhere, seconds. */
const FORGOTTEN = 0.5;

/**
 * Pairs of names that have changed hands between two looks: each is where the other was, and both ways would be shorter by more than a
 * ball's width were they exchanged. A ball that stops where it met another, which rolls on, is no such pair: its ways would be longer.
 * @param radius of a ball, metres
 */
export function exchanged(
  before: ReadonlyMap<string, Seen>,
  now: ReadonlyMap<string, Seen>,
  radius: number,
): readonly (readonly [string, string])[] {
  const moved = [...now].flatMap(([name, to]) => {
    const from = before.get(name);
    const isKnown =
      from !== undefined && to.time - from.time < FORGOTTEN && distance(from.at, to.at) > radius;
    return isKnown ? [{ name, from: from.at, to: to.at }] : [];
  });
  return moved.flatMap((a, i) =>
    moved.slice(i + 1).flatMap((b): readonly [string, string][] => {
      const own = distance(a.from, a.to) + distance(b.from, b.to);
      const others = distance(a.from, b.to) + distance(b.from, a.to);
      return others + 2 * radius < own ? [[a.name, b.name]] : [];
    }),
  );
}

/** Whether a name is where its ball cannot have come, or came unseen. @param radius of a ball, metres */
export function jumped(before: Seen, now: Seen, radius: number): boolean {
  const way = distance(before.at, now.at);
  const passed = now.time - before.time;
  return way > 2 * radius + FASTEST * passed || (passed > FORGOTTEN && way > 2 * radius);
}
