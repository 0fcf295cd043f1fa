import { expect, it } from 'vitest';
import { originWords } from './troubleWords.ts';

const entry = {
  shot: 3,
  ball: '4',
  pocket: undefined,
  before: 0.6,
  after: 0.4,
  choice: 0,
  pot: 0,
  position: 0,
  kind: undefined,
};

it('the origin of trouble is told in points, by what was lost how', () => {
  expect(originWords({ entry: { ...entry, choice: 0.05, position: 0.16 }, lost: 0.21 })).toBe(
    'shot 3, the 4: it gave away 21 points of a hundred, 5 by the choice and 16 by where the cue ball stopped.',
  );
  expect(originWords({ entry, lost: 0.62 })).toBe(
    'shot 3, the 4: it gave away 62 points of a hundred, all by the miss.',
  );
});
