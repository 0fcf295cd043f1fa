import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { poseFromSeed } from '../../core/judgement/pose.ts';
import { buildTable } from '../../core/table/table.ts';
import { callReducer, type CallAction, type CallState } from './callState.ts';
import { keepCall } from './keepCall.ts';
import { useCallKept } from './useCallKept.ts';

vi.mock('./keepCall.ts', () => ({ keepCall: vi.fn() }));
afterEach(() => {
  cleanup();
  vi.mocked(keepCall).mockClear();
});

const question = poseFromSeed(buildTable('pool-9ft'), 'does it pass', 'plain', 4);
if (question === undefined) throw new Error('no position');
const source = { kind: 'seed', seed: 4, difficulty: 'plain' } as const;
const ask = { kind: 'ask', question, source } as const;
const commit = { kind: 'commit', answer: { kind: 'verdict', verdict: 'yes' } } as const;
const after = (...actions: readonly CallAction[]): CallState =>
  actions.reduce(callReducer, { step: 'choosing' });
const person = { id: 'coach', name: 'Morwenna' };

const called = (first: CallState, playerId: string | null = 'wren') =>
  renderHook(({ state }) => useCallKept(state, person, playerId), { initialProps: { state: first } });

describe('a call', () => {
  it('that is committed and left counts, once', () => {
    const { unmount } = called(after(ask, commit));
    window.dispatchEvent(new Event('pagehide'));
    unmount();
    expect(keepCall).toHaveBeenCalledTimes(1);
    expect(vi.mocked(keepCall).mock.calls[0]?.[1]).toMatchObject({ playerId: 'wren', source, coach: null });
  });

  it('that was revealed is not counted again when it is left', () => {
    const { result, rerender, unmount } = called(after(ask, commit));
    result.current();
    rerender({ state: after(ask, commit, { kind: 'reveal' }) });
    unmount();
    expect(keepCall).toHaveBeenCalledTimes(1);
  });

  it('that nobody has committed to does not count, nor one of nobody', () => {
    called(after(ask)).unmount();
    called(after(ask, commit), null).unmount();
    expect(keepCall).not.toHaveBeenCalled();
  });
});
