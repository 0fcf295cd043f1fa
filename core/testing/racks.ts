import type { BallOnTable, Shot } from '../motion/shot.ts';
import { ball, POOL, strike } from './balls.ts';

const FOOT_SPOT = 1.905;

/** Fifteen balls in a triangle on a 9-ft table with a gap between neighbours, metres, and the cue ball before them. */
function rackWithGaps(gap: number): readonly BallOnTable[] {
  const step = 2 * POOL.preset.ballRadius + gap;
  const middle = POOL.width / 2;
  const balls = [ball('cue', 0.6, middle)];
  for (let row = 0; row < 5; row++) {
    for (let k = 0; k <= row; k++) {
      const x = FOOT_SPOT + (row * step * Math.sqrt(3)) / 2;
      balls.push(ball(`${String(row)}-${String(k)}`, x, middle + (k - row / 2) * step));
    }
  }
  return balls;
}

/** A head-on break. @param gap between neighbours, metres; @param speed m/s; @param direction radians off the full hit */
export function breakRack(gap: number, speed: number, direction = 0): Shot {
  return { table: POOL, balls: rackWithGaps(gap), strike: strike({ speed, direction }) };
}
