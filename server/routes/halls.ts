import { Hono } from 'hono';
import { hallChangeSchema } from '../../core/records/hall.ts';
import { auditAt } from '../access/audit.ts';
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
  const note = auditAt(deps.now);

  app.get('/', async (c) => c.json(await listHalls(deps.pool, c.get('viewer').clubId)));

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'hall');
    const { name, archived } = await readBody(c, hallChangeSchema);
    const archivedAt = archived ? new Date(deps.now()) : null;
    try {
      await inTransaction(deps.pool, async (db) => {
        const hall = { id, name: name.trim(), archivedAt };
        if (!(await storeHall(db, viewer.clubId, hall))) throw notFound('this hall');
        await note(db, viewer, { action: 'hall changed', subject: 'hall', subjectId: id });
      });
    } catch (error) {
      throw isDuplicate(error) ? new Refusal(409, 'name is already that of another hall', 'name') : error;
    }
    return c.json(await listHalls(deps.pool, viewer.clubId));
  });

  return app;
}
