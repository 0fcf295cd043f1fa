import { FARTHEST } from '../../core/shot/inOff.ts';
import { tapeLength } from './lengths.ts';

/** The margin of an in-off is looked for up to this, millimetres. */
const MOST = 1_000 * FARTHEST;

/** By how much something is missed or passed: "35 mm" */
export function gapWords(marginMm: number): string {
  return tapeLength(Math.abs(marginMm) / 1_000);
}

/** By how much the cue ball misses a pocket, or falls: "35 mm", or "more than 150 mm" where no more was looked for. */
export function inOffGapWords(marginMm: number): string {
  return Math.abs(marginMm) >= MOST - 0.5 ? `more than ${tapeLength(FARTHEST)}` : gapWords(marginMm);
}
