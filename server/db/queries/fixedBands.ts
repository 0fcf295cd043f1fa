import type { RowDataPacket } from 'mysql2/promise';
import { readable } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

/** The least results that reach each level, as a club's coach has set them; null for a level without one. */
type Bands = readonly (number | null)[];

interface BandsRow extends RowDataPacket {
  document: unknown;
}

export async function findFixedBands(
  db: Database,
  clubId: string,
  drill: string,
  stage: number,
): Promise<(number | null)[] | undefined> {
  const [rows] = await db.execute<BandsRow[]>(
    'SELECT document FROM fixed_bands WHERE club_id = ? AND drill = ? AND stage = ?',
    [clubId, drill, stage],
  );
  const row = rows[0];
  // Marks that cannot be read are none: the coach sets them anew.
  return (
    row && readable('fixed_bands', `${drill} ${String(stage)}`, () => fromStored('bands', row.document).from)
  );
}

/** Keeps the bands; those without a single number are taken away. */
export async function storeFixedBands(
  db: Database,
  clubId: string,
  drill: string,
  stage: number,
  from: Bands,
): Promise<void> {
  if (from.every((each) => each === null)) {
    await db.execute('DELETE FROM fixed_bands WHERE club_id = ? AND drill = ? AND stage = ?', [
      clubId,
      drill,
      stage,
    ]);
    return;
  }
  await db.execute(
    'INSERT INTO fixed_bands (club_id, drill, stage, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE document = VALUES(document)',
    [clubId, drill, stage, toStored('bands', { from })],
  );
}
