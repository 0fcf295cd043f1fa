import { Hono } from 'hono';
import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listProgrammes } from '../db/queries/programmes.ts';
import { listHeadsBetween } from '../db/queries/rounds.ts';
import type { Dependencies } from '../dependencies.ts';
import { Refusal } from '../http/errors.ts';
import { overviewOf, weekOf } from '../players/overview.ts';
import { periodOf } from './players.ts';

const DAY_MS = 86_400_000;
/** An evening is at most a day and its night. */
const LONGEST_MS = 2 * DAY_MS;
const DAY = /^\d{4}-\d\d-\d\d$/;

/** The club as a whole; for coaches. */
export function clubRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  // All players at a glance. The day is the reader's own calendar's.
  app.get('/overview', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const now = deps.now();
    const today = c.req.query('today') ?? new Date(now).toISOString().slice(0, 10);
    if (!DAY.test(today)) throw new Refusal(400, 'today must be a day (2026-11-24)', 'today');
    const players = await listPlayers(deps.pool, viewer.clubId);
    const programmes = (await listProgrammes(deps.pool, viewer.clubId, undefined)).filter(
      ({ archived }) => !archived,
    );
    const recent = await listHeadsBetween(deps.pool, viewer.clubId, {
      playerId: undefined,
      from: new Date(now - 8 * DAY_MS),
      to: new Date(now),
    });
    const overview: PlayerOverview[] = [];
    for (const player of players.filter(({ archived }) => !archived)) {
      const own = recent
        .filter((round) => round.player.id === player.id)
        .map(({ id, drill, startedAt }) => ({ id, drill, day: startedAt.slice(0, 10) }));
      overview.push({
        ...(await overviewOf(deps.pool, viewer.clubId, player, periodOf(undefined, now))),
        week: weekOf(
          programmes.filter((programme) => programme.player.id === player.id),
          own,
          today,
        ),
      });
    }
    return c.json(overview);
  });

  // The rounds of an evening, from one instant to another.
  app.get('/evening', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const [from, to] = [c.req.query('from'), c.req.query('to')].map((text) => new Date(text ?? ''));
    if (from === undefined || to === undefined || !(to.getTime() - from.getTime() <= LONGEST_MS)) {
      throw new Refusal(400, 'from and to must be two times at most two days apart', 'from');
    }
    const heads = await listHeadsBetween(deps.pool, viewer.clubId, { playerId: undefined, from, to });
    return c.json(heads.filter(({ result }) => result !== undefined));
  });

  return app;
}
