/** Gap below which bodies count as in touch, metres: rounding of a place, far below what can be seen. */
export const TOUCHING = 1e-9;

/**
 * Closing speed below which a touch is no collision, m/s; without such a bound a ball pressed against another, or
 * against a cushion by its spin, would bounce endlessly in no time. Bodies creep by less than a micrometre meanwhile.
 */
export const SLOWEST = 1e-3;
