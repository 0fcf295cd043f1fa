import { Hono } from 'hono';
import { stream } from 'hono/streaming';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import type { Dependencies } from '../dependencies.ts';
import { restoreBackup, writeBackup } from '../exports/backup.ts';
import { backupSchema } from '../exports/backupSchema.ts';
import { isExport, writeCsv } from '../exports/csv.ts';
import { readBody } from '../http/body.ts';
import { notFound } from '../http/errors.ts';

/** Everything of a club to take away, and to bring back. */
export function exportRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/csv/:name', (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const name = c.req.param('name').replace(/\.csv$/, '');
    if (!isExport(name)) throw notFound('this export');
    c.header('content-type', 'text/csv; charset=utf-8');
    c.header('content-disposition', `attachment; filename="${name}.csv"`);
    return stream(c, (out) => writeCsv(deps.pool, viewer.clubId, name, (text) => out.write(text)));
  });

  app.get('/backup', (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    c.header('content-type', 'application/json; charset=utf-8');
    c.header('content-disposition', 'attachment; filename="jolly-rail-backup.json"');
    const club = { id: viewer.clubId, name: viewer.club };
    return stream(c, (out) => writeBackup(deps.pool, club, new Date(deps.now()), (text) => out.write(text)));
  });

  // In the place of the coach's own club.
  app.post('/restore', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const backup = await readBody(c, backupSchema);
    await restoreBackup(deps.pool, { clubId: viewer.clubId, coachId: viewer.id }, backup);
    return c.json({});
  });

  return app;
}
