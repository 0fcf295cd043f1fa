import type { Point } from '../../core/math/point.ts';
import type { Cushion, Jaw } from '../../core/table/cushions.ts';
import { CUSHION_DEPTH } from './projection.ts';

const CURVE_CUTS = 14;

/** The jaw from its tip down to the back of the cushion, as points. */
function jawPoints(tip: Point, jaw: Jaw, inward: Point): readonly Point[] {
  if (jaw.kind === 'none') return [tip];
  const depthOf = (p: Point) => -((p.x - tip.x) * inward.x + (p.y - tip.y) * inward.y);
  if (jaw.kind === 'facing') {
    const share = Math.min(1, CUSHION_DEPTH / depthOf(jaw.back));
    return [tip, { x: tip.x + share * (jaw.back.x - tip.x), y: tip.y + share * (jaw.back.y - tip.y) }];
  }
  const { centre, radius, back } = jaw;
  const start = Math.atan2(tip.y - centre.y, tip.x - centre.x);
  const end = Math.atan2(back.y - centre.y, back.x - centre.x);
  const turn = Math.atan2(Math.sin(end - start), Math.cos(end - start));
  return Array.from({ length: CURVE_CUTS + 1 }, (_, i) => {
    const angle = start + (turn * i) / CURVE_CUTS;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  }).filter((p) => depthOf(p) <= CUSHION_DEPTH);
}

/** The rubber of a cushion as a closed outline: nose, both jaws, back. */
export function cushionOutline(cushion: Cushion): readonly Point[] {
  const { noseFrom, noseTo, jawFrom, jawTo, inward } = cushion;
  return [...[...jawPoints(noseFrom, jawFrom, inward)].reverse(), ...jawPoints(noseTo, jawTo, inward)];
}
