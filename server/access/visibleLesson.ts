import type { Viewer } from '../../core/records/account.ts';
import type { Lesson } from '../../core/records/lesson.ts';
import { findLesson } from '../db/queries/lessons.ts';
import type { Dependencies } from '../dependencies.ts';
import { notFound } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** The lesson, if the viewer may see it: coaches every one of the club, players those that they hold or are in. */
export async function visibleLesson(deps: Dependencies, viewer: Viewer, id: string): Promise<Lesson> {
  const lesson = await findLesson(deps.pool, viewer.clubId, requireUuid(id, 'lesson'));
  const own =
    lesson !== undefined &&
    (viewer.role === 'coach' ||
      lesson.heldBy.id === viewer.id ||
      lesson.document.playerIds.includes(viewer.id));
  if (lesson === undefined || !own) throw notFound('this lesson');
  return lesson;
}

/** A lesson as somebody may read it: a student who does not hold it sees neither who else is in it nor what is noted of them. */
export function lessonFor(viewer: Viewer, lesson: Lesson): Lesson {
  const { document } = lesson;
  if (viewer.role === 'coach' || lesson.heldBy.id === viewer.id || document.playerIds.length === 1)
    return lesson;
  return {
    ...lesson,
    document: {
      ...document,
      playerIds: document.playerIds.filter((id) => id === viewer.id),
      blocks: document.blocks.map((block) => ({ ...block, note: '' })),
      summary: '',
    },
  };
}
