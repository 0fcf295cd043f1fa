import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useOneRun } from './useOneRun.ts';

/** What is done, and all that follows from it at once. */
const settled = (done: () => void) =>
  act(() => {
    done();
    return Promise.resolve();
  });

/** A computation that is worked by hand. */
function byHand() {
  let tell: (share: number, first?: string) => void = () => undefined;
  let finish: (answer: string) => void = () => undefined;
  let fail: (error: Error) => void = () => undefined;
  let stopped = 0;
  const begin = (onShare: (share: number, first?: string) => void) => {
    tell = onShare;
    const answer = new Promise<string>((resolve, reject) => {
      finish = resolve;
      fail = reject;
    });
    return { answer, stop: () => stopped++ };
  };
  return {
    begin,
    tell: (share: number, first?: string) => act(() => tell(share, first)),
    finish: (answer: string) => settled(() => finish(answer)),
    fail: (error: Error) => settled(() => fail(error)),
    stopped: () => stopped,
  };
}

const runOf = (begin: ReturnType<typeof byHand>['begin']) =>
  renderHook(({ key }) => useOneRun<string>(key, begin), { initialProps: { key: 'a' } });

describe('a computation that is asked for', () => {
  it('tells its progress and its answer, which progress that comes late does not take away', async () => {
    const hand = byHand();
    const { result } = runOf(hand.begin);
    expect(result.current).toMatchObject({ isBegun: false, isRunning: false });
    act(() => result.current.start());
    hand.tell(0.4);
    expect(result.current).toMatchObject({ share: 0.4, isRunning: true });
    await hand.finish('told');
    hand.tell(0.9);
    expect(result.current).toMatchObject({ answer: 'told', share: 1, isRunning: false });
  });

  it('keeps what is told of it first until the answer is there', async () => {
    const hand = byHand();
    const { result } = runOf(hand.begin);
    act(() => result.current.start());
    hand.tell(0.2, 'roughly');
    hand.tell(0.6);
    expect(result.current).toMatchObject({ share: 0.6, first: 'roughly', answer: undefined });
    await hand.finish('told');
    expect(result.current).toMatchObject({ first: undefined, answer: 'told' });
  });

  it('is of one question only: another one ends it, and nothing of it is shown', () => {
    const hand = byHand();
    const { result, rerender } = runOf(hand.begin);
    act(() => result.current.start());
    rerender({ key: 'b' });
    expect(hand.stopped()).toBe(1);
    hand.tell(0.5);
    expect(result.current).toMatchObject({ isBegun: false, answer: undefined });
  });

  it('can be stopped, and says why it came to no end', async () => {
    const hand = byHand();
    const { result } = runOf(hand.begin);
    act(() => result.current.start());
    act(() => result.current.stop());
    expect([hand.stopped(), result.current.isBegun]).toEqual([1, false]);
    act(() => result.current.start());
    await hand.fail(new Error('no room'));
    expect(result.current).toMatchObject({ failed: 'no room', isRunning: false });
  });
});
