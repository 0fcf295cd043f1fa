import type { Viewer } from '../../core/records/account.ts';
import type { Lesson } from '../../core/records/lesson.ts';
import { findLesson } from '../db/queries/lessons.ts';
import type { Dependencies } from '../dependencies.ts';
import { notFound } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** The lesson, if the viewer may see it: coaches every one of the club, players those that they are in. */
export async function visibleLesson(deps: Dependencies, viewer: Viewer, id: string): Promise<Lesson> {
  const lesson = await findLesson(deps.pool, viewer.clubId, requireUuid(id, 'lesson'));
  const own =
    lesson !== undefined && (viewer.role === 'coach' || lesson.document.playerIds.includes(viewer.id));
  if (lesson === undefined || !own) throw notFound('this lesson');
  return lesson;
}

/** Whether the words of a lesson are about the viewer alone. */
const aboutAlone = (viewer: Viewer, { document }: Lesson): boolean =>
  document.playerIds.length === 1 && document.playerIds[0] === viewer.id;

/**
 * A lesson as somebody may read it: a student sees neither who else is in it nor what is noted, unless it is about them
 * alone. Who held it first makes no difference: others may have come later.
 */
export function lessonFor(viewer: Viewer, lesson: Lesson): Lesson {
  const { document } = lesson;
  if (viewer.role === 'coach' || aboutAlone(viewer, lesson)) return lesson;
  return {
    ...lesson,
    document: {
      ...document,
      playerIds: document.playerIds.filter((id) => id === viewer.id),
      blocks: document.blocks
        .filter(({ playerId = viewer.id }) => playerId === viewer.id)
        .map((block) => ({ ...block, note: '' })),
      summary: '',
    },
  };
}

/** Whether the viewer may change a lesson: a coach any, a student one that they hold and in which they are alone. */
export function mayChangeLesson(viewer: Viewer, lesson: Lesson): boolean {
  return viewer.role === 'coach' || (lesson.heldBy.id === viewer.id && aboutAlone(viewer, lesson));
}
