import { createHash } from 'node:crypto';
import type { LongConnection } from '../db/longConnection.ts';
import { readRows } from '../db/backup/rows.ts';
import { BACKUP_TABLES } from '../db/backup/tables.ts';

export const BACKUP_FORMAT = 'jolly-rail/club';
export const BACKUP_VERSION = 2;

/** What stands before the tables of a backup. */
export interface BackupHead {
  readonly format: string;
  readonly version: number;
  readonly madeAt: string;
  readonly club: { readonly id: string; readonly name: string };
}

/** A digest of everything that a backup says, counted up as it is written or read. */
export class BackupDigest {
  readonly #hash = createHash('sha256');

  head({ format, version, madeAt, club }: BackupHead): void {
    this.#hash.update(JSON.stringify([format, version, madeAt, club.id, club.name]));
  }

  table(name: string): void {
    this.#hash.update(`\n${name}\n`);
  }

  /** @param text the row as JSON, as JavaScript writes it */
  row(text: string): void {
    this.#hash.update(`${text}\n`);
  }

  value(): string {
    return this.#hash.digest('hex');
  }
}

/** A backup of a club as JSON text, piece by piece, as everything stood at one moment; its digest stands at its end. */
export async function* backupPieces(
  snapshot: LongConnection,
  club: { readonly id: string; readonly name: string },
  madeAt: Date,
): AsyncGenerator<string, void> {
  const digest = new BackupDigest();
  const { id, name } = club;
  const head = {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    madeAt: madeAt.toISOString(),
    club: { id, name },
  };
  digest.head(head);
  yield `${JSON.stringify(head).slice(0, -1)},"tables":{`;
  for (const [i, table] of BACKUP_TABLES.entries()) {
    digest.table(table.name);
    yield `${i === 0 ? '' : ','}\n"${table.name}":[`;
    let first = true;
    for await (const rows of readRows(snapshot, table, club.id)) {
      const texts = rows.map((row) => JSON.stringify(row));
      for (const text of texts) digest.row(text);
      yield `${first ? '' : ','}\n${texts.join(',\n')}`;
      first = false;
    }
    yield ']';
  }
  yield `},\n"digest":"${digest.value()}"}\n`;
}
