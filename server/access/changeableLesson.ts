import type { Viewer } from '../../core/records/account.ts';
import type { Lesson, LessonDocument } from '../../core/records/lesson.ts';
import { listCoaches } from '../db/queries/coaches.ts';
import { findTable } from '../db/queries/tables.ts';
import type { Dependencies } from '../dependencies.ts';
import { Refusal } from '../http/errors.ts';
import { mayChangeLesson, visibleLesson } from './visibleLesson.ts';
import { visiblePlayer } from './visiblePlayer.ts';

/**
 * Every player must be one whom the viewer may see, the table one of the club, and the coaches too.
 * @throws Refusal 404 naming the field
 */
export async function requireOwn(
  deps: Dependencies,
  viewer: Viewer,
  { playerIds, tableId, blocks, evening }: LessonDocument,
): Promise<void> {
  for (const id of playerIds) await visiblePlayer(deps, viewer, id);
  const table = await findTable(deps.pool, viewer.clubId, tableId, new Date(deps.now()));
  if (table === undefined) throw new Refusal(404, 'document.tableId: this table was not found', 'tableId');
  const named = [...(evening?.coachIds ?? []), ...blocks.flatMap(({ coachId }) => coachId ?? [])];
  if (named.length === 0) return;
  const coaches = await listCoaches(deps.pool, viewer.clubId);
  if (named.some((id) => !coaches.some((coach) => coach.id === id))) {
    throw new Refusal(404, 'document.evening.coachIds: a coach was not found', 'coachIds');
  }
}

/** A lesson for whoever may change it: who holds it, and every coach. @throws Refusal 403 for others */
export async function changeableLesson(deps: Dependencies, viewer: Viewer, id: string): Promise<Lesson> {
  const lesson = await visibleLesson(deps, viewer, id);
  if (!mayChangeLesson(viewer, lesson)) {
    throw new Refusal(403, 'only the coach changes this lesson');
  }
  return lesson;
}
