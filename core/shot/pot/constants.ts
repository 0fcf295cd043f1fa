/** Directions are found to this, radians. */
export const EXACT = 1e-6;
/** A step over which the slope of a bound is measured, radians. */
export const STEP = 1e-4;
/** How far from a line its neighbours are looked at first, as a share of the whole ball. */
export const FIRST_LOOK = 0.03;
/** How much farther each time. */
export const WIDER = 1.8;
/** Standard deviations of the outer points of Gauss and Hermite's rule of three. */
export const ROOT_3 = Math.sqrt(3);
/** Three equal parts of the positive half of a normal error, by mean and spread. */
export const HALF_NORMAL = [0.22, 0.7, 1.47];
