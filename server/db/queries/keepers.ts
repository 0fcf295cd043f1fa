import type { RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

/** Those of a club who look after the installation. */
export async function keepersOf(db: Database, clubId: string): Promise<readonly string[]> {
  const [rows] = await db.execute<(RowDataPacket & { id: string })[]>(
    'SELECT id FROM people WHERE club_id = ? AND keeper',
    [clubId],
  );
  return rows.map(({ id }) => id);
}

/**
 * Those who looked after the installation do so again, as far as they are still coaches. A file never says who does:
 * only where nobody is left it is the coach who has been here longest.
 */
export async function keepKeepers(db: Database, ids: readonly string[]): Promise<void> {
  for (const id of ids) {
    await db.execute(
      `UPDATE people SET keeper = TRUE WHERE id = ? AND role = 'coach' AND archived_at IS NULL`,
      [id],
    );
  }
  const [left] = await db.execute<RowDataPacket[]>('SELECT id FROM people WHERE keeper LIMIT 1');
  if (left.length > 0) return;
  await db.execute(
    `UPDATE people SET keeper = TRUE WHERE role = 'coach' AND archived_at IS NULL ORDER BY created_at, id LIMIT 1`,
  );
}
