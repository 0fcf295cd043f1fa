import { describe, expect, it } from 'vitest';
import { blankDrill, nextStage } from '../../core/drill/draft.ts';
import { problemsOf } from '../../core/drill/problems.ts';
import { problemsInWords, problemWords } from './problemWords.ts';

describe('what is missing, in words', () => {
  it.each([
    ['stages[1].title is missing', 'The title of stage 2 is missing'],
    [
      'stages[0].bands are missing: no landing would earn a point',
      'The bands of stage 1 are missing: no landing would earn a point',
    ],
    ['stages[2]: there is no ball 7', 'Stage 3: there is no ball 7'],
    ['purpose is missing', 'What it is for is missing'],
    ['task.next.ball: there is no ball 9', 'The next ball: there is no ball 9'],
    ['task.pot.ball: there is no ball 3', 'The ball to pot: there is no ball 3'],
    ['advice[0] is missing', 'Line 1 of the advice is missing'],
    ['scoring.shots must be at least 1', 'The count’s shots must be at least 1'],
    [
      'balls on the 9-ft pool, Far: ball 2: overlaps ball 1',
      'Balls on the 9-ft pool, Far: ball 2: overlaps ball 1',
    ],
  ])('%s', (words, said) => {
    expect(problemWords({ field: '', words })).toBe(said);
  });

  it('of a new drill names the title once, and nothing by its name in the file', () => {
    const said = problemsInWords(problemsOf(blankDrill('pool-9ft')));
    expect([...said].sort()).toEqual(['The title is missing', 'What it is for is missing']);
    const drill = blankDrill('pool-9ft');
    const longer = { ...drill, title: 'Ebb', slug: 'ebb', stages: [...drill.stages, nextStage(drill)] };
    expect([...problemsInWords(problemsOf(longer))].sort()).toEqual([
      'The title of stage 2 is missing',
      'What it is for is missing',
    ]);
  });
});
