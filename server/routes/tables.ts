import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newTableSchema } from '../../core/records/club.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { insertTable, listTables } from '../db/queries/tables.ts';
import { isDuplicate } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';

export function tableRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/', async (c) => c.json(await listTables(deps.pool, c.get('viewer').clubId)));

  app.post('/', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const body = await readBody(c, newTableSchema);
    const id = randomUUID();
    try {
      await insertTable(deps.pool, viewer.clubId, { id, name: body.name.trim(), preset: body.preset });
    } catch (error) {
      if (isDuplicate(error)) throw new Refusal(409, 'name is already that of another table', 'name');
      throw error;
    }
    return c.json({ id }, 201);
  });

  return app;
}
