import type { RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

/** Made before the first migration, which needs it. */
export const LEASES_TABLE = `CREATE TABLE IF NOT EXISTS leases (
  name VARCHAR(100) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  holder CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  until DATETIME(3) NOT NULL
) ENGINE = InnoDB`;

interface LeaseRow extends RowDataPacket {
  holder: string;
}

/**
 * Takes a lease that is free or has run out, or holds one's own for longer.
 * @param seconds for how long
 * @returns whether it is the holder's now
 */
export async function takeLease(
  db: Database,
  name: string,
  holder: string,
  seconds: number,
): Promise<boolean> {
  // The second assignment sees the holder that the first one left.
  await db.execute(
    `INSERT INTO leases (name, holder, until) VALUES (?, ?, UTC_TIMESTAMP(3) + INTERVAL ? SECOND)
     ON DUPLICATE KEY UPDATE holder = IF(until < UTC_TIMESTAMP(3), VALUES(holder), holder),
       until = IF(holder = VALUES(holder), VALUES(until), until)`,
    [name, holder, seconds],
  );
  const [rows] = await db.execute<LeaseRow[]>('SELECT holder FROM leases WHERE name = ?', [name]);
  return rows[0]?.holder === holder;
}

export async function releaseLease(db: Database, name: string, holder: string): Promise<void> {
  await db.execute('DELETE FROM leases WHERE name = ? AND holder = ?', [name, holder]);
}
