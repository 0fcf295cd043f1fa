import { expect, it } from 'vitest';
import { logOf } from '../../core/records/attempt.ts';
import { attempt } from '../testing/attempt.ts';
import { markOf } from './useOtherDevices.ts';

const state = { attempts: [attempt('a')], underWay: null, ended: null };

it('two states of a round differ by attempts, by what they say, by what is under way and by the end', () => {
  const others = [
    { ...state, attempts: [] },
    { ...state, attempts: [attempt('b')] },
    { ...state, attempts: [attempt('a', { log: logOf({ detail: 'full' }) })] },
    { ...state, attempts: [attempt('a', { changed: { reason: 'a slip', by: 'Ida', at: '' } })] },
    { ...state, underWay: logOf({ seed: 3 }) },
    { ...state, ended: { at: '2026-11-24T12:20:00Z', early: true } },
  ];
  const marks = [state, ...others].map(markOf);
  expect(new Set(marks).size).toBe(marks.length);
});

it('do not differ by how times are written', () => {
  const server = { ...state, attempts: [attempt('a', { playedAt: '2026-11-24T12:00:00.000Z' })] };
  expect(markOf(server)).toBe(markOf(state));
});
