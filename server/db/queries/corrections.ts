import type { RowDataPacket } from 'mysql2/promise';
import { removedRoundSchema, type RemovedRound } from '../../../core/records/corrections.ts';
import { readable } from '../damaged.ts';
import type { Database } from '../pool.ts';

/** Puts a round away, or brings it back. */
export async function setRemoved(db: Database, id: string, removedAt: Date | null): Promise<void> {
  await db.execute('UPDATE rounds SET removed_at = ? WHERE id = ?', [removedAt, id]);
}

/** Gives a round to another player of the club; a lesson in which that one is not lets go of it. */
export async function moveRound(db: Database, id: string, playerId: string): Promise<void> {
  await db.execute(
    `UPDATE rounds SET player_id = ?,
       block_id = IF(lesson_id IN (SELECT lesson_id FROM lesson_people WHERE person_id = ?), block_id, NULL),
       lesson_id = IF(lesson_id IN (SELECT lesson_id FROM lesson_people WHERE person_id = ?), lesson_id, NULL)
     WHERE id = ?`,
    [playerId, playerId, playerId, id],
  );
}

interface RemovedRow extends RowDataPacket {
  id: string;
  player_id: string;
  player: string;
  drill: string;
  started_at: Date;
  removed_at: Date;
}

/** The rounds of a club that were put away, the newest first. */
export async function listRemoved(
  db: Database,
  clubId: string,
  limit: number,
): Promise<readonly RemovedRound[]> {
  const [rows] = await db.execute<RemovedRow[]>(
    `SELECT r.id, r.player_id, p.name AS player, r.drill, r.started_at, r.removed_at
     FROM rounds r JOIN people p ON p.id = r.player_id
     WHERE r.club_id = ? AND r.removed_at IS NOT NULL ORDER BY r.removed_at DESC LIMIT ${String(Math.trunc(limit))}`,
    [clubId],
  );
  return rows.flatMap(
    (row) =>
      readable('rounds', row.id, () =>
        removedRoundSchema.validateSync({
          id: row.id,
          playerId: row.player_id,
          player: row.player,
          drill: row.drill,
          startedAt: row.started_at.toISOString(),
          removedAt: row.removed_at.toISOString(),
        }),
      ) ?? [],
  );
}

/** Whether the club has a round that was put away, or one that was not; held until the transaction is over. */
export async function lockAnyRound(
  db: Database,
  clubId: string,
  id: string,
): Promise<{ readonly playerId: string; readonly removed: boolean } | undefined> {
  const [rows] = await db.execute<(RowDataPacket & { player_id: string; removed: number })[]>(
    'SELECT player_id, removed_at IS NOT NULL AS removed FROM rounds WHERE club_id = ? AND id = ? FOR UPDATE',
    [clubId, id],
  );
  return rows[0] && { playerId: rows[0].player_id, removed: rows[0].removed === 1 };
}
