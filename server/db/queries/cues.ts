import type { RowDataPacket } from 'mysql2/promise';
import type { Cue, CueDocument } from '../../../core/records/cue.ts';
import { readableRows } from '../damaged.ts';
import type { Database } from '../pool.ts';
import { fromStored, toStored } from '../stored.ts';

interface CueRow extends RowDataPacket {
  id: string;
  document: unknown;
  archived: number;
}

/** The cues of a club by their names. */
export async function listCues(db: Database, clubId: string): Promise<readonly Cue[]> {
  const [rows] = await db.execute<CueRow[]>(
    'SELECT id, document, archived_at IS NOT NULL AS archived FROM cues WHERE club_id = ? ORDER BY name',
    [clubId],
  );
  return readableRows('cues', rows, ({ id, document, archived }) => ({
    id,
    archived: archived === 1,
    document: fromStored('cue', document),
  }));
}

/**
 * Keeps a cue, new or changed. @throws the driver's duplicate error for a name that another cue of the club has
 * @returns false for an id that another club's cue has
 */
export async function storeCue(
  db: Database,
  clubId: string,
  cue: { readonly id: string; readonly document: CueDocument; readonly archivedAt: Date | null },
): Promise<boolean> {
  const { id, document, archivedAt } = cue;
  const [rows] = await db.execute<(RowDataPacket & { club_id: string })[]>(
    'SELECT club_id FROM cues WHERE id = ? FOR UPDATE',
    [id],
  );
  const stored = toStored('cue', document);
  if (rows[0] === undefined) {
    await db.execute('INSERT INTO cues (id, club_id, name, document, archived_at) VALUES (?, ?, ?, ?, ?)', [
      id,
      clubId,
      document.name,
      stored,
      archivedAt,
    ]);
    return true;
  }
  if (rows[0].club_id !== clubId) return false;
  await db.execute('UPDATE cues SET name = ?, document = ?, archived_at = ? WHERE id = ?', [
    document.name,
    stored,
    archivedAt,
    id,
  ]);
  return true;
}

/** Changes what is known of a cue, wherever it is kept. */
export async function changeCue(
  db: Database,
  clubId: string,
  id: string,
  document: CueDocument,
): Promise<void> {
  await db.execute('UPDATE cues SET document = ? WHERE club_id = ? AND id = ?', [
    toStored('cue', document),
    clubId,
    id,
  ]);
}
