import { borderOf } from '../../math/roots.ts';
import { toRadians } from '../../math/angle.ts';
import { kickShot, wayKey, wayOf, type KickPosition, type KickStroke, type Way } from './way.ts';

/** Directions are looked at in steps of this, so that no stretch of 0.1° is missed; borders are found to that, radians. */
const STEP = toRadians(0.08);
const BORDER = toRadians(0.002);

/** A stretch of directions in which the cue ball goes the same way. */
export interface Stretch {
  /** Radians, low from −π to π; high is greater, past π where the stretch goes on round. */
  readonly low: number;
  readonly high: number;
  readonly way: Way;
  /** What happens just below it and just above it. */
  readonly below: Way;
  readonly above: Way;
}

/**
 * All stretches of directions in which a stroke leads the cue ball to a wanted ball: all round the table in steps, the
 * borders by halving. Every stretch of 0.1° and more is found, or, with another step, every one that is wider than that.
 * @param most cushions before the ball, 0…8 @param wanted whether a way is looked for @param step radians
 * @returns by direction
 */
export function stretchesOf(
  position: KickPosition,
  stroke: KickStroke,
  most: number,
  wanted: (way: Way) => boolean,
  step = STEP,
): readonly Stretch[] {
  const wayAt = (direction: number) => wayOf(kickShot(position, stroke, direction), most);
  const count = Math.ceil((2 * Math.PI) / step);
  const at = (i: number) => -Math.PI + (2 * Math.PI * i) / count;
  const ways = Array.from({ length: count }, (_, i) => wayAt(at(i)));
  const keys = ways.map(wayKey);
  const wayNumber = (i: number) => ways[(i + count) % count]!;
  const keyNumber = (i: number) => keys[(i + count) % count];
  const stretches: Stretch[] = [];
  const start = keys.findIndex((key, i) => key !== keyNumber(i - 1));
  if (start === -1) {
    // The same all round: a ball that lies against the cue ball everywhere is not to be had, but nothing at all is.
    const way = ways[0]!;
    return wanted(way) ? [{ low: -Math.PI, high: Math.PI, way, below: way, above: way }] : [];
  }
  for (let i = start; i < start + count;) {
    const key = keyNumber(i);
    let end = i;
    while (end + 1 < start + count && keyNumber(end + 1) === key) end++;
    const way = wayNumber(i);
    if (wanted(way)) {
      const same = (direction: number) => wayKey(wayAt(direction)) === key;
      const low = borderOf(same, at(i), at(i - 1), BORDER);
      const high = borderOf(same, at(end), at(end + 1), BORDER);
      const round = low >= Math.PI ? 2 * Math.PI : 0;
      stretches.push({
        low: low - round,
        high: high - round,
        way,
        below: wayAt(low - BORDER),
        above: wayAt(high + BORDER),
      });
    }
    i = end + 1;
  }
  return stretches.sort((a, b) => a.low - b.low);
}
