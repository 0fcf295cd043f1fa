import { Hono } from 'hono';
import { cueChangeSchema } from '../../core/records/cue.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { isDuplicate } from '../db/errors.ts';
import { listCues, storeCue } from '../db/queries/cues.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** The cues of a club: everybody sees them, coaches keep them. */
export function cueRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/', async (c) => c.json(await listCues(deps.pool, c.get('viewer').clubId)));

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'cue');
    const { document, archived } = await readBody(c, cueChangeSchema);
    if (document.ownerId !== null) await visiblePlayer(deps, viewer, document.ownerId);
    const cue = {
      id,
      document: { ...document, name: document.name.trim() },
      archivedAt: archived ? new Date(deps.now()) : null,
    };
    try {
      await inTransaction(deps.pool, async (db) => {
        if (!(await storeCue(db, viewer.clubId, cue))) throw notFound('this cue');
      });
    } catch (error) {
      throw isDuplicate(error)
        ? new Refusal(409, 'document.name is already that of another cue', 'document.name')
        : error;
    }
    return c.json(await listCues(deps.pool, viewer.clubId));
  });

  return app;
}
