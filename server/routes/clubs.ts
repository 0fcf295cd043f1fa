import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { clubNameSchema, furtherClubSchema, type Viewer } from '../../core/records/account.ts';
import { dayIn } from '../../core/programme/days.ts';
import { clubRulesSchema } from '../../core/records/clubRules.ts';
import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { giveCode } from '../clubs/codes.ts';
import { foundClub } from '../clubs/found.ts';
import { listAudit } from '../db/queries/audit.ts';
import { closeScreensOfClub } from '../db/queries/screens.ts';
import { listClubsWithCoaches, renameClub, storeClubRules } from '../db/queries/clubs.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listProgrammes } from '../db/queries/programmes.ts';
import { listHeadsBetween } from '../db/queries/rounds.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { requireDay, requireInstant, requireUuid } from '../http/parameters.ts';
import { overviewsOf, weekOf } from '../players/overview.ts';
import { periodOf } from './players.ts';

const DAY_MS = 86_400_000;
/** So many of the newest changes are given. */
const AUDIT_SHOWN = 300;
/** An evening is at most a day and its night. */
const LONGEST_MS = 2 * DAY_MS;

/** The club as a whole; for coaches. */
export function clubRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();
  const note = auditAt(deps.now);

  // All players at a glance. The day is the reader's own calendar's.
  app.get('/overview', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const now = deps.now();
    const zone = viewer.rules.zone ?? 'UTC';
    const today = requireDay(c.req.query('today') ?? dayIn(new Date(now), zone), 'today');
    const players = await listPlayers(deps.pool, viewer.clubId);
    const programmes = (await listProgrammes(deps.pool, viewer.clubId, undefined)).filter(
      ({ archived }) => !archived,
    );
    const recent = await listHeadsBetween(deps.pool, viewer.clubId, {
      playerId: undefined,
      from: new Date(now - 8 * DAY_MS),
      to: new Date(now),
    });
    const here = players.filter(({ archived }) => !archived);
    const asked = { clubId: viewer.clubId, ...periodOf(undefined, now) };
    const overviews = await overviewsOf(deps.pool, deps.log, here, asked);
    const overview = overviews.map((own): PlayerOverview => {
      const rounds = recent
        .filter((round) => round.player.id === own.playerId)
        .map(({ id, drill, startedAt }) => ({ id, drill, day: dayIn(startedAt, zone) }));
      const planned = programmes.filter((programme) => programme.player.id === own.playerId);
      return { ...own, week: weekOf(planned, rounds, today) };
    });
    return c.json(overview);
  });

  // The rounds of an evening, from one instant to another.
  app.get('/evening', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const from = requireInstant(c.req.query('from') ?? '', 'from');
    const to = requireInstant(c.req.query('to') ?? '', 'to');
    if (to.getTime() - from.getTime() > LONGEST_MS) {
      throw new Refusal(400, 'from and to must be two times at most two days apart', 'from');
    }
    const heads = await listHeadsBetween(deps.pool, viewer.clubId, { playerId: undefined, from, to });
    return c.json(heads.filter(({ result }) => result !== undefined));
  });

  // What was changed, by whom, when and why.
  app.get('/audit', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const about = c.req.query('about');
    const subjectId = about === undefined ? undefined : requireUuid(about, 'about');
    return c.json(await listAudit(deps.pool, viewer.clubId, { subjectId, limit: AUDIT_SHOWN }));
  });

  app.put('/name', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { name } = await readBody(c, clubNameSchema);
    await inTransaction(deps.pool, async (db) => {
      await renameClub(db, viewer.clubId, name.trim());
      await note(db, viewer, { action: 'club renamed', subject: 'club', subjectId: viewer.clubId });
    });
    return c.json({});
  });

  app.put('/rules', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const rules = await readBody(c, clubRulesSchema);
    await inTransaction(deps.pool, async (db) => {
      await storeClubRules(db, viewer.clubId, rules);
      if (!rules.screens) await closeScreensOfClub(db, viewer.clubId);
      await note(db, viewer, { action: 'club rules changed', subject: 'club', subjectId: viewer.clubId });
    });
    return c.json({});
  });

  // Further clubs in the same installation: its keeper founds them, and they see nothing of each other.
  app.get('/all', async (c) => {
    requireKeeper(c.get('viewer'));
    return c.json(await listClubsWithCoaches(deps.pool));
  });

  app.post('/further', async (c) => {
    const viewer = c.get('viewer');
    requireKeeper(viewer);
    const { club, coach } = await readBody(c, furtherClubSchema);
    const id = randomUUID();
    const given = await inTransaction(deps.pool, async (db) => {
      const person = { id, name: coach.trim(), email: null, passwordHash: null };
      await foundClub(db, club.trim(), person);
      await note(db, viewer, { action: 'club founded', subject: 'club', subjectId: viewer.clubId });
      return giveCode(db, id, deps.now());
    });
    return c.json({ id, ...given }, 201);
  });

  return app;
}

/** @throws Refusal 403 unless the viewer looks after the installation */
function requireKeeper(viewer: Viewer): void {
  requireCoach(viewer);
  if (!viewer.keeper) throw new Refusal(403, 'this is for the coach who looks after the installation');
}
