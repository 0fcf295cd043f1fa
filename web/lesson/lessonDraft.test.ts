import { describe, expect, it } from 'vitest';
import { currentBlock } from '../../core/programme/currentBlock.ts';
import type { LessonBlock, LessonDocument } from '../../core/records/lesson.ts';
import { clockWords } from '../controls/BlockClock.tsx';
import { begin, endLesson, goOn, moveBlock, withBlock } from './lessonDraft.ts';

const IDS = [
  '00000000-0000-4000-8000-000000000001',
  '00000000-0000-4000-8000-000000000002',
  '00000000-0000-4000-8000-000000000003',
];
const block = (i: number): LessonBlock => ({
  id: IDS[i] ?? '',
  drill: 'harbour-turn',
  stage: 1,
  minutes: 10,
  startedAt: null,
  endedAt: null,
  note: '',
});
const lesson: LessonDocument = {
  title: 'Tuesday',
  day: '2026-11-24',
  tableId: '00000000-0000-4000-8000-00000000000a',
  playerIds: ['00000000-0000-4000-8000-00000000000b'],
  turns: 'after each round',
  blocks: [block(0), block(1), block(2)],
  startedAt: null,
  endedAt: null,
  summary: '',
};
const [ONE = '', TWO = '', THREE = ''] = IDS;
const at = (minute: number) => `2026-11-24T18:${String(minute).padStart(2, '0')}:00.000Z`;

describe('a lesson while it is given', () => {
  it('that is gone on with lets the block run again that ended with it, and no other', () => {
    const second = begin(begin(lesson, ONE, at(0)), TWO, at(12));
    const ended = endLesson(second, at(20));
    const again = goOn(ended);
    expect(again.endedAt).toBeNull();
    expect(again.blocks.map(({ endedAt }) => endedAt)).toEqual([at(12), null, null]);
    // What it came to follows: the minutes of the block are those to its last end.
    expect(endLesson(again, at(45)).blocks[1]).toMatchObject({ startedAt: at(12), endedAt: at(45) });
  });

  it('begins with its first block; the next one ends the one that runs', () => {
    const first = begin(lesson, ONE, at(0));
    expect(first).toMatchObject({ startedAt: at(0), blocks: [{ startedAt: at(0), endedAt: null }, {}, {}] });
    const second = begin(first, TWO, at(12));
    expect(second.startedAt).toBe(at(0));
    expect(second.blocks).toMatchObject([{ endedAt: at(12) }, { startedAt: at(12), endedAt: null }, {}]);
    // Taken up again, it keeps its first beginning.
    expect(begin(second, ONE, at(20)).blocks[0]).toMatchObject({ startedAt: at(0), endedAt: null });
  });

  it('shows the block that runs, else the next one, else the last', () => {
    expect(currentBlock(lesson)?.id).toBe(ONE);
    const running = begin(lesson, TWO, at(0));
    expect(currentBlock(running)?.id).toBe(TWO);
    expect(currentBlock(withBlock(running, TWO, { endedAt: at(5) }))?.id).toBe(ONE);
    const all = IDS.reduce((document, id, i) => begin(document, id, at(i)), lesson);
    expect(currentBlock(endLesson(all, at(30)))?.id).toBe(THREE);
    expect(currentBlock({ ...lesson, blocks: [] })).toBeUndefined();
  });

  it('ends with the block that runs', () => {
    const over = endLesson(begin(lesson, ONE, at(0)), at(9));
    expect(over).toMatchObject({ endedAt: at(9), blocks: [{ endedAt: at(9) }, { endedAt: null }, {}] });
  });

  it('moves a block within its plan and not out of it', () => {
    const ids = (document: LessonDocument) => document.blocks.map(({ id }) => id);
    expect(ids(moveBlock(lesson, ONE, 1))).toEqual([TWO, ONE, THREE]);
    expect(ids(moveBlock(lesson, ONE, -1))).toEqual(IDS);
    expect(ids(moveBlock(lesson, THREE, 1))).toEqual(IDS);
    expect(ids(moveBlock(lesson, 'another', 1))).toEqual(IDS);
  });
});

describe('the clock of a block', () => {
  const now = (minute: number, second = 0) => Date.parse(at(minute)) + second * 1000;
  it('shows what is left, then by how much it is over, and stops with the block', () => {
    const running = { minutes: 10, startedAt: at(0), endedAt: null };
    expect(clockWords(running, now(0))).toBe('10:00 left');
    expect(clockWords(running, now(9, 55))).toBe('0:05 left');
    expect(clockWords(running, now(10, 40))).toBe('0:40 over');
    expect(clockWords({ ...running, endedAt: at(7) }, now(40))).toBe('3:00 left');
    expect(clockWords({ ...running, startedAt: null }, now(5))).toBeUndefined();
  });
  it('does no harm when the device’s clock is set back', () => {
    expect(clockWords({ minutes: 10, startedAt: at(30), endedAt: null }, now(0))).toBe('10:00 left');
  });
});
