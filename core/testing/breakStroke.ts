import type { BreakStroke } from '../virtual/breaks/breakShot.ts';
import { POOL } from './balls.ts';

/** A pool break from near the side rail on the head string, the head ball full. */
export const FROM_THE_RAIL: BreakStroke = {
  from: { x: POOL.length / 4, y: 0.12 },
  at: 0,
  covered: 1,
  past: 'left',
  speed: 6,
  tip: { side: 0, height: 0 },
  elevation: 0,
};
