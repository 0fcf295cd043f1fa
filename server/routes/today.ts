import { Hono } from 'hono';
import type { Today } from '../../core/records/club.ts';
import type { SignedIn } from '../auth/session.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listSummaries } from '../db/queries/rounds.ts';
import type { Dependencies } from '../dependencies.ts';

const SHOWN = 6;

export function todayRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    const playerId = viewer.role === 'coach' ? undefined : viewer.id;
    const players = await listPlayers(deps.pool, viewer.clubId);
    const today: Today = {
      open: await listSummaries(deps.pool, viewer.clubId, { ended: false, playerId, limit: SHOWN }),
      recent: await listSummaries(deps.pool, viewer.clubId, { ended: true, playerId, limit: SHOWN }),
      waiting: players
        .filter((player) => !player.archived && (playerId === undefined || player.id === playerId))
        .sort((a, b) => (a.lastRoundAt ?? '').localeCompare(b.lastRoundAt ?? ''))
        .slice(0, SHOWN),
    };
    return c.json(today);
  });

  return app;
}
