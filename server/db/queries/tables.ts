import type { RowDataPacket } from 'mysql2/promise';
import type { ClubTable } from '../../../core/records/club.ts';
import type { Database } from '../pool.ts';

interface TableRow extends RowDataPacket {
  id: string;
  name: string;
  preset: ClubTable['preset'];
}

function tableOf({ id, name, preset }: TableRow): ClubTable {
  return { id, name, preset };
}

export async function insertTable(db: Database, clubId: string, table: ClubTable): Promise<void> {
  await db.execute('INSERT INTO tables (id, club_id, name, preset) VALUES (?, ?, ?, ?)', [
    table.id,
    clubId,
    table.name,
    table.preset,
  ]);
}

export async function listTables(db: Database, clubId: string): Promise<ClubTable[]> {
  const [rows] = await db.execute<TableRow[]>(
    'SELECT id, name, preset FROM tables WHERE club_id = ? ORDER BY name',
    [clubId],
  );
  return rows.map(tableOf);
}

export async function findTable(db: Database, clubId: string, id: string): Promise<ClubTable | undefined> {
  const [rows] = await db.execute<TableRow[]>(
    'SELECT id, name, preset FROM tables WHERE club_id = ? AND id = ?',
    [clubId, id],
  );
  return rows[0] && tableOf(rows[0]);
}
