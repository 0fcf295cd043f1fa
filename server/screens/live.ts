import type { Context } from 'hono';
import { streamSSE } from 'hono/streaming';
import { LRUCache } from 'lru-cache';
import type { ScreenPicture } from '../../core/records/screen.ts';
import type { Dependencies } from '../dependencies.ts';
import { Refusal } from '../http/errors.ts';
import { screenPicture } from './screenPicture.ts';

/** The database is asked so often for all screens of a code, ms: so each server tells what another one was told. */
const LOOK_MS = 1_000;
/** A sign of life for proxies and sockets, in looks. */
const ALIVE_LOOKS = 15;
/** After so many looks the browser asks anew by itself: a screen that was left on holds nothing for ever. */
const LOOKS = 600;
/** Screens that one server serves at once. */
const MOST = 300;

const asked = new LRUCache<string, Promise<ScreenPicture | undefined>>({ max: 500, ttl: LOOK_MS - 100 });
let open = 0;

/** The picture, looked up once for all screens of a code that ask within a second. */
function pictureFor({ pool, now }: Pick<Dependencies, 'pool' | 'now'>, code: string) {
  const known = asked.get(code);
  if (known !== undefined) return known;
  const looked = screenPicture(pool, code, new Date(now()));
  asked.set(code, looked);
  // What failed is not kept: the next look asks again.
  looked.catch(() => asked.delete(code));
  return looked;
}

/** Tells a screen whatever changes, by server-sent events, until it leaves or its code is closed. */
export function tellLive(c: Context, deps: Pick<Dependencies, 'pool' | 'now'>, code: string): Response {
  if (open >= MOST) throw new Refusal(503, 'too many screens are open: try again in a minute');
  c.header('X-Accel-Buffering', 'no');
  return streamSSE(c, async (stream) => {
    open++;
    let last = '';
    try {
      for (let look = 0; look < LOOKS && !stream.aborted; look++) {
        const picture = await pictureFor(deps, code).catch(() => null);
        if (picture === undefined) {
          await stream.writeSSE({ event: 'closed', data: '' });
          return;
        }
        const text = picture === null ? last : JSON.stringify(picture);
        if (text !== last) {
          last = text;
          await stream.writeSSE({ event: 'picture', data: text });
        } else if (look % ALIVE_LOOKS === 0) {
          await stream.writeSSE({ event: 'alive', data: '' });
        }
        await stream.sleep(LOOK_MS);
      }
    } finally {
      open--;
    }
  });
}
