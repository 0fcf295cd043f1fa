import { Hono } from 'hono';
import type { Today } from '../../core/records/today.ts';
import type { SignedIn } from '../auth/session.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listNewest } from '../db/queries/rounds.ts';
import type { Dependencies } from '../dependencies.ts';
import { summariesOf } from '../rounds/counting.ts';

const SHOWN = 6;

export function todayRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    const playerId = viewer.role === 'coach' ? undefined : viewer.id;
    const players = await listPlayers(deps.pool, viewer.clubId);
    const newest = async (ended: boolean) => {
      const rounds = await listNewest(deps.pool, viewer.clubId, { ended, playerId, limit: SHOWN });
      return summariesOf(deps.pool, viewer.clubId, rounds);
    };
    const today: Today = {
      open: await newest(false),
      recent: await newest(true),
      waiting: players
        .filter((player) => !player.archived && (playerId === undefined || player.id === playerId))
        .sort((a, b) => (a.lastRoundAt ?? '').localeCompare(b.lastRoundAt ?? ''))
        .slice(0, SHOWN),
    };
    return c.json(today);
  });

  return app;
}
