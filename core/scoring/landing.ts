import type { PlannedShot } from '../drill/plannedShot.ts';
import { distance, type Point } from '../math/point.ts';
import { cutTo, type Thickness } from '../shot/cut.ts';

/** A next ball within this many degrees of straight is called straight: no side to choose any more. */
export const STRAIGHT_DEG = 4;
/** A pace within this share of the plan is called right. */
const RIGHT_PACE = 0.02;
/** Another pace explains a landing that it comes this near to, metres, or to this share of the whole error. */
const EXPLAINED_WITHIN = 0.06;
const EXPLAINED_SHARE = 0.4;

export type AngleVerdict = 'right side' | 'straight' | 'wrong side';

export type PaceVerdict =
  | { readonly kind: 'right' }
  | { readonly kind: 'off'; readonly percent: number }
  | { readonly kind: 'cannot tell' };

/** What a landing says about the stroke. */
export interface LandingReview {
  /** Metres past the planned landing along the arriving cue ball's way; negative is short. */
  readonly along: number;
  /** Metres to the left of that way; negative is right. */
  readonly across: number;
  /** Metres from the planned landing. */
  readonly distance: number;
  readonly angle: {
    /** Cut on the next ball, degrees; positive when it goes off to the left. */
    readonly degrees: number;
    readonly thickness: Thickness;
    readonly verdict: AngleVerdict;
  };
  /** How much too hard (positive) or too soft the stroke was, if pace explains the landing. */
  readonly pace: PaceVerdict;
}

function angleLeft(planned: PlannedShot, landing: Point): LandingReview['angle'] {
  const { cueBallRadius, ballRadius } = planned.shot.table.preset;
  const { ball, mouth } = planned.next;
  const wanted = cutTo(planned.landing, ball, mouth, cueBallRadius, ballRadius).degrees;
  const { degrees, thickness } = cutTo(landing, ball, mouth, cueBallRadius, ballRadius);
  const verdict =
    Math.abs(degrees) <= STRAIGHT_DEG
      ? Math.abs(wanted) <= STRAIGHT_DEG
        ? 'right side'
        : 'straight'
      : degrees * wanted > 0 || Math.abs(wanted) <= STRAIGHT_DEG
        ? 'right side'
        : 'wrong side';
  return { degrees, thickness, verdict };
}

/** The pace whose landing comes nearest, between the paces tried linear; never across a change in what was hit. */
function paceOf(planned: PlannedShot, landing: Point): PaceVerdict {
  const off = distance(planned.landing, landing);
  if (off <= EXPLAINED_WITHIN / 2) return { kind: 'right' };
  let best = { gap: Infinity, factor: 1 };
  planned.paceStops.forEach((to, i) => {
    const from = planned.paceStops[i - 1];
    if (from === undefined || !from.asPlanned || !to.asPlanned) return;
    const dx = to.at.x - from.at.x;
    const dy = to.at.y - from.at.y;
    const lengthSq = dx * dx + dy * dy;
    // Where pace changes nothing (a dead stop) it explains nothing.
    if (lengthSq < 1e-8) return;
    const share = ((landing.x - from.at.x) * dx + (landing.y - from.at.y) * dy) / lengthSq;
    const t = Math.min(1, Math.max(0, share));
    const gap = Math.hypot(landing.x - from.at.x - t * dx, landing.y - from.at.y - t * dy);
    if (gap < best.gap) best = { gap, factor: from.factor + t * (to.factor - from.factor) };
  });
  if (best.gap > Math.max(EXPLAINED_WITHIN, EXPLAINED_SHARE * off)) return { kind: 'cannot tell' };
  const share = best.factor - 1;
  return Math.abs(share) <= RIGHT_PACE ? { kind: 'right' } : { kind: 'off', percent: 100 * share };
}

/**
 * Compares where the cue ball stopped with the plan.
 * @param landing metres
 */
export function reviewLanding(planned: PlannedShot, landing: Point): LandingReview {
  const dx = landing.x - planned.landing.x;
  const dy = landing.y - planned.landing.y;
  const { x, y } = planned.arrival;
  return {
    along: dx * x + dy * y,
    across: dy * x - dx * y,
    distance: Math.hypot(dx, dy),
    angle: angleLeft(planned, landing),
    pace: paceOf(planned, landing),
  };
}
