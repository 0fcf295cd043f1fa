import { expect, it } from 'vitest';
import { costOf, costWords, lostPoints, lostWords } from './ledgerWords.ts';

const entry = {
  shot: 3,
  ball: '5',
  pocket: undefined,
  before: 0.6,
  after: 0.28,
  choice: 0.25,
  pot: -0.1,
  position: 0.17,
  kind: undefined,
};

it('a shot tells what it cost, the dearest part first, and leaves out what it won', () => {
  expect(costOf(entry)).toBeCloseTo(0.32, 9);
  expect(costWords(entry)).toBe(
    'Shot 3, at the 5, cost 0.32 of a clearance: 0.25 by the choice, 0.17 by the position.',
  );
  expect(costWords({ ...entry, choice: 0, pot: -0.2, position: 0.1 })).toBe(
    'No shot cost anything: the best of them was played as it should be.',
  );
});

it('what attempts lost is told in points of a hundred, each time', () => {
  const sum = { shots: 9, choice: 0.3, pot: 1.2, position: 0.66 };
  expect(lostWords(sum, 3)).toBe(
    'Over 3 attempts, each lost 10 points of a hundred by the choice of ball, 40 by misses and 22 by position.',
  );
  expect(lostWords({ ...sum, choice: 0 }, 1)).toMatch(/^The attempt lost 0 points .+, 120 by misses/);
  expect(lostPoints(0.5, 0)).toBe(50);
});
