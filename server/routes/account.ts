import { randomUUID } from 'node:crypto';
import { Hono, type Context } from 'hono';
import {
  codeSignInSchema,
  newClubSchema,
  passwordChangeSchema,
  signInSchema,
  type Welcome,
} from '../../core/records/account.ts';
import { hashPassword, passwordFits } from '../auth/password.ts';
import { digestOfCode } from '../auth/signInCode.ts';
import { auditAt } from '../access/audit.ts';
import { closeSession, deviceOf, letIn, requireSession, type SignedIn } from '../auth/session.ts';
import { requireStrong } from '../auth/strength.ts';
import { slowDown } from '../auth/throttle.ts';
import { FIRST_RULES } from '../../core/records/clubRules.ts';
import { claimInstallation, countClubs, storeClubRules } from '../db/queries/clubs.ts';
import { findOwnSignIn, storePassword } from '../db/queries/coaches.ts';
import { forgetDevices } from '../db/queries/knownDevices.ts';
import { findSignIn } from '../db/queries/people.ts';
import { deleteSessionsOf } from '../db/queries/sessions.ts';
import { findPersonOfCode, setSignIn, useSignInCode } from '../db/queries/signInCodes.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { addressOf } from '../http/address.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { foundClub } from '../clubs/found.ts';

export function accountRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** Counts a try before it costs anything. @throws Refusal 429 for one that comes too early */
  const counted = (c: Context, email: string) =>
    slowDown(deps, {
      email,
      address: addressOf(c, deps.behindProxy === true),
      device: deviceOf(c),
    });

  app.get('/welcome', async (c) => {
    const welcome: Welcome = { empty: (await countClubs(deps.pool)) === 0, demo: deps.demoSignIns };
    return c.json(welcome);
  });

  app.post('/club', async (c) => {
    if ((await countClubs(deps.pool)) > 0) throw new Refusal(409, 'this installation already has its club');
    const body = await readBody(c, newClubSchema);
    requireStrong(body.password, [body.name, body.email, body.club]);
    const passwordHash = await hashPassword(body.password);
    const coach = randomUUID();
    await inTransaction(deps.pool, async (db) => {
      // Two first visitors at once: the second waits here and is then refused.
      await claimInstallation(db).catch((error: unknown) => {
        throw isDuplicate(error) ? new Refusal(409, 'this installation already has its club') : error;
      });
      const clubId = await foundClub(db, body.club.trim(), {
        id: coach,
        name: body.name.trim(),
        email: body.email,
        passwordHash,
        keeper: true,
      });
      if (body.zone !== undefined) await storeClubRules(db, clubId, { ...FIRST_RULES, zone: body.zone });
    });
    await letIn(c, deps, coach);
    return c.json({}, 201);
  });

  app.post('/sign-in', async (c) => {
    const body = await readBody(c, signInSchema);
    const gotIn = await counted(c, body.email);
    const person = await findSignIn(deps.pool, body.email);
    if (!(await passwordFits(body.password, person?.passwordHash)) || person === undefined) {
      throw new Refusal(401, 'e-mail address and password do not fit', 'password');
    }
    await gotIn();
    await letIn(c, deps, person.id);
    return c.json({});
  });

  // A first sign-in, or a new password in the place of a forgotten one, with the code that a coach gave.
  app.post('/sign-in/code', async (c) => {
    const body = await readBody(c, codeSignInSchema);
    const gotIn = await counted(c, body.email);
    const wrong = () => new Refusal(401, 'code is wrong or expired: ask a coach for a new one', 'code');
    const digest = digestOfCode(body.code);
    const whose = await findPersonOfCode(deps.pool, digest, new Date(deps.now()));
    const known = whose === undefined ? undefined : await findOwnSignIn(deps.pool, whose);
    if (known === undefined) throw wrong();
    requireStrong(body.password, [known.name, body.email, known.club]);
    const passwordHash = await hashPassword(body.password);
    const personId = await inTransaction(deps.pool, async (db) => {
      const found = await findPersonOfCode(db, digest, new Date(deps.now()));
      if (found === undefined || !(await useSignInCode(db, found))) return undefined;
      await setSignIn(db, found, body.email, passwordHash).catch((error: unknown) => {
        throw isDuplicate(error) ? new Refusal(409, 'email is already used for a sign-in', 'email') : error;
      });
      return found;
    });
    if (personId === undefined) throw wrong();
    await gotIn();
    await letIn(c, deps, personId);
    return c.json({}, 201);
  });

  const signedIn = requireSession(deps);
  const note = auditAt(deps.now);

  app.post('/sign-out', signedIn, async (c) => {
    await closeSession(c, deps);
    return c.json({});
  });

  // On all devices: whoever has one of them needs the password to come in again.
  app.post('/sign-out/everywhere', signedIn, async (c) => {
    const viewer = c.get('viewer');
    const { id } = viewer;
    await inTransaction(deps.pool, async (db) => {
      await deleteSessionsOf(db, id);
      await forgetDevices(db, id);
      await note(db, viewer, { action: 'signed out everywhere', subject: 'person', subjectId: id });
    });
    await closeSession(c, deps);
    return c.json({});
  });

  app.put('/password', signedIn, async (c) => {
    const viewer = c.get('viewer');
    const { id } = viewer;
    const body = await readBody(c, passwordChangeSchema);
    const own = await findOwnSignIn(deps.pool, id);
    if (own === undefined) throw new Refusal(401, 'sign in first');
    // Somebody at a device that was left open has to guess it, too.
    const gotIn = await counted(c, own.email ?? id);
    if (!(await passwordFits(body.current, own.passwordHash ?? undefined))) {
      throw new Refusal(403, 'current is not your password', 'current');
    }
    requireStrong(body.password, [own.name, own.email ?? '', own.club]);
    const passwordHash = await hashPassword(body.password);
    await inTransaction(deps.pool, async (db) => {
      await storePassword(db, id, passwordHash);
      await forgetDevices(db, id);
      await note(db, viewer, { action: 'password changed', subject: 'person', subjectId: id });
    });
    await gotIn();
    await letIn(c, deps, id);
    return c.json({});
  });

  app.get('/me', signedIn, (c) => c.json(c.get('viewer')));

  return app;
}
