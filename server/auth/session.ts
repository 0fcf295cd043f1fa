import { createHash, randomBytes } from 'node:crypto';
import type { Context } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { createMiddleware } from 'hono/factory';
import { PERSON_HEADER, type Viewer } from '../../core/records/account.ts';
import type { Dependencies } from '../dependencies.ts';
import { deleteSession, findViewer, insertSession } from '../db/queries/sessions.ts';
import { notAllowed, Refusal } from '../http/errors.ts';

const COOKIE = 'jolly_session';
const DAYS = 30;

/** What a route finds in its context once the session is checked. */
export interface SignedIn {
  Variables: { viewer: Viewer };
}

function digestOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

export async function openSession(c: Context, deps: Dependencies, personId: string): Promise<void> {
  const token = randomBytes(32).toString('base64url');
  await insertSession(deps.pool, digestOf(token), personId, new Date(deps.now() + DAYS * 86_400_000));
  setCookie(c, COOKIE, token, {
    httpOnly: true,
    sameSite: 'Strict',
    secure: deps.secureCookies,
    path: '/',
    maxAge: DAYS * 86_400,
  });
}

export async function closeSession(c: Context, deps: Dependencies): Promise<void> {
  const token = getCookie(c, COOKIE);
  if (token !== undefined) await deleteSession(deps.pool, digestOf(token));
  deleteCookie(c, COOKIE, { path: '/' });
}

/** Lets a request through when its cookie belongs to a session that has not run out; else 401. */
export function requireSession(deps: Dependencies) {
  return createMiddleware<SignedIn>(async (c, next) => {
    const token = getCookie(c, COOKIE);
    const viewer =
      token === undefined ? undefined : await findViewer(deps.pool, digestOf(token), new Date(deps.now()));
    if (viewer === undefined) throw new Refusal(401, 'sign in first');
    const enteredBy = c.req.header(PERSON_HEADER);
    if (enteredBy !== undefined && enteredBy !== viewer.id) {
      throw new Refusal(401, 'somebody else entered this: it waits for their sign-in');
    }
    c.set('viewer', viewer);
    await next();
  });
}

/** @throws Refusal 403 unless the viewer is a coach */
export function requireCoach(viewer: Viewer): void {
  if (viewer.role !== 'coach') throw notAllowed();
}
