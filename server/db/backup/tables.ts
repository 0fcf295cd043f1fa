import { CLUB_TABLES } from './clubTables.ts';
import { PLAY_TABLES } from './playTables.ts';
import type { BackupTable } from './columns.ts';

/** Everything of a club, each table after those that it refers to. Sessions, codes and what can be computed stay behind. */
export const BACKUP_TABLES: readonly BackupTable[] = [...CLUB_TABLES, ...PLAY_TABLES];

/** A table of a backup by its name. */
export function backupTable(name: string): BackupTable {
  const table = BACKUP_TABLES.find((each) => each.name === name);
  if (table === undefined) throw new Error(`backupTable: a backup has no table ${name}`);
  return table;
}
