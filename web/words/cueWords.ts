import { toDegrees } from '../../core/math/angle.ts';
import { squirtTangent } from '../../core/motion/strike.ts';
import type { CueDocument } from '../../core/records/cue.ts';
import { tapeLength, weightWords } from './lengths.ts';

/** Side and ball by which a cue's squirt is told: half a radius, and a pool ball, kg. */
const SIDE = 0.5;
const BALL = 0.17;
const GRAMS = 1000;

/** "560 g, 1470 mm, hard tip, thin shaft": what is known of a cue. */
export function cueWords({ weight, length, tip, shaft }: CueDocument): string {
  const parts = [
    weight === null ? '' : weightWords(weight / GRAMS, 0),
    length === null ? '' : tapeLength(length / 1_000),
    tip === '' ? '' : `tip: ${tip}`,
    shaft === '' ? '' : `shaft: ${shaft}`,
  ];
  return parts.filter((part) => part !== '').join(', ');
}

/** "squirts 1.8° at half a radius (from a test)"; nothing where nobody knows. */
export function squirtWords({ endMass, squirtBy }: Pick<CueDocument, 'endMass' | 'squirtBy'>): string {
  if (endMass === null) return '';
  const angle = toDegrees(Math.atan(squirtTangent(SIDE, BALL, endMass / GRAMS)));
  return `squirts ${angle.toFixed(1)}° at half a radius (${squirtBy === 'test' ? 'from a test' : 'measured'})`;
}
