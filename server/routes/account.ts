import { randomUUID } from 'node:crypto';
import { getConnInfo } from '@hono/node-server/conninfo';
import { Hono, type Context } from 'hono';
import { codeSignInSchema, newClubSchema, signInSchema, type Welcome } from '../../core/records/account.ts';
import { hashPassword, passwordFits } from '../auth/password.ts';
import { digestOfCode } from '../auth/signInCode.ts';
import { closeSession, openSession, requireSession, type SignedIn } from '../auth/session.ts';
import { SignInThrottle } from '../auth/throttle.ts';
import { claimInstallation, countClubs, insertClub } from '../db/queries/clubs.ts';
import { findSignIn, insertPerson } from '../db/queries/people.ts';
import { findPlayerOfCode, setSignIn, useSignInCode } from '../db/queries/signInCodes.ts';
import { insertTable } from '../db/queries/tables.ts';
import { inTransaction, isDuplicate } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';

/** A new club starts with one table of each kind; their names can be told apart at once. */
const FIRST_TABLES = [
  { name: 'Pool table', preset: 'pool-9ft' },
  { name: 'Snooker table', preset: 'snooker-12ft' },
] as const;

/** Where the request came from; requests made without a socket have no address. */
function addressOf(c: Context): string {
  try {
    return getConnInfo(c).remote.address ?? 'unknown';
  } catch {
    return 'unknown';
  }
}

export function accountRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.get('/welcome', async (c) => {
    const welcome: Welcome = { empty: (await countClubs(deps.pool)) === 0, demo: deps.demoSignIns };
    return c.json(welcome);
  });

  app.post('/club', async (c) => {
    if ((await countClubs(deps.pool)) > 0) throw new Refusal(409, 'this installation already has its club');
    const body = await readBody(c, newClubSchema);
    const passwordHash = await hashPassword(body.password);
    const coach = randomUUID();
    await inTransaction(deps.pool, async (db) => {
      // Two first visitors at once: the second waits here and is then refused.
      await claimInstallation(db).catch((error: unknown) => {
        throw isDuplicate(error) ? new Refusal(409, 'this installation already has its club') : error;
      });
      const clubId = randomUUID();
      await insertClub(db, clubId, body.club.trim());
      await insertPerson(db, {
        id: coach,
        clubId,
        role: 'coach',
        name: body.name.trim(),
        hand: 'right',
        email: body.email,
        passwordHash,
      });
      for (const table of FIRST_TABLES) await insertTable(db, clubId, { id: randomUUID(), ...table });
    });
    await openSession(c, deps, coach);
    return c.json({}, 201);
  });

  app.post('/sign-in', async (c) => {
    const body = await readBody(c, signInSchema);
    const throttle = new SignInThrottle(deps, body.email, addressOf(c));
    await throttle.check();
    const person = await findSignIn(deps.pool, body.email);
    if (!(await passwordFits(body.password, person?.passwordHash)) || person === undefined) {
      await throttle.failed();
      throw new Refusal(401, 'e-mail address and password do not fit', 'password');
    }
    await throttle.succeeded();
    await openSession(c, deps, person.id);
    return c.json({});
  });

  // A player's first sign-in, with the code that their coach gave them.
  app.post('/sign-in/code', async (c) => {
    const body = await readBody(c, codeSignInSchema);
    const throttle = new SignInThrottle(deps, body.email, addressOf(c));
    await throttle.check();
    const passwordHash = await hashPassword(body.password);
    const playerId = await inTransaction(deps.pool, async (db) => {
      const found = await findPlayerOfCode(db, digestOfCode(body.code), new Date(deps.now()));
      if (found === undefined || !(await useSignInCode(db, found))) return undefined;
      await setSignIn(db, found, body.email, passwordHash).catch((error: unknown) => {
        throw isDuplicate(error) ? new Refusal(409, 'email is already used for a sign-in', 'email') : error;
      });
      return found;
    });
    if (playerId === undefined) {
      await throttle.failed();
      throw new Refusal(401, 'code is not one that is still good: ask your coach for a new one', 'code');
    }
    await throttle.succeeded();
    await openSession(c, deps, playerId);
    return c.json({}, 201);
  });

  app.post('/sign-out', requireSession(deps), async (c) => {
    await closeSession(c, deps);
    return c.json({});
  });

  app.get('/me', requireSession(deps), (c) => c.json(c.get('viewer')));

  return app;
}
