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

it('of strokes all round is told up to what is looked for, and no farther', () => {
  const balls = [ball('cue', 1.2, 0.6), ball('1', 1.8, 0.6)];
  const told = Array.from({ length: 40 }, (_, k) => {
    const strike = {
      ball: 'cue',
      speed: 1.5 + 0.1 * k,
      direction: 0.01 * (k - 20),
      tip: { side: 0, height: 0.2 },
      elevation: 0,
    };
    const margin = inOffMargin({ table: POOL, balls, strike });
    return margin === undefined ? [] : [inOffGapWords(1_000 * margin.metres)];
  }).flat();
  expect(told.length).toBeGreaterThan(3);
  for (const words of told.filter((each) => !each.startsWith('more')))
    expect(Number.parseInt(words, 10)).toBeLessThan(150);
});
