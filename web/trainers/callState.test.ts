import { describe, expect, it } from 'vitest';
import { poseFromSeed } from '../../core/judgement/pose.ts';
import { buildTable } from '../../core/table/table.ts';
import { callReducer, type CallAction, type CallState } from './callState.ts';

const question = poseFromSeed(buildTable('pool-9ft'), 'does it pass', 'plain', 4);
if (question?.kind !== 'does it pass') throw new Error('no position');
const source = { kind: 'seed', seed: 4, difficulty: 'plain' } as const;
const verdict = (word: 'yes' | 'no') => ({ kind: 'verdict', verdict: word }) as const;

function after(...actions: readonly CallAction[]): CallState {
  return actions.reduce(callReducer, { step: 'choosing' });
}
const ask: CallAction = { kind: 'ask', question, source };

describe('a call', () => {
  it('cannot be changed once it is committed', () => {
    const state = after(
      ask,
      { kind: 'commit', answer: verdict('yes') },
      { kind: 'commit', answer: verdict('no') },
    );
    expect(state).toMatchObject({ step: 'committed', answer: verdict('yes') });
  });

  it('is revealed only after a commitment', () => {
    expect(after(ask, { kind: 'reveal' }).step).toBe('asked');
    expect(after({ kind: 'reveal' }).step).toBe('choosing');
  });

  it('is scored beside the coach’s answer, which is locked once and before the reveal', () => {
    const right = question.truth === 'yes' ? 'yes' : 'no';
    const wrong = right === 'yes' ? 'no' : 'yes';
    const state = after(
      ask,
      { kind: 'commit', answer: verdict(wrong) },
      { kind: 'lock coach', answer: verdict(right) },
      { kind: 'lock coach', answer: verdict(wrong) },
      { kind: 'reveal' },
      { kind: 'lock coach', answer: verdict(wrong) },
    );
    expect(state).toMatchObject({ step: 'revealed', score: 0, coach: { answer: verdict(right), score: 1 } });
  });

  it('has no coach beside it unless one locks an answer', () => {
    expect(after(ask, { kind: 'commit', answer: verdict('no') }, { kind: 'reveal' })).toMatchObject({
      coach: null,
    });
    expect(after(ask, { kind: 'leave' })).toEqual({ step: 'choosing' });
  });
});
