import { openPool } from '../db/pool.ts';
import { Refusal } from '../http/errors.ts';
import { restoreBackup, type RestorePlace } from './restore.ts';

/** What the thread is asked for: the backup's bytes, and where it goes. */
export interface RestoreTask {
  readonly url: string;
  readonly place: RestorePlace;
  readonly file: Uint8Array;
}

/** What came of it: a class of ours does not cross from one thread to another. */
export type RestoreAnswer =
  | { readonly kind: 'done' }
  | {
      readonly kind: 'refused';
      readonly status: number;
      readonly message: string;
      readonly field: string | null;
    };

/** Reads, checks and writes a backup in a thread of its own: with a large one nobody waits for an answer meanwhile. */
export default async function restore({ url, place, file }: RestoreTask): Promise<RestoreAnswer> {
  const pool = openPool(url);
  try {
    await restoreBackup(pool, place, new TextDecoder().decode(file));
    return { kind: 'done' };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const { status, message, field = null } = error;
    return { kind: 'refused', status, message, field };
  } finally {
    await pool.end();
  }
}
