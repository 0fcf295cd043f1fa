import { act, renderHook, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useLatest } from './useLatest.ts';

/** A worker whose answers are given by hand, in the order in which it was asked. */
function worker() {
  const asked: {
    readonly key: string;
    readonly answer: (text: string) => void;
    readonly fail: (e: Error) => void;
  }[] = [];
  const ask = (key: string) => () =>
    new Promise<string>((resolve, reject) => {
      asked.push({ key, answer: resolve, fail: reject });
    });
  return { asked, ask };
}

function start(first: string | undefined) {
  const { asked, ask } = worker();
  const hook = renderHook(({ key }: { key: string | undefined }) => useLatest(key, ask(key ?? '')), {
    initialProps: { key: first },
  });
  return { asked, ...hook };
}

describe('the latest answer', () => {
  it('is asked for one question at a time, and of those meanwhile only for the last', async () => {
    const { asked, result, rerender } = start('a');
    for (const key of ['b', 'c', 'd']) rerender({ key });
    expect(asked.map(({ key }) => key)).toEqual(['a']);
    act(() => asked[0]?.answer('to a'));
    await waitFor(() => expect(asked.map(({ key }) => key)).toEqual(['a', 'd']));
    // The old answer is shown meanwhile, and known to be old.
    expect(result.current).toMatchObject({ answer: 'to a', current: false });
    act(() => asked[1]?.answer('to d'));
    await waitFor(() => expect(result.current).toMatchObject({ answer: 'to d', current: true }));
  });

  it('goes on after a failure, which is told for its own question only', async () => {
    const { asked, result, rerender } = start('a');
    act(() => asked[0]?.fail(new Error('out of order')));
    await waitFor(() => expect(result.current.failed?.message).toBe('out of order'));
    rerender({ key: 'b' });
    expect(result.current.failed).toBeUndefined();
    await waitFor(() => expect(asked).toHaveLength(2));
    act(() => asked[1]?.answer('to b'));
    await waitFor(() =>
      expect(result.current).toMatchObject({ answer: 'to b', current: true, failed: undefined }),
    );
  });

  it('is none while nothing is asked', () => {
    const { asked, result } = start(undefined);
    expect(asked).toEqual([]);
    expect(result.current.answer).toBeUndefined();
  });
});
