import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { Hono } from 'hono';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import type { Dependencies } from '../dependencies.ts';
import { backupPieces } from '../exports/backup.ts';
import { columnsCsv, csvPieces, isExport } from '../exports/csv.ts';
import { download } from '../exports/download.ts';
import { keptFile, listKept } from '../exports/nightly.ts';
import { readJsonBytes } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { bePatient } from '../http/sockets.ts';

/** The whole file is held in memory while it is checked. */
const LARGEST_BACKUP = 256 * 1024 * 1024;

/** The zone of the clock by which times are told, too. @throws Refusal for one that nobody knows */
function zoneOf(asked: string | undefined): string {
  if (asked === undefined) return 'UTC';
  try {
    return new Intl.DateTimeFormat('en', { timeZone: asked }).resolvedOptions().timeZone;
  } catch {
    throw new Refusal(400, 'zone is no time zone', 'zone');
  }
}

/** Everything of a club to take away, and to bring back. */
export function exportRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/csv/:name', (c) => {
    const { clubId, ...viewer } = c.get('viewer');
    requireCoach(viewer);
    const name = c.req.param('name').replace(/\.csv$/, '');
    const zone = zoneOf(c.req.query('zone'));
    if (name === 'columns') {
      c.header('content-type', 'text/csv; charset=utf-8');
      c.header('content-disposition', 'attachment; filename="columns.csv"');
      return c.body(columnsCsv(zone));
    }
    if (!isExport(name)) throw notFound('this export');
    return download(c, deps, {
      name: `${name}.csv`,
      type: 'text/csv; charset=utf-8',
      clubId,
      write: (snapshot) => csvPieces(snapshot, clubId, name, zone),
    });
  });

  app.get('/backup', (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const club = { id: viewer.clubId, name: viewer.club };
    return download(c, deps, {
      name: 'jolly-rail-backup.json',
      type: 'application/json; charset=utf-8',
      clubId: viewer.clubId,
      write: (snapshot) => backupPieces(snapshot, club, new Date(deps.now())),
    });
  });

  // Those that the server made by itself at night.
  app.get('/backups', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { backupFolder } = deps;
    return c.json({
      nightly: backupFolder !== undefined,
      kept: backupFolder === undefined ? [] : await listKept(backupFolder, viewer.clubId),
    });
  });

  app.get('/backups/:name', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const name = c.req.param('name');
    const file =
      deps.backupFolder === undefined ? undefined : await keptFile(deps.backupFolder, viewer.clubId, name);
    if (file === undefined) throw notFound('this backup');
    c.header('content-type', 'application/gzip');
    c.header('content-disposition', `attachment; filename="jolly-rail-${name}"`);
    return c.body(Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>);
  });

  // In the place of the coach's own club.
  app.post('/restore', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const file = await readJsonBytes(c, LARGEST_BACKUP);
    bePatient(c);
    await deps.restore({ clubId: viewer.clubId, coachId: viewer.id }, file);
    deps.wakeBenchmarks?.();
    return c.json({});
  });

  return app;
}
