import { borderOf } from '../math/roots.ts';

/** A stretch of directions, radians. */
export interface DirectionRange {
  readonly low: number;
  readonly high: number;
}

/** Edges are found to this, radians. */
const EDGE = 1e-5;

/**
 * The stretches of directions for which something holds, from looking at even steps and halving at the edges; what is
 * narrower than a step may be missed. The widest comes first.
 * @param step radians, > 0
 */
export function directionsWhere(
  low: number,
  high: number,
  step: number,
  holds: (direction: number) => boolean,
): readonly DirectionRange[] {
  const count = Math.max(1, Math.ceil((high - low) / step));
  const at = (i: number) => low + ((high - low) * i) / count;
  const ranges: DirectionRange[] = [];
  let since: number | undefined;
  for (let i = 0; i <= count + 1; i++) {
    const inside = i <= count && holds(at(i));
    if (inside && since === undefined) since = i === 0 ? low : borderOf(holds, at(i), at(i - 1), EDGE);
    if (!inside && since !== undefined) {
      ranges.push({ low: since, high: i > count ? high : borderOf(holds, at(i - 1), at(i), EDGE) });
      since = undefined;
    }
  }
  return ranges.sort((a, b) => b.high - b.low - (a.high - a.low));
}

export function middleOf({ low, high }: DirectionRange): number {
  return 0.5 * (low + high);
}
