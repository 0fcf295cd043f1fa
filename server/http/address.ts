import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context } from 'hono';

const LONGEST = 60;

/**
 * Where a request came from; requests made without a socket have no address.
 * @param behindProxy whether a proxy of ours stands before the server: then the last address it forwards is the one that
 * spoke to it, and what stands before that anybody may have written
 */
export function addressOf(c: Context, behindProxy: boolean): string {
  const forwarded = behindProxy ? c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim() : undefined;
  if (forwarded !== undefined && forwarded !== '') return forwarded.slice(0, LONGEST);
  try {
    return getConnInfo(c).remote.address ?? 'unknown';
  } catch {
    return 'unknown';
  }
}
