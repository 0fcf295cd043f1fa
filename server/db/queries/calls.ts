import type { RowDataPacket } from 'mysql2/promise';
import {
  calledSchema,
  callSchema,
  type Called,
  type NewCall,
  type StoredCall,
} from '../../../core/records/call.ts';
import { readableRows, wholeRow } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

interface CallRow extends RowDataPacket {
  id: string;
  player_id: string;
  kind: string;
  preset: string;
  source: unknown;
  answer: unknown;
  score: number;
  coach_answer: unknown;
  coach_score: number | null;
  called_at: Date;
}

const COLUMNS =
  'c.id, c.player_id, c.kind, c.preset, c.source, c.answer, c.score, c.coach_answer, c.coach_score, c.called_at';

function callOf(row: CallRow): StoredCall {
  return callSchema.validateSync({
    id: row.id,
    kind: row.kind,
    preset: row.preset,
    source: fromStored('source', row.source),
    answer: fromStored('answer', row.answer),
    score: row.score,
    coach:
      row.coach_score === null
        ? null
        : { answer: fromStored('answer', row.coach_answer), score: row.coach_score },
    calledAt: row.called_at.toISOString(),
  });
}

/** The newest calls of a player of a club. */
export async function listCalls(
  db: Database,
  clubId: string,
  playerId: string,
  most: number,
): Promise<readonly StoredCall[]> {
  const [rows] = await db.execute<CallRow[]>(
    `SELECT ${COLUMNS} FROM calls c JOIN people p ON p.id = c.player_id
     WHERE p.club_id = ? AND c.player_id = ? ORDER BY c.called_at DESC, c.id LIMIT ${String(Math.trunc(most))}`,
    [clubId, playerId],
  );
  return readableRows('calls', rows, callOf);
}

interface CalledRow extends RowDataPacket {
  called_at: Date;
  kind: string;
  preset: string;
  source: unknown;
  score: number;
}

/** How right a player's calls of a period were and what was asked, oldest first. */
export async function listCalled(
  db: Database,
  playerId: string,
  { from, to }: { readonly from: Date; readonly to: Date },
): Promise<readonly (Called & { readonly at: Date })[]> {
  const [rows] = await db.execute<CalledRow[]>(
    `SELECT called_at, kind, preset, source, score FROM calls
     WHERE player_id = ? AND called_at BETWEEN ? AND ? ORDER BY called_at`,
    [playerId, from, to],
  );
  return readableRows('calls', rows, ({ called_at: at, kind, preset, source, score }) => ({
    at,
    ...calledSchema.validateSync({ kind, preset, source: fromStored('source', source), score }),
  }));
}

/** A call by its id, with whose it is; of any club, so that an id is never used twice. */
export async function findCall(
  db: Database,
  id: string,
): Promise<{ readonly call: StoredCall; readonly playerId: string } | undefined> {
  const [rows] = await db.execute<CallRow[]>(`SELECT ${COLUMNS} FROM calls c WHERE c.id = ?`, [id]);
  const row = rows[0];
  return row && { call: wholeRow('call', () => callOf(row)), playerId: row.player_id };
}

/** Keeps a call; one of the same id that is already there stays. */
export async function insertCall(db: Database, id: string, call: NewCall): Promise<void> {
  await db.execute(
    `INSERT INTO calls
       (id, player_id, kind, preset, source, answer, score, coach_answer, coach_score, called_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON DUPLICATE KEY UPDATE id = id`,
    [
      id,
      call.playerId,
      call.kind,
      call.preset,
      toStored('source', call.source),
      toStored('answer', call.answer),
      call.score,
      call.coach === null ? null : toStored('answer', call.coach.answer),
      call.coach?.score ?? null,
      new Date(call.calledAt),
    ],
  );
}
