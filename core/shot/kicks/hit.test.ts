import { describe, expect, it } from 'vitest';
import { simulate } from '../../motion/simulate.ts';
import { ball, cueBall, POOL, shotOf } from '../../testing/balls.ts';
import { hitOf, isLegalHit } from './hit.ts';

/** A shot straight along the table at a ball in its middle, struck at its centre. */
function struck(speed: number, object = ball('1', 1.5, 0.635), direction = 0) {
  return hitOf(
    simulate(shotOf(POOL, [cueBall(0.9, 0.635), object], { speed, direction }), { paths: true }),
    'cue',
  );
}

describe('a hit on a ball', () => {
  it('covers the whole of a ball met full, and half of one met half', () => {
    expect(struck(2).covered).toBeCloseTo(1, 3);
    // The centres pass by one radius apart: half of the ball is covered.
    const half = Math.atan(POOL.preset.ballRadius / 0.6);
    expect(struck(2, ball('1', 1.5, 0.635), half).covered).toBeCloseTo(0.5, 1);
  });

  it('lists the cushions before it in order', () => {
    const { before, first } = struck(3, ball('1', 2.3, 0.635), Math.PI);
    expect(before).toEqual(['head']);
    expect(first).toBe('1');
    expect(struck(2).before).toEqual([]);
  });

  it('reaches a cushion or not by its pace; at snooker it need not', () => {
    const firm = struck(2.5);
    const soft = struck(0.7);
    const missed = struck(2, ball('1', 1.5, 1.1));
    expect([firm.first, soft.first, missed.first]).toEqual(['1', '1', undefined]);
    expect([firm, soft, missed].map((hit) => isLegalHit(hit, 'pool'))).toEqual([true, false, false]);
    expect([firm, soft].map((hit) => isLegalHit(hit, 'snooker'))).toEqual([true, true]);
  });
});
