import type { LessonEvening } from '../../core/records/lesson.ts';

/** An evening of two hours, for the lessons of its tables. */
export function newEvening(id: string): LessonEvening {
  return { id, begins: '18:30', minutes: 120, coachIds: [], turn: 20, restAfter: 60, most: 100 };
}
