import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { coachChangeSchema, newCoachSchema, type Viewer } from '../../core/records/account.ts';
import type { AuditAction } from '../../core/records/audit.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { giveCode } from '../clubs/codes.ts';
import { bringCoachBack, listCoaches, lockCoaches, removeCoach } from '../db/queries/coaches.ts';
import { insertPerson } from '../db/queries/people.ts';
import { inTransaction, type Database } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** The coaches of a club: one invites another, renews a forgotten password, and takes away the key of who leaves. */
export function coachRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  const audit = auditAt(deps.now);
  const note = (db: Database, viewer: Viewer, action: AuditAction, subjectId: string) =>
    audit(db, viewer, { action, subject: 'person', subjectId });

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    return c.json(await listCoaches(deps.pool, viewer.clubId));
  });

  app.post('/', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { name } = await readBody(c, newCoachSchema);
    const id = randomUUID();
    const given = await inTransaction(deps.pool, async (db) => {
      await insertPerson(db, {
        id,
        clubId: viewer.clubId,
        role: 'coach',
        name: name.trim(),
        hand: 'right',
        email: null,
        passwordHash: null,
      });
      await note(db, viewer, 'coach invited', id);
      return giveCode(db, id, deps.now());
    });
    return c.json({ id, ...given }, 201);
  });

  // For a forgotten password; nobody makes a code for themselves: who sits at an open device would keep the club.
  app.post('/:id/sign-in-code', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'coach');
    if (id === viewer.id)
      throw new Refusal(409, 'another coach makes a code for you; or change your password');
    const given = await inTransaction(deps.pool, async (db) => {
      if (!(await lockCoaches(db, viewer.clubId)).includes(id)) throw notFound('this coach');
      await note(db, viewer, 'code given', id);
      return giveCode(db, id, deps.now());
    });
    return c.json(given, 201);
  });

  app.put('/:id/removed', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'coach');
    const { removed } = await readBody(c, coachChangeSchema);
    await inTransaction(deps.pool, async (db) => {
      const here = await lockCoaches(db, viewer.clubId);
      if (removed && id === viewer.id) {
        throw new Refusal(409, 'another coach lets you go, so that the club is never without one');
      }
      // Two who let each other go at once: the second is not one any more.
      if (!here.includes(viewer.id)) throw new Refusal(401, 'sign in first');
      const done = removed
        ? await removeCoach(db, viewer.clubId, id, new Date(deps.now()))
        : await bringCoachBack(db, viewer.clubId, id);
      if (done) await note(db, viewer, removed ? 'coach removed' : 'coach brought back', id);
    });
    const coaches = await listCoaches(deps.pool, viewer.clubId);
    if (!coaches.some((coach) => coach.id === id)) throw notFound('this coach');
    return c.json(coaches);
  });

  return app;
}
