import { createHash } from 'node:crypto';
import { Hono, type Context } from 'hono';
import { SCREEN_CODE, type ScreenPicture } from '../../core/records/screen.ts';
import { TooManyTries } from '../auth/throttle.ts';
import { countTry, uncountTry } from '../db/queries/signInTries.ts';
import type { Dependencies } from '../dependencies.ts';
import { addressOf } from '../http/address.ts';
import { notFound } from '../http/errors.ts';
import { tellLive } from '../screens/live.ts';
import { screenPicture } from '../screens/screenPicture.ts';

/** Codes that open nothing, from one address, before it has to wait. */
const GUESSES = { free: 20, longestS: 60 };

/** What whoever has a code may look at, without a sign-in. */
export function screenRoutes(deps: Dependencies) {
  const app = new Hono();

  /** @throws Refusal 404 for a code that opens nothing, 429 for whoever guesses */
  async function opened(c: Context): Promise<{ readonly code: string; readonly picture: ScreenPicture }> {
    const code = (c.req.param('code') ?? '').toUpperCase();
    if (!SCREEN_CODE.test(code)) throw notFound('a screen with this code');
    const address = addressOf(c, deps.behindProxy ?? false);
    const subject = `screen:${createHash('sha256').update(address).digest('hex')}`;
    const wait = await countTry(deps.pool, subject, new Date(deps.now()), GUESSES);
    if (wait > 0) throw new TooManyTries(wait);
    const picture = await screenPicture(deps.pool, code, new Date(deps.now()));
    if (picture === undefined) throw notFound('a screen with this code');
    await uncountTry(deps.pool, subject);
    return { code, picture };
  }

  app.get('/:code', async (c) => c.json((await opened(c)).picture));

  app.get('/:code/live', async (c) => tellLive(c, deps, (await opened(c)).code));

  return app;
}
