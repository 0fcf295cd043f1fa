import { Hono } from 'hono';
import { eveningChangeSchema, type EveningWants } from '../../core/records/evening.ts';
import { changeableLesson, requireOwn } from '../access/changeableLesson.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import { insertLesson, lessonsOfEvening, updateLesson } from '../db/queries/lessons.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { eveningWantsOf, kitOf } from '../players/nextDrills.ts';

/** As many as an evening can have. */
const MOST_PLAYERS = 24;
const PERIOD_MS = 365 * 86_400_000;

/** Evenings: several lessons at once, a table each, which are planned and changed together. */
export function eveningRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** What each of some players would gain by, and warm up with. */
  app.get('/wants', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const ids = [...new Set((c.req.query('players') ?? '').split(',').filter((id) => id !== ''))];
    if (ids.length === 0 || ids.length > MOST_PLAYERS) {
      throw new Refusal(400, `players must name 1 to ${String(MOST_PLAYERS)} players`, 'players');
    }
    for (const id of ids) await visiblePlayer(deps, viewer, id);
    const now = deps.now();
    const period = { from: new Date(now - PERIOD_MS), to: new Date(now) };
    const kit = await kitOf(deps.pool, viewer, period.to);
    const wants: EveningWants = [];
    for (const id of ids) {
      wants.push(await eveningWantsOf(deps.pool, { clubId: viewer.clubId, id }, period, kit));
    }
    return c.json(wants);
  });

  app.get('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'evening');
    const lessons = await lessonsOfEvening(deps.pool, viewer.clubId, id);
    if (lessons.length === 0) throw notFound('this evening');
    return c.json(lessons);
  });

  /** All of its lessons are stored, or none. */
  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'evening');
    const { lessons } = await readBody(c, eveningChangeSchema);
    for (const [i, { document }] of lessons.entries()) {
      if (document.evening?.id !== id) {
        throw new Refusal(400, `lessons[${String(i)}].document.evening must be this evening`, 'evening');
      }
      await requireOwn(deps, viewer, document);
    }
    for (const lesson of lessons) {
      if (lesson.basedOn !== null) await changeableLesson(deps, viewer, lesson.id);
    }
    try {
      await inTransaction(deps.pool, async (db) => {
        for (const { id: lessonId, document, basedOn } of lessons) {
          const told = { id: lessonId, clubId: viewer.clubId, heldBy: viewer.id, document };
          if (basedOn === null) await insertLesson(db, told);
          else if (!(await updateLesson(db, lessonId, basedOn, document))) {
            throw new Refusal(409, 'this evening was changed elsewhere in the meantime', 'basedOn');
          }
        }
      });
    } catch (error) {
      // Sent twice, or ids of somebody else's lessons, which the look-up below refuses.
      if (!isDuplicate(error)) throw error;
      for (const lesson of lessons) await changeableLesson(deps, viewer, lesson.id);
    }
    return c.json(await lessonsOfEvening(deps.pool, viewer.clubId, id), 201);
  });

  return app;
}
