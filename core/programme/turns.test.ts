import { expect, it } from 'vitest';
import { nextPlayer } from './turns.ts';

const round = (id: string, attempts: number, ended: boolean) => ({
  player: { id, name: id, hand: 'right' as const },
  startedAt: '2026-11-25T18:00:00Z',
  endedAt: ended ? '2026-11-25T18:20:00Z' : null,
  attempts: Array.from({ length: attempts }),
});

it('round by round it is the turn of whoever has ended fewest, and a round that runs goes on', () => {
  const turn = (rounds: ReturnType<typeof round>[]) =>
    nextPlayer(['a', 'b', 'c'], rounds, 'after each round');
  expect(turn([])).toBe('a');
  expect(turn([round('a', 10, true)])).toBe('b');
  expect(turn([round('a', 10, true), round('b', 3, false)])).toBe('b');
  expect(turn([round('a', 10, true), round('b', 10, true), round('c', 10, true)])).toBe('a');
});

it('attempt by attempt it is the turn of whoever has played fewest', () => {
  const turn = (rounds: ReturnType<typeof round>[]) => nextPlayer(['a', 'b'], rounds, 'after each attempt');
  expect(turn([round('a', 1, false)])).toBe('b');
  expect(turn([round('a', 1, false), round('b', 1, false)])).toBe('a');
  expect(turn([round('a', 3, false), round('b', 2, false)])).toBe('b');
  expect(nextPlayer([], [], 'after each attempt')).toBeUndefined();
});
