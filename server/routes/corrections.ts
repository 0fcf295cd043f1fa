import { Hono } from 'hono';
import { roundMoveSchema, roundRemovalSchema } from '../../core/records/corrections.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { listRemoved, lockAnyRound, moveRound, setRemoved } from '../db/queries/corrections.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** So many of the rounds that were put away are given. */
const SHOWN = 200;

/** Rounds that were entered wrongly: put away, brought back, or given to whom they belong. For coaches. */
export function correctionRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();
  const note = auditAt(deps.now);

  app.get('/removed', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    return c.json(await listRemoved(deps.pool, viewer.clubId, SHOWN));
  });

  app.put('/:id/removed', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'round');
    const { removed, reason } = await readBody(c, roundRemovalSchema);
    await inTransaction(deps.pool, async (db) => {
      const round = await lockAnyRound(db, viewer.clubId, id);
      if (round === undefined) throw notFound('this round');
      // Told twice it is done once.
      if (round.removed === removed) return;
      await setRemoved(db, id, removed ? new Date(deps.now()) : null);
      await note(db, viewer, {
        action: removed ? 'round removed' : 'round brought back',
        subject: 'round',
        subjectId: id,
        reason,
      });
    });
    return c.json({});
  });

  app.put('/:id/player', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'round');
    const { playerId, reason } = await readBody(c, roundMoveSchema);
    await visiblePlayer(deps, viewer, playerId);
    await inTransaction(deps.pool, async (db) => {
      const round = await lockAnyRound(db, viewer.clubId, id);
      if (round === undefined) throw notFound('this round');
      if (round.playerId === playerId) return;
      await moveRound(db, id, playerId);
      await note(db, viewer, {
        action: 'round moved',
        subject: 'round',
        subjectId: id,
        otherId: round.playerId,
        reason,
      });
    });
    return c.json({});
  });

  return app;
}
