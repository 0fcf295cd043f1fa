import { createHash, randomBytes } from 'node:crypto';
import type { Context } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { createMiddleware } from 'hono/factory';
import { PERSON_HEADER, type Viewer } from '../../core/records/account.ts';
import type { Dependencies } from '../dependencies.ts';
import { rememberDevice } from '../db/queries/knownDevices.ts';
import { deleteSession, findViewer, insertSession } from '../db/queries/sessions.ts';
import { notAllowed, Refusal } from '../http/errors.ts';

const COOKIE = 'jolly_session';
const DAYS = 30;
/** Tells a device from others, whoever signs in on it. */
const DEVICE_COOKIE = 'jolly_device';
const DEVICE_DAYS = 400;

/** What a route finds in its context once the session is checked. */
export interface SignedIn {
  Variables: { viewer: Viewer };
}

function digestOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

async function openSession(c: Context, deps: Dependencies, personId: string): Promise<void> {
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

/** The digest of the device's own cookie; undefined for a device that has none. */
export function deviceOf(c: Context): string | undefined {
  const token = getCookie(c, DEVICE_COOKIE);
  return token === undefined || token.length > 100 ? undefined : digestOf(token);
}

/** Lets somebody in who has shown who they are, on a device that is known from now on. */
export async function letIn(c: Context, deps: Dependencies, personId: string): Promise<void> {
  await openSession(c, deps, personId);
  const token = getCookie(c, DEVICE_COOKIE) ?? randomBytes(32).toString('base64url');
  setCookie(c, DEVICE_COOKIE, token, {
    httpOnly: true,
    sameSite: 'Strict',
    secure: deps.secureCookies,
    path: '/',
    maxAge: DEVICE_DAYS * 86_400,
  });
  await rememberDevice(deps.pool, digestOf(token), personId, new Date(deps.now()));
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
export function requireCoach(viewer: Pick<Viewer, 'role'>): void {
  if (viewer.role !== 'coach') throw notAllowed();
}
