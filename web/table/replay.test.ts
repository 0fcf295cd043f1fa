import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Replay } from './replay.ts';

/** The browser's frames, drawn by hand; times in ms. */
let now = 0;
let waiting: ((time: number) => void) | undefined;

beforeEach(() => {
  now = 0;
  waiting = undefined;
  vi.stubGlobal('performance', { now: () => now });
  vi.stubGlobal('requestAnimationFrame', (draw: (time: number) => void) => {
    waiting = draw;
    return 1;
  });
  vi.stubGlobal('cancelAnimationFrame', () => {
    waiting = undefined;
  });
});
afterEach(() => vi.unstubAllGlobals());

function frameAfter(ms: number): void {
  now += ms;
  const draw = waiting;
  waiting = undefined;
  draw?.(now);
}

function replayOf(duration: number) {
  const replay = new Replay();
  replay.setDuration(duration);
  const told = vi.fn();
  replay.subscribe(told);
  return { replay, told };
}

it('runs as time does, stops at the end, and begins again from the start', () => {
  const { replay, told } = replayOf(1);
  expect(replay.time()).toBeUndefined();
  replay.play();
  frameAfter(400);
  expect(replay.time()).toBeCloseTo(0.4, 9);
  expect(replay.playing()).toBe(true);
  frameAfter(700);
  expect(replay.time()).toBe(1);
  expect(replay.playing()).toBe(false);
  expect(waiting).toBeUndefined();
  expect(told.mock.calls.length).toBe(3);
  replay.play();
  frameAfter(100);
  expect(replay.time()).toBeCloseTo(0.1, 9);
});

it('runs slower when asked, and goes on from where it was halted', () => {
  const { replay } = replayOf(2);
  replay.setRate(0.25);
  replay.play();
  frameAfter(1000);
  replay.pause();
  now += 5000;
  expect(replay.time()).toBeCloseTo(0.25, 9);
  replay.play();
  frameAfter(1000);
  expect(replay.time()).toBeCloseTo(0.5, 9);
});

it('is sought within the shot, halted there, and put back', () => {
  const { replay, told } = replayOf(2);
  replay.play();
  replay.seek(5);
  expect(replay.time()).toBe(2);
  expect(replay.playing()).toBe(false);
  replay.seek(-1);
  expect(replay.time()).toBe(0);
  replay.reset();
  expect(replay.time()).toBeUndefined();
  told.mockClear();
  replay.reset();
  expect(told).not.toHaveBeenCalled();
});
