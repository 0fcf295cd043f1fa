import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { drillSchema, type Drill } from '../../core/records/drill.ts';
import { LIBRARY, storeRevision } from '../db/queries/drills.ts';
import type { Database } from '../db/pool.ts';

/** Reads the drills that ship. @throws when a file is not a valid drill, naming the file */
export async function readLibrary(folder: string): Promise<readonly Drill[]> {
  const files = (await readdir(folder)).filter((name) => name.endsWith('.drill.json')).sort();
  return Promise.all(
    files.map(async (name) => {
      const value: unknown = JSON.parse(await readFile(path.join(folder, name), 'utf8'));
      return drillSchema.validate(value).catch((error: unknown) => {
        throw new Error(`${name} is not a valid drill`, { cause: error });
      });
    }),
  );
}

/** Lists that older texts do not have. */
const NEWER_LISTS: readonly string[] = ['targets', 'marks', 'routes'];

/** Digest of a drill's text: two drills that say the same have the same. */
export function digestOf(drill: Drill): string {
  // Texts from before there were targets, marks and routes keep their digest, and so their revision.
  const text = JSON.stringify(drill, (key, value: unknown) =>
    NEWER_LISTS.includes(key) && Array.isArray(value) && value.length === 0 ? undefined : value,
  );
  return createHash('sha256').update(text).digest('hex');
}

/** Brings the drills that ship into the database; a changed text becomes a new revision. */
export async function storeLibrary(db: Database, drills: readonly Drill[]): Promise<void> {
  for (const drill of drills) {
    await storeRevision(db, LIBRARY, drill, digestOf(drill), null);
  }
}
