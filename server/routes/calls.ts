import { Hono } from 'hono';
import { newCallSchema } from '../../core/records/call.ts';
import type { SignedIn } from '../auth/session.ts';
import { findCall, insertCall } from '../db/queries/calls.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';

export function callRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** Keeps a call. Sent again it is answered by what was kept the first time. */
  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    const id = requireUuid(c.req.param('id'), 'call');
    const body = await readBody(c, newCallSchema);
    const player = await visiblePlayer(deps, viewer, body.playerId);
    if (body.coach !== null && viewer.role !== 'coach') {
      throw new Refusal(403, 'coach: only a coach gives a second opinion', 'coach');
    }
    await insertCall(deps.pool, id, body);
    const kept = await findCall(deps.pool, id);
    if (kept?.playerId !== player.id) throw notFound('this call');
    return c.json({ call: kept.call });
  });

  return app;
}
