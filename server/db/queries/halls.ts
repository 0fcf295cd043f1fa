import type { RowDataPacket } from 'mysql2/promise';
import type { Hall } from '../../../core/records/hall.ts';
import type { Database } from '../pool.ts';

interface HallRow extends RowDataPacket {
  id: string;
  name: string;
  archived: number;
}

export async function listHalls(db: Database, clubId: string): Promise<readonly Hall[]> {
  const [rows] = await db.execute<HallRow[]>(
    'SELECT id, name, archived_at IS NOT NULL AS archived FROM halls WHERE club_id = ? ORDER BY name',
    [clubId],
  );
  return rows.map(({ id, name, archived }) => ({ id, name, archived: archived === 1 }));
}

/**
 * Keeps a hall, new or changed. @throws the driver's duplicate error for a name that another hall of the club has
 * @returns false for an id that another club's hall has
 */
export async function storeHall(
  db: Database,
  clubId: string,
  hall: { readonly id: string; readonly name: string; readonly archivedAt: Date | null },
): Promise<boolean> {
  const [rows] = await db.execute<(RowDataPacket & { club_id: string })[]>(
    'SELECT club_id FROM halls WHERE id = ? FOR UPDATE',
    [hall.id],
  );
  if (rows[0] === undefined) {
    await db.execute('INSERT INTO halls (id, club_id, name, archived_at) VALUES (?, ?, ?, ?)', [
      hall.id,
      clubId,
      hall.name,
      hall.archivedAt,
    ]);
    return true;
  }
  if (rows[0].club_id !== clubId) return false;
  await db.execute('UPDATE halls SET name = ?, archived_at = ? WHERE id = ?', [
    hall.name,
    hall.archivedAt,
    hall.id,
  ]);
  return true;
}
