import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import type { Logger } from 'pino';
import type { DatabasePool } from '../db/pool.ts';
import { listClubs } from '../db/queries/clubs.ts';
import { releaseLease, takeLease } from '../db/queries/leases.ts';
import { backupPieces } from './backup.ts';
import { openSnapshot } from './download.ts';

/** A backup by the server itself. */
export interface KeptBackup {
  readonly name: string;
  readonly madeAt: string;
  readonly bytes: number;
}

const NAME = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z\.json\.gz$/;
const LEASE_S = 900;
const DAY_MS = 86_400_000;
/** When the hall is dark, local time; and how long after the last one the next may be made. */
const NIGHT_HOURS: readonly number[] = [3, 4, 5];
const APART_MS = 12 * 3_600_000;
/** Without a night (the computer is off) one is made by day. */
const LONGEST_APART_MS = 2 * DAY_MS;

const folderOf = (root: string, clubId: string) => path.join(root, clubId);
const nameAt = (at: Date) => `${at.toISOString().slice(0, 19).replaceAll(':', '-')}Z.json.gz`;
const instantOf = (name: string) => name.replace(NAME, '$1T$2:$3:$4Z');

/** The backups of a club that are here, the newest first. */
export async function listKept(root: string, clubId: string): Promise<readonly KeptBackup[]> {
  const names = await readdir(folderOf(root, clubId)).catch(() => []);
  const kept = names
    .filter((name) => NAME.test(name))
    .sort()
    .reverse();
  return Promise.all(
    kept.map(async (name) => ({
      name,
      madeAt: instantOf(name),
      bytes: (await stat(path.join(folderOf(root, clubId), name))).size,
    })),
  );
}

/** The file of a kept backup; undefined for a name that is none. */
export async function keptFile(root: string, clubId: string, name: string): Promise<string | undefined> {
  const kept = await listKept(root, clubId);
  return kept.some((each) => each.name === name) ? path.join(folderOf(root, clubId), name) : undefined;
}

/** Makes a backup of a club in its folder, and takes the oldest away beyond so many. A half one never has its name. */
export async function keepBackup(
  pool: DatabasePool,
  root: string,
  club: { readonly id: string; readonly name: string },
  { at, most }: { readonly at: Date; readonly most: number },
): Promise<void> {
  const folder = folderOf(root, club.id);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const part = path.join(folder, `${randomUUID()}.part`);
  const snapshot = await openSnapshot(pool);
  try {
    await pipeline(
      Readable.from(backupPieces(snapshot, club, at)),
      createGzip(),
      createWriteStream(part, { mode: 0o600, flush: true }),
    );
    await rename(part, path.join(folder, nameAt(at)));
  } finally {
    snapshot.destroy();
    await rm(part, { force: true });
  }
  for (const { name } of (await listKept(root, club.id)).slice(most)) await rm(path.join(folder, name));
}

/** Whether it is time for another one. @param last when the newest was made, ms; undefined for none */
export function isDue(last: number | undefined, now: Date): boolean {
  if (last === undefined) return true;
  const age = now.getTime() - last;
  return age >= LONGEST_APART_MS || (age >= APART_MS && NIGHT_HOURS.includes(now.getHours()));
}

interface Nightly {
  readonly pool: DatabasePool;
  readonly log: Logger;
  readonly root: string;
  /** How many are kept of a club. */
  readonly most: number;
}

/** Makes the backups that are due. Of servers that share a folder one makes each. */
export async function keepDueBackups({ pool, log, root, most }: Nightly, now: Date): Promise<void> {
  const holder = randomUUID();
  for (const club of await listClubs(pool)) {
    const [newest] = await listKept(root, club.id);
    if (!isDue(newest && new Date(newest.madeAt).getTime(), now)) continue;
    const lease = `nightly:${club.id}`;
    if (!(await takeLease(pool, lease, holder, LEASE_S))) continue;
    try {
      await keepBackup(pool, root, club, { at: now, most });
    } catch (error) {
      log.error({ err: error, club: club.id }, 'the nightly backup was not made');
    } finally {
      await releaseLease(pool, lease, holder);
    }
  }
}
