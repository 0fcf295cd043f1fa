import { Hono } from 'hono';
import type { AuditAction } from '../../core/records/audit.ts';
import type { Viewer } from '../../core/records/account.ts';
import { erasureSchema, mayRewriteSchema, personCorrectionSchema } from '../../core/records/corrections.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { isDuplicate } from '../db/errors.ts';
import { erasePlayer, ownRow } from '../db/queries/erasure.ts';
import { correctPerson, setMayRewrite } from '../db/queries/people.ts';
import { inTransaction, type Database } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { download } from '../exports/download.ts';
import { takeAway } from '../players/takeAway.ts';

/** What is kept of a player: put right, taken away as files, and erased for good. */
export function playerCareRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  const audit = auditAt(deps.now);
  const note = (db: Database, viewer: Viewer, action: AuditAction, subjectId: string) =>
    audit(db, viewer, { action, subject: 'person', subjectId });

  // For the form that puts them right: the address is shown to coaches, and to whom it is.
  app.get('/:id/person', async (c) => {
    const player = await visiblePlayer(deps, c.get('viewer'), c.req.param('id'));
    const { name, hand, email = null } = await ownRow(deps.pool, player.id);
    return c.json({ name, hand, email });
  });

  app.put('/:id/person', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const body = await readBody(c, personCorrectionSchema);
    if ((body.email !== null) !== player.hasSignIn) {
      const message = player.hasSignIn
        ? 'email is missing: the player signs in with it'
        : 'email comes with a sign-in: give the player a code';
      throw new Refusal(400, message, 'email');
    }
    try {
      await inTransaction(deps.pool, async (db) => {
        await correctPerson(db, viewer.clubId, player.id, { ...body, name: body.name.trim() });
        await note(db, viewer, 'player corrected', player.id);
      });
    } catch (error) {
      throw isDuplicate(error) ? new Refusal(409, 'email is already used for a sign-in', 'email') : error;
    }
    return c.json(await visiblePlayer(deps, viewer, player.id));
  });

  app.put('/:id/may-rewrite', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const { allowed } = await readBody(c, mayRewriteSchema);
    await inTransaction(deps.pool, async (db) => {
      await setMayRewrite(db, viewer.clubId, player.id, allowed);
      await note(db, viewer, allowed ? 'may rewrite' : 'may not rewrite', player.id);
    });
    return c.json(await visiblePlayer(deps, viewer, player.id));
  });

  // Their own, for players too: it is theirs.
  app.get('/:id/everything.zip', async (c) => {
    const viewer = c.get('viewer');
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    await note(deps.pool, viewer, 'player exported', player.id);
    const { clubId } = viewer;
    return download(c, deps, {
      name: 'everything.zip',
      type: 'application/zip',
      clubId,
      write: async function* (snapshot) {
        yield await takeAway(snapshot.db, clubId, player.id);
      },
    });
  });

  // For good; whoever asks for it writes the name, so that nobody is erased by a slip.
  app.post('/:id/erasure', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const { name } = await readBody(c, erasureSchema);
    if (name.trim() !== player.name) {
      throw new Refusal(400, 'name is not that of the player who is to be erased', 'name');
    }
    await inTransaction(deps.pool, async (db) => {
      await erasePlayer(db, viewer.clubId, player.id, new Date(deps.now()));
      await note(db, viewer, 'player erased', player.id);
    });
    return c.json({});
  });

  return app;
}
