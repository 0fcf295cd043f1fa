import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useMicrophone } from './useMicrophone.ts';

/** A recorder that hears two pieces of sound once it is stopped. */
class HeardByHand extends EventTarget {
  static last: HeardByHand | undefined;
  readonly mimeType = 'audio/webm';
  state: 'inactive' | 'recording' = 'inactive';
  constructor(readonly stream: { getTracks: () => readonly { stop: () => void }[] }) {
    super();
    HeardByHand.last = this;
  }
  start() {
    this.state = 'recording';
  }
  stop() {
    this.state = 'inactive';
    for (const part of ['tip', ' and rack'])
      this.dispatchEvent(Object.assign(new Event('dataavailable'), { data: new Blob([part]) }));
    this.dispatchEvent(new Event('stop'));
  }
}

let endedTracks = 0;
let asked: unknown;
const allowed = (audio: unknown) => {
  asked = audio;
  return Promise.resolve({ getTracks: () => [{ stop: () => endedTracks++ }] });
};

const listening = (getUserMedia: (audio: unknown) => Promise<unknown> = allowed) => {
  vi.stubGlobal('MediaRecorder', HeardByHand);
  Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: { getUserMedia } });
  const heard: File[] = [];
  const { result, unmount } = renderHook(() => useMicrophone((sound) => heard.push(sound)));
  const start = () =>
    act(() => {
      result.current.start();
      return Promise.resolve();
    });
  return { heard, result, unmount, start };
};

beforeEach(() => {
  endedTracks = 0;
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  Reflect.deleteProperty(navigator, 'mediaDevices');
});

describe('the microphone', () => {
  it('is asked for sound as it is, records until it is stopped, and lets go of it', async () => {
    const { heard, result, start } = listening();
    expect(result.current).toMatchObject({ isThere: true, isOn: false });
    await start();
    expect(result.current.isOn).toBe(true);
    expect(asked).toEqual({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
    act(() => result.current.stop());
    expect(result.current.isOn).toBe(false);
    expect(heard.map(({ size, type }) => [size, type])).toEqual([['tip and rack'.length, 'audio/webm']]);
    expect(endedTracks).toBe(1);
  });

  it('ends by itself after twenty seconds, and with the page', async () => {
    const long = listening();
    await long.start();
    act(() => void vi.advanceTimersByTime(19_000));
    expect(long.heard).toHaveLength(0);
    act(() => void vi.advanceTimersByTime(1_001));
    expect(long.heard).toHaveLength(1);
    const left = listening();
    await left.start();
    left.unmount();
    expect(HeardByHand.last?.state).toBe('inactive');
    expect(endedTracks).toBe(2);
  });

  it('says when the browser does not allow it, and is not there where there is none', async () => {
    const { heard, result, start } = listening(() => Promise.reject(new Error('NotAllowedError')));
    await start();
    expect(result.current).toMatchObject({ isOn: false });
    expect(result.current.refused).toBe('The browser does not let this page hear the microphone.');
    expect(heard).toHaveLength(0);
    Reflect.deleteProperty(navigator, 'mediaDevices');
    const { result: without } = renderHook(() => useMicrophone(() => undefined));
    expect(without.current.isThere).toBe(false);
  });
});
