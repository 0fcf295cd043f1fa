/**
 * Roots of the low-degree polynomials that the simulator meets: a ball's gap to another ball, a cushion or a
 * pocket is a polynomial of the time, of degree four at most.
 */

/** A polynomial c0 + c1·t + … + c4·t⁴, the coefficients in that order. */
export type Quartic = Float64Array;

/** Newton from a bracket: each step at least halves the bracket every second time, so 120 steps always suffice. */
const MAX_STEPS = 120;

function value(c: Quartic, t: number): number {
  return (((c[4]! * t + c[3]!) * t + c[2]!) * t + c[1]!) * t + c[0]!;
}

function slope(c: Quartic, t: number): number {
  return ((4 * c[4]! * t + 3 * c[3]!) * t + 2 * c[2]!) * t + c[1]!;
}

function curvature(c: Quartic, t: number): number {
  return (12 * c[4]! * t + 6 * c[3]!) * t + 2 * c[2]!;
}

/** The root of a monotone function between `low` and `high`, at which it has opposite signs. */
function bracketedRoot(
  f: (c: Quartic, t: number) => number,
  df: (c: Quartic, t: number) => number,
  c: Quartic,
  low: number,
  high: number,
): number {
  const rising = f(c, low) < f(c, high);
  let a = low;
  let b = high;
  let t = 0.5 * (a + b);
  for (let step = 0; step < MAX_STEPS; step++) {
    const y = f(c, t);
    if (y === 0) return t;
    if (y < 0 === rising) a = t;
    else b = t;
    const newton = t - y / df(c, t);
    const next = newton > a && newton < b ? newton : 0.5 * (a + b);
    if (Math.abs(next - t) <= 1e-15 * (1 + Math.abs(t))) return next;
    t = next;
  }
  return t;
}

/** Places where the search keeps its points; owned by the caller, so that no call allocates. */
export interface RootScratch {
  readonly bends: Float64Array;
  readonly points: Float64Array;
  readonly rate: Float64Array;
}

export function createRootScratch(): RootScratch {
  return { bends: new Float64Array(4), points: new Float64Array(5), rate: new Float64Array(5) };
}

/** The real roots of a + b·t + c·t² inside (0, end), ascending, into `out`; returns how many. */
function quadraticRootsInside(a: number, b: number, c: number, end: number, out: Float64Array): number {
  if (c === 0) {
    if (b === 0) return 0;
    const t = -a / b;
    if (!(t > 0 && t < end)) return 0;
    out[0] = t;
    return 1;
  }
  const discriminant = b * b - 4 * a * c;
  if (discriminant < 0) return 0;
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(discriminant));
  const t1 = q / c;
  const t2 = q === 0 ? t1 : a / q;
  const early = Math.min(t1, t2);
  const late = Math.max(t1, t2);
  let n = 0;
  if (early > 0 && early < end) out[n++] = early;
  if (late > early && late > 0 && late < end) out[n++] = late;
  return n;
}

/** Splits (0, end) where the slope changes sign; the stretches in between are monotone. Returns how many. */
function monotonePoints(c: Quartic, end: number, scratch: RootScratch): number {
  const { bends, points } = scratch;
  if (c[4] === 0 && c[3] === 0) {
    const count = quadraticRootsInside(c[1]!, 2 * c[2]!, 0, end, points);
    points[count] = end;
    return count + 1;
  }
  const bendCount = quadraticRootsInside(2 * c[2]!, 6 * c[3]!, 12 * c[4]!, end, bends) + 1;
  bends[bendCount - 1] = end;
  let n = 0;
  let from = 0;
  for (let i = 0; i < bendCount; i++) {
    const to = bends[i]!;
    if (slope(c, from) < 0 !== slope(c, to) < 0) points[n++] = bracketedRoot(slope, curvature, c, from, to);
    from = to;
  }
  points[n++] = end;
  return n;
}

/** True when all Bernstein coefficients on [0, end] are positive: then the polynomial is too, and most of them are. */
function staysAbove(c: Quartic, end: number): boolean {
  const c0 = c[0]!;
  const a = 0.25 * c[1]! * end;
  const b = (1 / 6) * c[2]! * end * end;
  const d = 0.25 * c[3]! * end * end * end;
  return (
    c0 > 0 &&
    c0 + a > 0 &&
    c0 + 2 * a + b > 0 &&
    c0 + 3 * a + 3 * b + d > 0 &&
    c0 + 4 * a + 6 * b + 4 * d + c[4]! * end * end * end * end > 0
  );
}

/**
 * The first time in (0, end] at which a polynomial falls from above zero to zero or below.
 * @param c five coefficients, constant first
 * @param end how far to look, > 0
 * @returns the time, or Infinity when it does not fall through zero
 */
export function firstFallThroughZero(c: Quartic, end: number, scratch: RootScratch): number {
  if (staysAbove(c, end)) return Infinity;
  const { points } = scratch;
  const count = monotonePoints(c, end, scratch);
  let from = 0;
  let above = c[0]! > 0;
  for (let i = 0; i < count; i++) {
    const to = points[i]!;
    const aboveThen = value(c, to) > 0;
    if (above && !aboveThen) return bracketedRoot(value, slope, c, from, to);
    above = aboveThen;
    from = to;
  }
  return Infinity;
}

/**
 * The first time at which a gap closes, for bodies that may already touch.
 *
 * Bodies in touch that close faster than `slowest` meet at once. Slower ones are let creep until they are that
 * fast or part: without that bound a ball resting against another would collide endlessly in no time.
 * @param c the gap as a polynomial of time (any measure that is positive when apart), constant first
 * @param end how far to look in seconds
 * @param touching gap below which the bodies count as in touch, in the gap's unit
 * @param slowest closing rate below which a touch is no collision, in the gap's unit a second
 * @returns the time in seconds, 0 for at once, or Infinity
 */
export function firstContact(
  c: Quartic,
  end: number,
  touching: number,
  slowest: number,
  scratch: RootScratch,
): number {
  if (c[0]! > touching) return firstFallThroughZero(c, end, scratch);
  if (c[1]! < -slowest) return 0;
  const { rate } = scratch;
  rate[0] = c[1]! + slowest;
  rate[1] = 2 * c[2]!;
  rate[2] = 3 * c[3]!;
  rate[3] = 4 * c[4]!;
  rate[4] = 0;
  const fastEnough = firstFallThroughZero(rate, end, scratch);
  if (fastEnough <= end && value(c, fastEnough) <= touching) return fastEnough;
  return firstFallThroughZero(c, end, scratch);
}

/**
 * A root of a continuous function between two points at which it has opposite signs, by the Illinois variant of
 * false position: it needs no slope and never leaves the bracket.
 * @param tolerance width of x at which to stop
 * @throws RangeError when both ends have the same sign
 */
export function rootBetween(f: (x: number) => number, low: number, high: number, tolerance: number): number {
  let a = low;
  let b = high;
  let fa = f(a);
  let fb = f(b);
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa < 0 === fb < 0)
    throw new RangeError('rootBetween: the function must change sign between low and high');
  for (let step = 0; step < MAX_STEPS && Math.abs(b - a) > tolerance; step++) {
    const x = (a * fb - b * fa) / (fb - fa);
    const y = f(x);
    if (y === 0) return x;
    if (y < 0 !== fb < 0) {
      a = b;
      fa = fb;
    } else {
      fa *= 0.5;
    }
    b = x;
    fb = y;
  }
  return b;
}

/**
 * The border between a point where a condition holds and one where it does not, by halving.
 * @param tolerance width at which to stop
 * @returns the last point found at which it holds
 */
export function borderOf(
  holds: (x: number) => boolean,
  inside: number,
  outside: number,
  tolerance: number,
): number {
  let a = inside;
  let b = outside;
  while (Math.abs(b - a) > tolerance) {
    const middle = 0.5 * (a + b);
    if (middle === a || middle === b) break;
    if (holds(middle)) a = middle;
    else b = middle;
  }
  return a;
}
