import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import type { Turn } from '../../../core/evening/ask.ts';
import { useTurns } from './useTurns.ts';

afterEach(cleanup);

const turn = (student: string, table: string, from: number): Turn => ({
  student,
  table,
  from,
  minutes: 20,
  want: {
    drill: 'harbour-turn',
    stage: 1,
    kind: 'main',
    skill: 'potting',
    gain: 0.5,
    tables: ['pool-9ft'],
    behind: null,
    isSurelyBehind: false,
    shows: null,
    restDays: null,
    course: null,
  },
  coach: undefined,
});

const PLANNED = [turn('wren', 'A', 0), turn('pim', 'B', 0), turn('wren', 'A', 40)];
const places = (turns: readonly Turn[]) =>
  turns.map(({ student, table, from }) => `${student} ${table} ${from}`);

it('a turn goes to a free place, or changes places with who is there; undone it is as before', () => {
  const { result } = renderHook(() => useTurns(PLANNED));
  act(() => result.current.move(0, 'B', 20));
  expect(places(result.current.turns)).toEqual(['wren B 20', 'pim B 0', 'wren A 40']);
  act(() => result.current.move(1, 'A', 40));
  expect(places(result.current.turns)).toEqual(['wren B 20', 'pim A 40', 'wren B 0']);
  act(() => result.current.undo());
  act(() => result.current.undo());
  expect(result.current.turns).toEqual(PLANNED);
  act(() => result.current.redo());
  expect(places(result.current.turns)[0]).toBe('wren B 20');
});

it('a turn that is taken out is not looked at any more, and comes back', () => {
  const { result } = renderHook(() => useTurns(PLANNED));
  act(() => result.current.choose(1));
  expect(result.current.chosen).toBe(1);
  act(() => result.current.remove(1));
  expect(result.current.chosen).toBeUndefined();
  expect(places(result.current.turns)).toEqual(['wren A 0', 'wren A 40']);
  act(() => result.current.undo());
  expect(result.current.turns).toEqual(PLANNED);
});

it('another proposal begins anew, whatever was changed of the one before', () => {
  const { result, rerender } = renderHook(({ planned }) => useTurns(planned), {
    initialProps: { planned: PLANNED },
  });
  act(() => result.current.change(0, turn('corin', 'A', 0)));
  act(() => result.current.choose(0));
  const next = [turn('pim', 'A', 0)];
  rerender({ planned: next });
  expect(result.current.turns).toEqual(next);
  expect(result.current.chosen).toBeUndefined();
  expect(result.current.past).toEqual([]);
  act(() => result.current.move(0, 'B', 60));
  expect(places(result.current.turns)).toEqual(['pim B 60']);
});
