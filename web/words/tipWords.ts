import type { Tip } from '../../core/motion/shot.ts';
import { percent } from './units.ts';

/** Where the tip meets the cue ball: "35 % of the radius above centre, 20 % left" */
export function tipWords({ side, height }: Tip): string {
  const parts: readonly (readonly [number, string])[] = [
    [height, height > 0 ? 'above centre' : 'below centre'],
    [side, side > 0 ? 'right' : 'left'],
  ];
  const off = parts.filter(([by]) => by !== 0);
  if (off.length === 0) return 'centre';
  return off
    .map(([by, where], i) => `${percent(Math.abs(by))}${i === 0 ? ' of the radius' : ''} ${where}`)
    .join(', ');
}
