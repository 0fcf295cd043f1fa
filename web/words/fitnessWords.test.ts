import { expect, it } from 'vitest';
import { fitnessWords } from './fitnessWords.ts';

const separation = { steps: [1, 2, 1, 1], apart: 1.25, tellsApart: true };

it('says what a benchmark is good for', () => {
  expect(fitnessWords({ kind: 'fit', separation: { ...separation, apart: 1.44 } })).toBe(
    'A round tells neighbouring levels apart by 1.4 standard deviations.',
  );
  expect(fitnessWords({ kind: 'tells nothing', separation })).toMatch(/feed no rating/);
});
