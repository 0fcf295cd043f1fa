import { contactDistance } from './ballBall.ts';
import type { Engine } from './engine.ts';
import { recordPath } from './result.ts';
import { Phase } from './state.ts';

/** Balls are set so far apart, metres: far below what can be seen, above the rounding of a place. */
const APART = 1e-9;
/** In a pack that lies frozen one pair pushes the next. */
const MOST_SWEEPS = 400;

/**
 * Sets balls that lie still where real ones would: outside each other, and before the noses. Balls that touch and close
 * more slowly than the events look at creep into each other while they roll out together, by half a millimetre at the
 * most; a shot that is played from there would be refused.
 */
export function partAtRest(e: Engine): void {
  const { count } = e.s;
  let touched = 0;
  for (let i = 0; i < count; i++) if (hasMoved(e, i)) played[touched++] = i;
  let moved: Set<number> | undefined;
  for (let sweep = 0, again = true; again && sweep < MOST_SWEEPS; sweep++) {
    again = false;
    for (let i = 0; i < count; i++) {
      if (!liesStill(e, i)) continue;
      // Two that nobody has touched lie as they were set: of one that was not, only those that were are looked at.
      const all = hasMoved(e, i);
      const others = all ? i : touched;
      for (let k = 0; k < others; k++) {
        const j = all ? k : played[k]!;
        if (j >= i) break;
        if (!liesStill(e, j) || !part(e, i, j)) continue;
        moved = (moved ?? new Set()).add(i).add(j);
        again = true;
      }
    }
    if (moved !== undefined) for (const i of moved) if (keepBeforeNoses(e, i)) again = true;
    if (sweep === 0) {
      for (let k = 0; k < touched; k++) {
        const i = played[k]!;
        if (moved?.has(i) === true || !liesStill(e, i) || !keepBeforeNoses(e, i)) continue;
        moved = (moved ?? new Set()).add(i);
        again = true;
      }
    }
  }
  if (moved !== undefined) for (const i of moved) recordPath(e, i);
}

/** Numbers of the balls that were touched, rising; of the shot that is at its end. */
const played: number[] = [];

const liesStill = ({ s }: Engine, i: number) => s.phase[i]! <= Phase.Rest;

/** Balls that nobody has touched lie as they were set. */
const hasMoved = ({ version }: Engine, i: number) => version[i]! > 0;

/** Moves two balls apart, each by half, until they just do not touch; false where they do not overlap. */
function part({ s }: Engine, i: number, j: number): boolean {
  const dx = s.x[i]! - s.x[j]!;
  const dy = s.y[i]! - s.y[j]!;
  const reach = contactDistance(s.radius[i]!, s.radius[j]!);
  const apartSq = dx * dx + dy * dy;
  if (apartSq >= reach * reach) return false;
  const apart = Math.sqrt(apartSq);
  const share = (0.5 * (reach + APART - apart)) / apart;
  s.x[i] = s.x[i]! + share * dx;
  s.y[i] = s.y[i]! + share * dy;
  s.x[j] = s.x[j]! - share * dx;
  s.y[j] = s.y[j]! - share * dy;
  return true;
}

/** Brings a ball that lies in the straight part of a cushion back before its nose; false where it lies before it. */
function keepBeforeNoses({ s, table, ground }: Engine, i: number): boolean {
  let changed = false;
  for (const side of ground.sides) {
    const size = side.axis === 0 ? table.length : table.width;
    const place = side.axis === 0 ? s.x : s.y;
    const reach = s.reach[i]!;
    const gap = side.far ? size - place[i]! : place[i]!;
    const at = side.axis === 0 ? s.y[i]! : s.x[i]!;
    // What lies far behind a nose is in a pocket's jaws, or has never been on the bed.
    if (gap >= reach || gap < 0.9 * reach || !side.spans.some(({ from, to }) => at >= from && at <= to))
      continue;
    place[i] = side.far ? size - reach : reach;
    changed = true;
  }
  return changed;
}
