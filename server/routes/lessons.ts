import { Hono } from 'hono';
import { archivedSchema } from '../../core/records/listedDrill.ts';
import { lessonChangeSchema } from '../../core/records/lesson.ts';
import { screenChangeSchema } from '../../core/records/screen.ts';
import type { SignedIn } from '../auth/session.ts';
import { archiveLesson, findLesson, insertLesson, listLessons, updateLesson } from '../db/queries/lessons.ts';
import { listRoundsOfLesson } from '../db/queries/rounds.ts';
import { closeScreen, findScreen } from '../db/queries/screens.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { changeableLesson, requireOwn } from '../access/changeableLesson.ts';
import { lessonFor, visibleLesson } from '../access/visibleLesson.ts';
import { withResults } from '../rounds/counting.ts';
import { showOnScreen } from '../screens/showOnScreen.ts';

/** So many of the newest lessons are given. */
const SHOWN = 60;

export function lessonRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

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
    await requireOwn(deps, viewer, document);
    if (basedOn === null) {
      try {
        await inTransaction(deps.pool, (db) =>
          insertLesson(db, { id, clubId: viewer.clubId, heldBy: viewer.id, document }),
        );
      } catch (error) {
        // Sent twice, or an id of somebody else's, which the look-up below refuses.
        if (!isDuplicate(error)) throw error;
      }
      return c.json(await changeableLesson(deps, viewer, id), 201);
    }
    await changeableLesson(deps, viewer, id);
    const stored = await inTransaction(deps.pool, (db) => updateLesson(db, id, basedOn, document));
    if (!stored) throw new Refusal(409, 'this lesson was changed elsewhere in the meantime', 'basedOn');
    return c.json(await findLesson(deps.pool, viewer.clubId, id));
  });

  app.put('/:id/archived', async (c) => {
    const viewer = c.get('viewer');
    const lesson = await changeableLesson(deps, viewer, c.req.param('id'));
    const { archived } = await readBody(c, archivedSchema);
    await archiveLesson(deps.pool, lesson.id, archived ? new Date(deps.now()) : null);
    return c.json(await findLesson(deps.pool, viewer.clubId, lesson.id));
  });

  // The second screen: opened, changed and closed by whoever changes the lesson.
  app.get('/:id/screen', async (c) => {
    const lesson = await changeableLesson(deps, c.get('viewer'), c.req.param('id'));
    return c.json({ screen: (await findScreen(deps.pool, lesson.id, new Date(deps.now()))) ?? null });
  });

  app.put('/:id/screen', async (c) => {
    const viewer = c.get('viewer');
    const lesson = await changeableLesson(deps, viewer, c.req.param('id'));
    if (!viewer.rules.screens) throw new Refusal(403, 'the club has no second screens');
    const { shown } = await readBody(c, screenChangeSchema);
    return c.json({ screen: await showOnScreen(deps, viewer.clubId, lesson.id, shown) });
  });

  app.delete('/:id/screen', async (c) => {
    const lesson = await changeableLesson(deps, c.get('viewer'), c.req.param('id'));
    await closeScreen(deps.pool, lesson.id);
    return c.json({ screen: null });
  });

  return app;
}
