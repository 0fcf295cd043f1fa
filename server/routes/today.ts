import { Hono } from 'hono';
import type { Today } from '../../core/records/today.ts';
import type { SignedIn } from '../auth/session.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listNewest } from '../db/queries/rounds.ts';
import type { Dependencies } from '../dependencies.ts';
import { withRatings } from '../players/roundRatings.ts';
import { summariesOf } from '../rounds/counting.ts';

const SHOWN = 6;

export function todayRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    const playerId = viewer.role === 'coach' ? undefined : viewer.id;
    const players = await listPlayers(deps.pool, viewer.clubId);
    const newest = (ended: boolean) =>
      listNewest(deps.pool, viewer.clubId, { ended, playerId, limit: SHOWN });
    const ended = await newest(true);
    const today: Today = {
      open: await summariesOf(deps.pool, viewer.clubId, await newest(false)),
      recent: await withRatings(
        deps.pool,
        viewer.clubId,
        ended,
        await summariesOf(deps.pool, viewer.clubId, ended),
      ),
      waiting: players
        .filter((player) => !player.archived && (playerId === undefined || player.id === playerId))
        .sort((a, b) => (a.lastRoundAt ?? '').localeCompare(b.lastRoundAt ?? ''))
        .slice(0, SHOWN),
    };
    return c.json(today);
  });

  return app;
}
