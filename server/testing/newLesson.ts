import { randomUUID } from 'node:crypto';
import type { LessonDocument } from '../../core/records/lesson.ts';

/** A lesson that is planned, with one block, and with what differs. */
export function newLesson(
  where: Pick<LessonDocument, 'playerIds' | 'tableId'>,
  change: Partial<LessonDocument> = {},
): LessonDocument {
  return {
    title: 'An evening',
    day: '2026-11-24',
    turns: 'after each round',
    blocks: [
      {
        id: randomUUID(),
        drill: 'harbour-turn',
        stage: 1,
        minutes: 20,
        startedAt: null,
        endedAt: null,
        note: '',
      },
    ],
    startedAt: null,
    endedAt: null,
    summary: '',
    ...where,
    ...change,
  };
}
