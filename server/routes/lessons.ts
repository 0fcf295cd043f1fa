import { Hono } from 'hono';
import { archivedSchema } from '../../core/records/listedDrill.ts';
import type { Viewer } from '../../core/records/account.ts';
import { lessonChangeSchema, type Lesson, type LessonDocument } from '../../core/records/lesson.ts';
import type { SignedIn } from '../auth/session.ts';
import { archiveLesson, findLesson, insertLesson, listLessons, updateLesson } from '../db/queries/lessons.ts';
import { listRoundsOfLesson } from '../db/queries/rounds.ts';
import { findTable } from '../db/queries/tables.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { lessonFor, mayChangeLesson, visibleLesson } from '../access/visibleLesson.ts';
import { withResults } from '../rounds/counting.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';

/** So many of the newest lessons are given. */
const SHOWN = 60;

export function lessonRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** Every player must be one whom the viewer may see, and the table one of the club. */
  async function requireOwn(viewer: Viewer, { playerIds, tableId }: LessonDocument): Promise<void> {
    for (const id of playerIds) await visiblePlayer(deps, viewer, id);
    const table = await findTable(deps.pool, viewer.clubId, tableId, new Date(deps.now()));
    if (table === undefined) throw new Refusal(404, 'document.tableId: this table was not found', 'tableId');
  }

  /** Whoever holds a lesson changes it, and every coach. */
  async function changeable(viewer: Viewer, id: string): Promise<Lesson> {
    const lesson = await visibleLesson(deps, viewer, id);
    if (!mayChangeLesson(viewer, lesson)) {
      throw new Refusal(403, 'only the coach changes this lesson');
    }
    return lesson;
  }

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    const personId = viewer.role === 'coach' ? undefined : viewer.id;
    const lessons = await listLessons(deps.pool, viewer.clubId, { personId, limit: SHOWN });
    return c.json(lessons.map((lesson) => lessonFor(viewer, lesson)));
  });

  app.get('/:id', async (c) => {
    const viewer = c.get('viewer');
    const lesson = await visibleLesson(deps, viewer, c.req.param('id'));
    const rounds = await listRoundsOfLesson(deps.pool, viewer.clubId, lesson.id);
    const own = rounds.filter(({ player }) => viewer.role === 'coach' || player.id === viewer.id);
    return c.json({
      lesson: lessonFor(viewer, lesson),
      rounds: await withResults(deps.pool, viewer.clubId, own),
    });
  });

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    const id = requireUuid(c.req.param('id'), 'lesson');
    const { document, basedOn } = await readBody(c, lessonChangeSchema);
    await requireOwn(viewer, document);
    if (basedOn === null) {
      try {
        await inTransaction(deps.pool, (db) =>
          insertLesson(db, { id, clubId: viewer.clubId, heldBy: viewer.id, document }),
        );
      } catch (error) {
        // Sent twice, or an id of somebody else's, which the look-up below refuses.
        if (!isDuplicate(error)) throw error;
      }
      return c.json(await changeable(viewer, id), 201);
    }
    await changeable(viewer, id);
    const stored = await inTransaction(deps.pool, (db) => updateLesson(db, id, basedOn, document));
    if (!stored) throw new Refusal(409, 'this lesson was changed elsewhere in the meantime', 'basedOn');
    return c.json(await findLesson(deps.pool, viewer.clubId, id));
  });

  app.put('/:id/archived', async (c) => {
    const viewer = c.get('viewer');
    const lesson = await changeable(viewer, c.req.param('id'));
    const { archived } = await readBody(c, archivedSchema);
    await archiveLesson(deps.pool, lesson.id, archived ? new Date(deps.now()) : null);
    return c.json(await findLesson(deps.pool, viewer.clubId, lesson.id));
  });

  return app;
}
