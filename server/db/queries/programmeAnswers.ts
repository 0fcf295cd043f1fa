import type { RowDataPacket } from 'mysql2/promise';
import type { AnsweredProposal, KeptAnswer } from '../../../core/records/programmeProposal.ts';
import type { Database } from '../pool.ts';
import { fromStored, toStored } from '../stored.ts';

interface AnswerRow extends RowDataPacket {
  answer_key: string;
  accepted: number;
  answered_at: Date;
  person: string;
  document: unknown;
}

/** So many of the newest answers are told. */
const TOLD = 20;

/** The answers to what was proposed for a programme, the newest first. */
export async function listAnswers(db: Database, programmeId: string): Promise<AnsweredProposal[]> {
  const [rows] = await db.execute<AnswerRow[]>(
    `SELECT a.answer_key, a.accepted, a.answered_at, p.name AS person, a.document
     FROM programme_answers a JOIN people p ON p.id = a.person_id
     WHERE a.programme_id = ? ORDER BY a.answered_at DESC, a.answer_key LIMIT ${String(TOLD)}`,
    [programmeId],
  );
  return rows.map((row) => {
    const { proposal } = fromStored('programmeAnswer', row.document);
    return {
      key: row.answer_key,
      kind: proposal.kind,
      drill: proposal.drill,
      entries: proposal.changes.length,
      accepted: row.accepted === 1,
      by: row.person,
      at: row.answered_at.toISOString(),
    };
  });
}

/** The keys of everything that was answered. */
export async function listAnsweredKeys(db: Database, programmeId: string): Promise<ReadonlySet<string>> {
  const [rows] = await db.execute<(RowDataPacket & { answer_key: string })[]>(
    'SELECT answer_key FROM programme_answers WHERE programme_id = ?',
    [programmeId],
  );
  return new Set(rows.map((row) => row.answer_key));
}

export async function findAnswer(
  db: Database,
  programmeId: string,
  key: string,
): Promise<{ readonly accepted: boolean; readonly kept: KeptAnswer } | undefined> {
  const [rows] = await db.execute<AnswerRow[]>(
    'SELECT accepted, document FROM programme_answers WHERE programme_id = ? AND answer_key = ?',
    [programmeId, key],
  );
  const row = rows[0];
  return row && { accepted: row.accepted === 1, kept: fromStored('programmeAnswer', row.document) };
}

export async function insertAnswer(
  db: Database,
  answer: {
    readonly programmeId: string;
    readonly personId: string;
    readonly accepted: boolean;
    readonly at: Date;
    readonly kept: KeptAnswer;
  },
): Promise<void> {
  const { programmeId, personId, accepted, at, kept } = answer;
  await db.execute(
    `INSERT INTO programme_answers (programme_id, answer_key, person_id, accepted, answered_at, document)
     VALUES (?, ?, ?, ?, ?, ?)`,
    [programmeId, kept.proposal.key, personId, accepted, at, toStored('programmeAnswer', kept)],
  );
}

export async function deleteAnswer(db: Database, programmeId: string, key: string): Promise<void> {
  await db.execute('DELETE FROM programme_answers WHERE programme_id = ? AND answer_key = ?', [
    programmeId,
    key,
  ]);
}
