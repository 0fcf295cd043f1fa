import { describe, expect, it } from 'vitest';
import { CALL_KINDS, type CallKind, type Difficulty } from '../../core/judgement/kinds.ts';
import { poseCall } from '../../core/virtual/poseCall.ts';
import type { CallQuestion } from '../../core/judgement/question.ts';
import { buildTable } from '../../core/table/table.ts';
import { answerWords, explainCall, kindWords, questionWords } from './callWords.ts';

const table = buildTable('pool-9ft');

function posed(kind: CallKind, difficulty: Difficulty, seed: number): CallQuestion {
  const question = poseCall(table, kind, difficulty, seed);
  if (question === undefined) throw new Error('no position');
  return question;
}

describe('a call in words', () => {
  it('is named in the chosen vocabulary', () => {
    expect(CALL_KINDS.map((kind) => kindWords(kind, 'pool'))).toEqual([
      'Scratch or not',
      'Does it pass',
      'Draw the path',
      'How long is the window',
      'Which side of the combination',
      'Which ball first',
      'Which suit',
      'Which is the key ball',
      'The whole order',
      'Where to be',
      'Which line',
      'Where on the rail',
      'Which way to miss',
      'Pot or safe',
      'What will be on after the break',
    ]);
    expect(kindWords('where on the cushion', 'snooker')).toBe('Where on the cushion');
    expect(kindWords('in-off or not', 'snooker')).toBe('In-off or not');
    expect(kindWords('which side of the plant', 'snooker')).toBe('Which side of the plant');
  });

  it('says which ball goes where and what is asked, and gives nothing away', () => {
    for (const kind of ['does it pass', 'draw the path', 'in-off or not'] as const) {
      const question = posed(kind, 'plain', 3);
      if (!('pot' in question)) throw new Error('another kind');
      const words = questionWords(question, 'pool');
      expect(words).toContain(
        `The ${question.pot} goes into the ${question.pocket.replace('-', ' ')} pocket`,
      );
      expect(words).not.toMatch(/mm|yes|no:/i);
    }
    const plant = posed('which side of the plant', 'plain', 3);
    expect(questionWords(plant, 'snooker')).toContain('they touch');
    expect(questionWords(plant, 'snooker')).toContain('Plain ball');
    expect(questionWords(plant, 'pool')).toContain('Centre ball');
  });

  it('is explained with its margin, by the side of the border on which it lies', () => {
    for (let seed = 1; seed <= 6; seed++) {
      const question = posed('does it pass', 'plain', seed);
      if (question.kind !== 'does it pass') throw new Error('another kind');
      const words = explainCall(question, 'pool');
      expect(
        words.startsWith(question.truth === 'yes' ? 'Yes: it passes the 2 by' : 'No: it meets the 2'),
      ).toBe(true);
      expect(words).toContain(`${Math.abs(question.marginMm ?? 0).toFixed(0)} mm`);
      expect(words).toContain(`${Math.round(100 * question.share)} %`);
    }
    const close = posed('does it pass', 'hair-fine', 2);
    if (close.kind === 'does it pass' && close.truth === 'too close') {
      expect(explainCall(close, 'pool')).toMatch(
        /^Too close to call: (a gap|an overlap) of \d+ mm\. It passes in \d+ %/,
      );
    }
  });

  it('speaks of a scratch or an in-off', () => {
    const question = posed('in-off or not', 'plain', 2);
    expect(explainCall(question, 'pool')).toContain('end in a scratch.');
    expect(explainCall(question, 'snooker')).toContain('end in an in-off.');
  });

  it('says when the gap would change the side', () => {
    const plant = posed('which side of the plant', 'plain', 3);
    if (plant.kind !== 'which side of the plant') throw new Error('another kind');
    expect(explainCall({ ...plant, flipMm: 4.25 }, 'pool')).toContain('changes at a gap of about 4.3 mm');
    expect(explainCall({ ...plant, flipMm: undefined }, 'pool')).toContain('No gap up to 12 mm');
    expect(explainCall(plant, 'pool')).toContain(`Hit it on the ${plant.truth}.`);
  });

  it('repeats an answer shortly', () => {
    expect(answerWords({ kind: 'verdict', verdict: 'too close' }, 'does it pass', 'pool')).toBe('too close');
    expect(answerWords({ kind: 'length', metres: 0.554 }, 'how long is the window', 'pool')).toBe('55 cm');
    expect(answerWords({ kind: 'side', side: 'left' }, 'which way to miss', 'pool')).toBe('left');
    const points = [
      { x: 0, y: 0 },
      { x: 1, y: 1 },
    ];
    expect(answerWords({ kind: 'path', points }, 'draw the path', 'pool')).toBe('a way of 2 points');
  });
});
