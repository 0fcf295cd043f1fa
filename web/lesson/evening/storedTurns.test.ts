import { expect, it } from 'vitest';
import type { EveningWants } from '../../../core/records/evening.ts';
import type { Lesson, LessonBlock } from '../../../core/records/lesson.ts';
import { storedTurns } from './storedTurns.ts';

const block = (id: string, more: Partial<LessonBlock>): LessonBlock => ({
  id,
  drill: 'harbour-turn',
  stage: 1,
  minutes: 20,
  startedAt: null,
  endedAt: null,
  note: '',
  ...more,
});

const lesson = (tableId: string, blocks: readonly LessonBlock[]): Lesson => ({
  id: `lesson at ${tableId}`,
  version: 1,
  heldBy: { id: 'ada', name: 'Ada' },
  archived: false,
  document: {
    title: 'Evening',
    day: '2026-11-29',
    tableId,
    playerIds: ['wren', 'pim'],
    turns: 'after each round',
    blocks: [...blocks],
    startedAt: null,
    endedAt: null,
    summary: '',
    evening: undefined,
  },
});

const WANTS: EveningWants = [
  {
    playerId: 'wren',
    wants: [
      {
        drill: 'harbour-turn',
        stage: 1,
        kind: 'warm-up',
        skill: 'cue-ball control',
        gain: 0.35,
        tables: ['pool-9ft'],
        behind: null,
        isSurelyBehind: false,
        shows: null,
        restDays: 3,
        course: null,
      },
    ],
  },
];

it('are the blocks of all tables that are somebody’s, in their order in time', () => {
  const turns = storedTurns(
    [
      lesson('A', [block('a', { playerId: 'wren', from: 40, coachId: 'ada' }), block('everybody’s', {})]),
      lesson('B', [block('b', { playerId: 'wren', from: 0 }), block('c', { playerId: 'pim', from: 60 })]),
    ],
    WANTS,
    [],
  );
  expect(turns.map(({ block: { id }, turn }) => [id, turn.student, turn.table, turn.from])).toEqual([
    ['b', 'wren', 'B', 0],
    ['a', 'wren', 'A', 40],
    ['c', 'pim', 'B', 60],
  ]);
  // What spoke for a drill is known as long as it is still proposed.
  expect(turns.map(({ turn }) => turn.want.kind)).toEqual(['warm-up', 'warm-up', 'main']);
  expect(turns.map(({ turn }) => turn.coach)).toEqual([undefined, 'ada', undefined]);
  expect(turns[2]?.turn.want.gain).toBe(0);
});
