import { Hono } from 'hono';
import { archivedSchema } from '../../core/records/listedDrill.ts';
import type { Viewer } from '../../core/records/account.ts';
import { reportChangeSchema, type Report } from '../../core/records/report.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { archiveReport, findReport, insertReport, listReports, updateReport } from '../db/queries/reports.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';

/** Reports: a coach writes them, their player reads them. */
export function reportRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  async function visible(viewer: Viewer, id: string): Promise<Report> {
    const report = await findReport(deps.pool, viewer.clubId, requireUuid(id, 'report'));
    const own = viewer.role === 'coach' || (report?.player.id === viewer.id && !report.archived);
    if (report === undefined || !own) throw notFound('this report');
    return report;
  }

  app.get('/', async (c) => {
    const { clubId, role, id } = c.get('viewer');
    const asked = c.req.query('player');
    const player = asked === undefined ? undefined : requireUuid(asked, 'player');
    const reports = await listReports(deps.pool, clubId, role === 'coach' ? player : id);
    return c.json(role === 'coach' ? reports : reports.filter(({ archived }) => !archived));
  });

  app.get('/:id', async (c) => c.json(await visible(c.get('viewer'), c.req.param('id'))));

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'report');
    const { document, basedOn } = await readBody(c, reportChangeSchema);
    await visiblePlayer(deps, viewer, document.playerId);
    if (basedOn === null) {
      await insertReport(deps.pool, { id, clubId: viewer.clubId, writtenBy: viewer.id, document });
      return c.json(await visible(viewer, id), 201);
    }
    const before = await visible(viewer, id);
    if (before.player.id !== document.playerId) {
      throw new Refusal(400, 'document.playerId: a report stays that of its player', 'document.playerId');
    }
    if (!(await updateReport(deps.pool, id, basedOn, document))) {
      throw new Refusal(409, 'this report was changed elsewhere in the meantime', 'basedOn');
    }
    return c.json(await visible(viewer, id));
  });

  app.put('/:id/archived', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const report = await visible(viewer, c.req.param('id'));
    const { archived } = await readBody(c, archivedSchema);
    await archiveReport(deps.pool, report.id, archived ? new Date(deps.now()) : null);
    return c.json(await visible(viewer, report.id));
  });

  return app;
}
