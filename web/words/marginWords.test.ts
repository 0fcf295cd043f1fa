import { expect, it } from 'vitest';
import { inOffMargin } from '../../core/shot/inOff.ts';
import { POOL, ball } from '../../core/testing/balls.ts';
import { gapWords, inOffGapWords } from './marginWords.ts';

it('a margin is told in millimetres; one that was looked for no farther as more than that', () => {
  expect(gapWords(-34.6)).toBe('35 mm');
  expect(inOffGapWords(149.2)).toBe('149 mm');
  expect(inOffGapWords(150)).toBe('more than 150 mm');
  expect(inOffGapWords(-150)).toBe('more than 150 mm');
  expect(gapWords(310)).toBe('310 mm');
});

it('never comes out larger than what is looked for', () => {
  const balls = [ball('cue', 1.2, 0.6), ball('1', 1.8, 0.6)];
  for (let k = 0; k < 40; k++) {
    const strike = {
      ball: 'cue',
      speed: 1.5 + 0.1 * k,
      direction: 0.01 * (k - 20),
      tip: { side: 0, height: 0.2 },
      elevation: 0,
    };
    const margin = inOffMargin({ table: POOL, balls, strike });
    if (margin !== undefined)
      expect(inOffGapWords(1_000 * margin.metres)).toMatch(/^(more than 150|\d{1,3}) mm$/);
  }
});
