import { describe, expect, it } from 'vitest';
import type { KickQuestion } from '../../core/judgement/kickQuestion.ts';
import { POOL, SNOOKER } from '../../core/testing/balls.ts';
import { answerWords, explainCall, questionWords } from './callWords.ts';

const shot = {
  table: POOL,
  balls: [],
  strike: { ball: 'cue', speed: 2.3, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 },
};

const LINE: KickQuestion = {
  kind: 'which line',
  shot,
  target: '1',
  lines: [],
  truth: 'B',
  worth: [
    { pick: 'B', value: 0.62 },
    { pick: 'A', value: 0.4 },
    { pick: 'C', value: 0.11 },
  ],
};

describe('a call about a kick or a safety in words', () => {
  it('tells what each line holds', () => {
    expect(questionWords(LINE, 'pool')).toBe(
      'The 1 is hidden. By which line does a team player hit it most often?',
    );
    expect(explainCall(LINE, 'pool')).toBe(
      'By B a team player hits it 62 % of the time, by A 40 %, by C 11 %.',
    );
    expect(answerWords({ kind: 'pick', pick: 'B' }, 'which line', 'pool')).toBe('line B');
  });

  it('names the place on the cushion in sights, or in millimetres where there are none', () => {
    const aim = { at: { x: 1.27, y: 1.27 }, cushion: 'left', along: 1.27, share: 0.5 };
    const question: KickQuestion = {
      kind: 'where on the cushion',
      shot,
      target: '1',
      truth: aim,
      cushions: ['left'],
      best: 0.7,
    };
    expect(questionWords(question, 'pool')).toContain('Tap the rail');
    expect(explainCall(question, 'pool')).toContain('Aim at diamond 4.00 of the left rail: by the left rail');
    const snooker = { ...question, target: 'red', shot: { ...shot, table: SNOOKER } };
    expect(questionWords(snooker, 'snooker')).toContain('Tap the cushion');
    expect(explainCall(snooker, 'snooker')).toContain('Aim 1270 mm from the baulk along the left cushion');
  });

  it('tells the side to miss with both worths, in points at snooker', () => {
    const question: KickQuestion = {
      kind: 'which way to miss',
      shot,
      target: '1',
      truth: 'right',
      left: -0.5,
      right: -0.1,
      unit: 1,
    };
    expect(explainCall(question, 'pool')).toBe(
      'Miss it to the right: a stroke that is off to that side is worth −10 of 100, one to the other side −50 of 100.',
    );
    const snooker = { ...question, shot: { ...shot, table: SNOOKER }, left: -6.2, right: -2, unit: 8 };
    expect(explainCall(snooker, 'snooker')).toContain('worth −2.0 points, one to the other side −6.2 points');
  });

  it('says whether to pot, and what it was weighed against', () => {
    const question: KickQuestion = {
      kind: 'pot or safe',
      shot,
      target: '1',
      truth: 'safe',
      potWorth: -0.2,
      safeWorth: 0.05,
      falls: 0.4,
      unit: 1,
    };
    expect(explainCall(question, 'pool')).toBe(
      'Leave it safe: the pot falls 40 % of the time and is worth −20 of 100, the best safety +5 of 100.',
    );
    expect(answerWords({ kind: 'pick', pick: 'safe' }, 'pot or safe', 'pool')).toBe('safe');
  });
});
