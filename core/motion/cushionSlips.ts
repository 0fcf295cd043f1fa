import type { MotionParameters } from '../table/parameters.ts';

/**
 * The rebound from a cushion as a ball really makes it: pressed for a moment between the nose, above its centre,
 * and the cloth, it slips on both at once. Equations of S. Mathavan, M. R. Jackson and R. M. Parkin, "A theoretical
 * analysis of billiard ball dynamics under cushion impacts", Proc. IMechE C 224 (2010), in a shorter form:
 *
 * With e1 along the cushion, n into it, the nose at sine s and cosine c above the centre and spins in m/s (ω·R), the
 * slips at the nose (s1, s2) and at the cloth (c1, c2) close among themselves, the normal velocity is
 * (c2 − s2)/(1 + s), and v1 + ωn·2/5 + ωz·(1 + s)·2/(5·c) never changes. The normal velocity is the independent
 * variable, so that the end of compression is exact; the end of restitution is where the work given back reaches e²
 * of the work put in. Sticking at the nose is a mode of its own. The laws are homogeneous in the velocities.
 */

/** Error of a step, as a share of the normal speed. */
const TOLERANCE = 1e-5;
/**
 * Slip at the nose, as a share of the normal speed, below which its direction is no matter of its own: it is held, or
 * creeps off the way the nose pulls. Left only well above, so that the two do not take turns.
 */
const HELD_BELOW = 1e-4;
const HELD_UNTIL = 2e-4;
/** A step takes at most this share of the way to where the slip at the nose would end: it bends the more the nearer. */
const SLIP_SHARE = 0.5;
/** Below this the direction of a slip on the cloth is noise, as a share of the normal speed. */
const NO_SLIP = 1e-12;
/** The end of restitution is met to this share of the normal speed, or to a few roundings of the slips. */
const END_TOLERANCE = 1e-9;
const ROUNDING = 4e-15;
/** A rebound takes some ten steps; one that takes this many has parameters out of any range. */
const MAX_STEPS = 2_000;
/** s1, s2, c1, c2 and the work at the nose. */
export const SIZE = 5;
const SLIPS = 4;

/** Takes slips before a rebound to those after it, in place. */
export interface SlipSolver {
  /**
   * @param slips s1, s2, c1, c2 in m/s and a place for the work
   * @throws RangeError when the parameters let no rebound end
   */
  solve(slips: Float64Array): void;
}

/** @param sin of the angle at which the nose lies above the ball's centre, −1…1 */
export function createSlipSolver(p: MotionParameters, sin: number): SlipSolver {
  const cos = Math.sqrt(1 - sin * sin);
  const mu = p.cushionFriction;
  const muCloth = p.slidingFriction;
  let state: Float64Array = new Float64Array(SIZE);
  const trial = new Float64Array(SIZE);
  const [k0, k1, k2, k3, k4, k5, k6] = [0, 1, 2, 3, 4, 5, 6].map(() => new Float64Array(SIZE)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  /** Whether the last derivative found that the nose can hold the ball. */
  let holds = false;
  /** Change of the normal velocity per unit of impulse at the last derivative; negative. */
  let drop = -1;
  let scale = 1;
  let held = false;
  /** Whether k0, `drop` and `holds` are those of the present state: the last stage of a step is the first of the next. */
  let known = false;

  /** Derivatives by progress (the normal velocity turned round) at some slips into `out`. */
  function derive(s1: number, s2: number, c1: number, c2: number, out: Float64Array): void {
    let f1 = 0;
    let f2 = 0;
    if (!held) {
      const slip = Math.sqrt(s1 * s1 + s2 * s2);
      f1 = (mu * s1) / slip;
      f2 = (mu * s2) / slip;
    }
    let w1 = c1;
    let w2 = c2;
    let rub = Math.sqrt(c1 * c1 + c2 * c2);
    if (rub <= NO_SLIP * scale) {
      // A rolling ball: the cloth resists whichever way the nose makes it slip.
      w1 = f1 * (2.5 * sin - 1);
      w2 = -cos + f2 * (sin - 2.5);
      rub = Math.sqrt(w1 * w1 + w2 * w2);
    }
    w1 *= muCloth / rub;
    w2 *= muCloth / rub;
    if (held) {
      // What would keep the touching point still: ds1 = ds2 = 0.
      f2 = (sin * cos + (sin - 2.5) * w2 * sin) / (2.5 + sin * sin - (sin - 2.5) * w2 * cos);
      f1 = ((2.5 * sin - 1) * w1 * Math.max(0, sin + cos * f2)) / 3.5;
      const need = Math.sqrt(f1 * f1 + f2 * f2);
      holds = need <= mu;
      if (!holds) {
        f1 *= mu / need;
        f2 *= mu / need;
      }
    }
    const press = Math.max(0, sin + cos * f2);
    const g1 = press * w1;
    const g2 = press * w2;
    drop = -cos + sin * f2 - g2;
    const perProgress = -1 / drop;
    const still = held && holds;
    out[0] = still ? 0 : (-3.5 * f1 + (2.5 * sin - 1) * g1) * perProgress;
    out[1] = still ? 0 : (sin * cos - (2.5 + sin * sin) * f2 + (sin - 2.5) * g2) * perProgress;
    out[2] = ((2.5 * sin - 1) * f1 - 3.5 * g1) * perProgress;
    out[3] = (-cos + (sin - 2.5) * f2 - 3.5 * g2) * perProgress;
    out[4] = (cos * Math.abs(c2 - s2) * perProgress) / (1 + sin);
  }

  /**
   * Tries a step of h with Dormand and Prince's fifth-order pair (J. Comp. Appl. Math. 6, 1980); leaves the result in
   * `trial` and its error, as a share of what is allowed, in `offBy`.
   */
  let offBy = 0;
  function attempt(h: number): void {
    // Written out, since loops over four take longer. The work enters no derivative: only the last stage needs it.
    const s1 = state[0]!;
    const s2 = state[1]!;
    const c1 = state[2]!;
    const c2 = state[3]!;
    derive(s1 + h * 0.2 * k0[0]!, s2 + h * 0.2 * k0[1]!, c1 + h * 0.2 * k0[2]!, c2 + h * 0.2 * k0[3]!, k1);
    derive(
      s1 + h * (0.075 * k0[0]! + 0.225 * k1[0]!),
      s2 + h * (0.075 * k0[1]! + 0.225 * k1[1]!),
      c1 + h * (0.075 * k0[2]! + 0.225 * k1[2]!),
      c2 + h * (0.075 * k0[3]! + 0.225 * k1[3]!),
      k2,
    );
    derive(
      s1 + h * ((44 / 45) * k0[0]! - (56 / 15) * k1[0]! + (32 / 9) * k2[0]!),
      s2 + h * ((44 / 45) * k0[1]! - (56 / 15) * k1[1]! + (32 / 9) * k2[1]!),
      c1 + h * ((44 / 45) * k0[2]! - (56 / 15) * k1[2]! + (32 / 9) * k2[2]!),
      c2 + h * ((44 / 45) * k0[3]! - (56 / 15) * k1[3]! + (32 / 9) * k2[3]!),
      k3,
    );
    derive(
      s1 +
        h *
          ((19372 / 6561) * k0[0]! -
            (25360 / 2187) * k1[0]! +
            (64448 / 6561) * k2[0]! -
            (212 / 729) * k3[0]!),
      s2 +
        h *
          ((19372 / 6561) * k0[1]! -
            (25360 / 2187) * k1[1]! +
            (64448 / 6561) * k2[1]! -
            (212 / 729) * k3[1]!),
      c1 +
        h *
          ((19372 / 6561) * k0[2]! -
            (25360 / 2187) * k1[2]! +
            (64448 / 6561) * k2[2]! -
            (212 / 729) * k3[2]!),
      c2 +
        h *
          ((19372 / 6561) * k0[3]! -
            (25360 / 2187) * k1[3]! +
            (64448 / 6561) * k2[3]! -
            (212 / 729) * k3[3]!),
      k4,
    );
    derive(
      s1 +
        h *
          ((9017 / 3168) * k0[0]! -
            (355 / 33) * k1[0]! +
            (46732 / 5247) * k2[0]! +
            (49 / 176) * k3[0]! -
            (5103 / 18656) * k4[0]!),
      s2 +
        h *
          ((9017 / 3168) * k0[1]! -
            (355 / 33) * k1[1]! +
            (46732 / 5247) * k2[1]! +
            (49 / 176) * k3[1]! -
            (5103 / 18656) * k4[1]!),
      c1 +
        h *
          ((9017 / 3168) * k0[2]! -
            (355 / 33) * k1[2]! +
            (46732 / 5247) * k2[2]! +
            (49 / 176) * k3[2]! -
            (5103 / 18656) * k4[2]!),
      c2 +
        h *
          ((9017 / 3168) * k0[3]! -
            (355 / 33) * k1[3]! +
            (46732 / 5247) * k2[3]! +
            (49 / 176) * k3[3]! -
            (5103 / 18656) * k4[3]!),
      k5,
    );
    trial[0] =
      s1 +
      h *
        ((35 / 384) * k0[0]! +
          (500 / 1113) * k2[0]! +
          (125 / 192) * k3[0]! -
          (2187 / 6784) * k4[0]! +
          (11 / 84) * k5[0]!);
    trial[1] =
      s2 +
      h *
        ((35 / 384) * k0[1]! +
          (500 / 1113) * k2[1]! +
          (125 / 192) * k3[1]! -
          (2187 / 6784) * k4[1]! +
          (11 / 84) * k5[1]!);
    trial[2] =
      c1 +
      h *
        ((35 / 384) * k0[2]! +
          (500 / 1113) * k2[2]! +
          (125 / 192) * k3[2]! -
          (2187 / 6784) * k4[2]! +
          (11 / 84) * k5[2]!);
    trial[3] =
      c2 +
      h *
        ((35 / 384) * k0[3]! +
          (500 / 1113) * k2[3]! +
          (125 / 192) * k3[3]! -
          (2187 / 6784) * k4[3]! +
          (11 / 84) * k5[3]!);
    trial[4] =
      state[4]! +
      h *
        ((35 / 384) * k0[4]! +
          (500 / 1113) * k2[4]! +
          (125 / 192) * k3[4]! -
          (2187 / 6784) * k4[4]! +
          (11 / 84) * k5[4]!);
    derive(trial[0], trial[1], trial[2], trial[3], k6);
    let worst = 0;
    for (let k = 0; k < SLIPS; k++) {
      const off =
        (71 / 57600) * k0[k]! -
        (71 / 16695) * k2[k]! +
        (71 / 1920) * k3[k]! -
        (17253 / 339200) * k4[k]! +
        (22 / 525) * k5[k]! -
        (1 / 40) * k6[k]!;
      worst = Math.max(worst, Math.abs(h * off));
    }
    offBy = worst / (TOLERANCE * scale);
  }

  /** Takes up or gives up holding by the slip, and works out the derivative at the present state. */
  function begin(): void {
    const slip = Math.sqrt(state[0]! * state[0]! + state[1]! * state[1]!);
    if (held ? slip > HELD_UNTIL * scale : slip <= HELD_BELOW * scale) {
      held = !held;
      known = false;
    }
    if (!known) derive(state[0]!, state[1]!, state[2]!, state[3]!, k0);
    known = true;
    if (held && holds && slip > 0) {
      known = false;
      // Without slip the normal velocity rests on c2 alone.
      state[3] = state[3]! - state[1]!;
      state[0] = 0;
      state[1] = 0;
    }
  }

  /** The longest step after which the slip is still told rightly, from its rate of change. */
  function slipLimit(): number {
    const slip = Math.sqrt(state[0]! * state[0]! + state[1]! * state[1]!);
    if (held) {
      const rate = Math.sqrt(k0[0]! * k0[0]! + k0[1]! * k0[1]!);
      return rate === 0 ? Infinity : (2 * HELD_UNTIL * scale) / rate;
    }
    const rate = (state[0]! * k0[0]! + state[1]! * k0[1]!) / slip;
    return rate < 0 ? (-SLIP_SHARE * slip) / rate : Infinity;
  }

  /** The progress in which some work is done at the present ratio of velocity to impulse, m/s. */
  function progressFor(due: number): number {
    const vn = (state[3]! - state[1]!) / (1 + sin);
    return Math.sqrt(Math.max(0, vn * vn - (2 * drop * due) / cos)) + vn;
  }

  /**
   * Integrates over a stretch of progress, or, when `work` is given, until that work has been done.
   * @param length progress in m/s; ignored when work is given
   */
  function integrate(length: number, work: number): void {
    const byWork = work >= 0;
    let left = length;
    let size = 0.5 * scale;
    for (let step = 0; step < MAX_STEPS; step++) {
      begin();
      if (byWork) left = progressFor(work - state[4]!);
      // A ball that only brushes the nose has slips so much larger that their rounding is felt in the normal velocity.
      if (left <= (byWork ? END_TOLERANCE * scale + ROUNDING * Math.abs(state[3]!) : 0)) return;
      let h = Math.min(size, left, slipLimit());
      attempt(h);
      // Never beyond the end: back through a slip that has just changed its direction there is no way.
      for (let again = 0; byWork && offBy <= 1 && trial[4]! > work && again < MAX_STEPS; again++) {
        h *= (0.999 * (work - state[4]!)) / (trial[4]! - state[4]!);
        attempt(h);
      }
      if (offBy <= 1) {
        state.set(trial);
        k0.set(k6);
        known = true;
        left = h === left ? 0 : left - h;
      } else known = false;
      const grow = 0.8 / Math.sqrt(Math.sqrt(Math.max(offBy, 1e-10)));
      size = Math.min(scale, Math.max(h, offBy <= 1 ? size : 0) * Math.min(3, Math.max(0.2, grow)));
    }
    throw new RangeError('rebound: the parameters of the cushion let no rebound end');
  }

  return {
    solve(slips) {
      state = slips;
      const vn = (slips[3]! - slips[1]!) / (1 + sin);
      scale = vn;
      held = false;
      known = false;
      slips[4] = 0;
      integrate(vn, -1);
      const e = Math.max(0, p.cushionRestitution - p.cushionRestitutionFall * vn);
      const work = e * e * slips[4];
      slips[4] = 0;
      if (work > 0) integrate(0, work);
    },
  };
}
