import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import type { Context } from 'hono';
import type { Logger } from 'pino';
import type { LongConnection } from '../db/longConnection.ts';
import type { DatabasePool } from '../db/pool.ts';
import { releaseLease, takeLease } from '../db/queries/leases.ts';
import { Refusal } from '../http/errors.ts';

/** A file may take so long to be fetched, and a receiver may pause for so long. */
const WHOLE_S = 600;
const STALL_MS = 30_000;
/** Held a little longer than a whole file takes: a server that died keeps nobody waiting for longer. */
const LEASE_S = WHOLE_S + 30;
/** Who asks for a second file while the first is on its way waits so long for it, a few of a club at a time. */
const WAIT_MS = 10_000;
const LOOK_MS = 200;
const MOST_WAITING = 3;

/** A connection of its own to everything as it stands at one moment. It is given back whatever happens. */
export async function openSnapshot(pool: DatabasePool): Promise<LongConnection> {
  const connection = await pool.openConnection(WHOLE_S);
  try {
    await connection.db.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    return connection;
  } catch (error) {
    connection.destroy();
    throw error;
  }
}

/** What of the server a file needs. */
interface Server {
  readonly pool: DatabasePool;
  readonly log: Pick<Logger, 'error'>;
}

const waiting = new Map<string, number>();

/** Takes a club's lease, once whoever has it has given it back. @returns whether it is the holder's now */
async function waitForLease(
  pool: DatabasePool,
  lease: { readonly name: string; readonly holder: string },
  gone: AbortSignal,
): Promise<boolean> {
  const take = () => takeLease(pool, lease.name, lease.holder, LEASE_S);
  if (await take()) return true;
  const before = waiting.get(lease.name) ?? 0;
  if (before >= MOST_WAITING) return false;
  waiting.set(lease.name, before + 1);
  try {
    for (let waited = 0; waited < WAIT_MS && !gone.aborted; waited += LOOK_MS) {
      await pause(LOOK_MS);
      if (await take()) return true;
    }
    return false;
  } finally {
    const left = (waiting.get(lease.name) ?? 1) - 1;
    if (left === 0) waiting.delete(lease.name);
    else waiting.set(lease.name, left);
  }
}

interface DownloadFile {
  readonly name: string;
  readonly type: string;
  readonly clubId: string;
  /** The file's pieces, read from the snapshot. */
  readonly write: (snapshot: LongConnection) => AsyncGenerator<string | Uint8Array, void>;
}

/**
 * A file that is made while it is fetched, one at a time for a club; the next waits for its turn. When it cannot be made to its end, or is not fetched
 * on, the connection is cut: nobody takes a part for the whole.
 * @throws Refusal 429 while another one is made for long, or others wait already
 */
export async function download(c: Context, deps: Server, file: DownloadFile): Promise<Response> {
  const lease = { name: `export:${file.clubId}`, holder: randomUUID() };
  if (!(await waitForLease(deps.pool, lease, c.req.raw.signal))) {
    c.header('Retry-After', '30');
    throw new Refusal(429, 'another file of this club is being fetched: try again when it is there');
  }
  const giveBack = () => releaseLease(deps.pool, lease.name, lease.holder).catch(() => undefined);
  try {
    const snapshot = await openSnapshot(deps.pool);
    const body = streamOf(
      file.write(snapshot),
      async () => {
        // The transaction only read: with its connection it is rolled back.
        snapshot.destroy();
        await giveBack();
      },
      (error) => deps.log.error({ err: error, file: file.name }, 'a file was cut off'),
    );
    c.header('content-type', file.type);
    c.header('content-disposition', `attachment; filename="${file.name}"`);
    return c.body(body);
  } catch (error) {
    await giveBack();
    throw error;
  }
}

/** Pieces as a stream, made as they are asked for. @param end is called once, however it ends; @param fail when they cannot be made */
function streamOf(
  pieces: AsyncGenerator<string | Uint8Array, void>,
  end: () => Promise<void>,
  fail: (error: unknown) => void,
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let stall: NodeJS.Timeout | undefined;
  let over: Promise<void> | undefined;
  const close = () => {
    clearTimeout(stall);
    clearTimeout(whole);
    over ??= end();
    return over;
  };
  let cut: (reason: Error) => void = () => undefined;
  const whole = setTimeout(() => cut(new Error('the file took too long')), WHOLE_S * 1_000);
  return new ReadableStream<Uint8Array>({
    start(controller) {
      cut = (reason) => {
        void close();
        controller.error(reason);
      };
    },
    async pull(controller) {
      clearTimeout(stall);
      try {
        const next = await pieces.next();
        if (over !== undefined) return;
        if (next.done === true) {
          await close();
          controller.close();
          return;
        }
        controller.enqueue(typeof next.value === 'string' ? encoder.encode(next.value) : next.value);
        stall = setTimeout(() => cut(new Error('the file was not fetched on')), STALL_MS);
      } catch (error) {
        await close();
        fail(error);
        controller.error(new Error('the file could not be made to its end'));
      }
    },
    cancel: () => close(),
  });
}
