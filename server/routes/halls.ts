import { Hono } from 'hono';
import { hallChangeSchema } from '../../core/records/hall.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { isDuplicate } from '../db/errors.ts';
import { listHalls, storeHall } from '../db/queries/halls.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** The halls of a club. */
export function hallRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/', async (c) => c.json(await listHalls(deps.pool, c.get('viewer').clubId)));

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'hall');
    const { name, archived } = await readBody(c, hallChangeSchema);
    const archivedAt = archived ? new Date(deps.now()) : null;
    try {
      const stored = await inTransaction(deps.pool, (db) =>
        storeHall(db, viewer.clubId, { id, name: name.trim(), archivedAt }),
      );
      if (!stored) throw notFound('this hall');
    } catch (error) {
      throw isDuplicate(error) ? new Refusal(409, 'name is already that of another hall', 'name') : error;
    }
    return c.json(await listHalls(deps.pool, viewer.clubId));
  });

  return app;
}
