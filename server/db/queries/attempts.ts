import type { RowDataPacket } from 'mysql2/promise';
import type { StoredAttempt } from '../../../core/records/club.ts';
import type { Database } from '../pool.ts';

interface AttemptRow extends RowDataPacket {
  id: string;
  round_id: string;
  ordinal: number;
  outcome: StoredAttempt['outcome'];
  landing_x: number | null;
  landing_y: number | null;
  points: number;
  along: number | null;
  across: number | null;
  played_at: Date;
  undone_at: Date | null;
}

const COLUMNS =
  'id, round_id, ordinal, outcome, landing_x, landing_y, points, along, across, played_at, undone_at';

function attemptOf(row: AttemptRow): StoredAttempt {
  return {
    id: row.id,
    ordinal: row.ordinal,
    outcome: row.outcome,
    landing: row.landing_x === null || row.landing_y === null ? null : { x: row.landing_x, y: row.landing_y },
    points: row.points,
    along: row.along,
    across: row.across,
    playedAt: row.played_at.toISOString(),
  };
}

/** The standing attempts of some rounds, by round, in their order. */
export async function listAttempts(
  db: Database,
  roundIds: readonly string[],
): Promise<Map<string, StoredAttempt[]>> {
  const byRound = new Map<string, StoredAttempt[]>();
  if (roundIds.length === 0) return byRound;
  const [rows] = await db.execute<AttemptRow[]>(
    `SELECT ${COLUMNS} FROM attempts
     WHERE undone_at IS NULL AND round_id IN (${roundIds.map(() => '?').join(', ')})
     ORDER BY round_id, ordinal`,
    [...roundIds],
  );
  for (const row of rows) {
    const list = byRound.get(row.round_id) ?? [];
    list.push(attemptOf(row));
    byRound.set(row.round_id, list);
  }
  return byRound;
}

/** An attempt by its id, undone or not, with the round it belongs to. */
export async function findAttempt(
  db: Database,
  id: string,
): Promise<
  { readonly roundId: string; readonly undone: boolean; readonly attempt: StoredAttempt } | undefined
> {
  const [rows] = await db.execute<AttemptRow[]>(`SELECT ${COLUMNS} FROM attempts WHERE id = ?`, [id]);
  const row = rows[0];
  return row && { roundId: row.round_id, undone: row.undone_at !== null, attempt: attemptOf(row) };
}

/** @throws the driver's duplicate error when the id, or the shot of the round, is already there */
export async function insertAttempt(db: Database, roundId: string, attempt: StoredAttempt): Promise<void> {
  await db.execute(
    `INSERT INTO attempts (id, round_id, ordinal, outcome, landing_x, landing_y, points, along, across, played_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      attempt.id,
      roundId,
      attempt.ordinal,
      attempt.outcome,
      attempt.landing?.x ?? null,
      attempt.landing?.y ?? null,
      attempt.points,
      attempt.along,
      attempt.across,
      new Date(attempt.playedAt),
    ],
  );
}

/** Takes an attempt back, or brings it back. @throws the driver's duplicate error when another stands in its place */
export async function setUndone(db: Database, id: string, undoneAt: Date | null): Promise<void> {
  await db.execute('UPDATE attempts SET undone_at = ? WHERE id = ?', [undoneAt, id]);
}
