import { expect, it } from 'vitest';
import { poseCall } from '../../core/virtual/poseCall.ts';
import { buildTable } from '../../core/table/table.ts';
import { answerWords, explainCall, pickWords, questionWords } from './callWords.ts';

it('a break is asked about and explained by pockets in the chosen words, with how much is chance', () => {
  const question = poseCall(buildTable('pool-9ft'), 'what will be on', 'fair', 1);
  if (question?.kind !== 'what will be on') throw new Error('no position');
  expect(questionWords(question, 'pool')).toMatch(/^The break as it is drawn, at \d m\/s by a team player/);
  const worth = [
    { pick: 'head-left', value: 0.47 },
    { pick: 'foot-right', value: 0.2 },
    { pick: 'middle-left', value: 0.01 },
  ];
  const told = explainCall({ ...question, worth, goesOn: 0.66, breaks: 400 }, 'snooker');
  expect(told).toMatch(/^Of 400 such breaks 66\s% let you go on\. /);
  expect(told).toMatch(/goes baulk left 47\s%, top right 20\s%; nothing is on in 32\s%\./);
  expect(pickWords('head-left', 'what will be on', 'pool')).toBe('head left');
  expect(pickWords('A', 'which line', 'pool')).toBe('A');
  expect(answerWords({ kind: 'pick', pick: 'foot-left' }, 'what will be on', 'pool')).toBe(
    'the foot left pocket',
  );
});
