import type { RowDataPacket } from 'mysql2/promise';
import type { Lesson, LessonDocument } from '../../../core/records/lesson.ts';
import { readableRows, wholeRow } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

interface LessonRow extends RowDataPacket {
  id: string;
  version: number;
  held_by: string;
  holder: string;
  archived_at: Date | null;
  document: unknown;
}

const SELECT = `SELECT l.id, l.version, l.held_by, p.name AS holder, l.archived_at, l.document
  FROM lessons l JOIN people p ON p.id = l.held_by`;

function lessonOf(row: LessonRow): Lesson {
  return {
    id: row.id,
    version: row.version,
    heldBy: { id: row.held_by, name: row.holder },
    archived: row.archived_at !== null,
    document: fromStored('lesson', row.document),
  };
}

export async function findLesson(db: Database, clubId: string, id: string): Promise<Lesson | undefined> {
  const [rows] = await db.execute<LessonRow[]>(`${SELECT} WHERE l.club_id = ? AND l.id = ?`, [clubId, id]);
  const row = rows[0];
  return row && wholeRow('lesson', () => lessonOf(row));
}

/** A club's lessons, the newest day first. @param personId only those that somebody is in */
export async function listLessons(
  db: Database,
  clubId: string,
  which: { readonly personId: string | undefined; readonly limit: number },
): Promise<Lesson[]> {
  const { personId = null, limit } = which;
  const [rows] = await db.execute<LessonRow[]>(
    `${SELECT} WHERE l.club_id = ? AND (? IS NULL
        OR EXISTS (SELECT 1 FROM lesson_people lp WHERE lp.lesson_id = l.id AND lp.person_id = ?))
     ORDER BY l.day DESC, l.changed_at DESC LIMIT ${String(Math.trunc(limit))}`,
    [clubId, personId, personId],
  );
  return readableRows('lessons', rows, lessonOf);
}

/** The lessons of an evening, a table each, those that were put away left out. */
export async function lessonsOfEvening(db: Database, clubId: string, eveningId: string): Promise<Lesson[]> {
  const [rows] = await db.execute<LessonRow[]>(
    `${SELECT} WHERE l.club_id = ? AND JSON_VALUE(l.document, '$.evening.id') = ? AND l.archived_at IS NULL
     ORDER BY l.id`,
    [clubId, eveningId],
  );
  return readableRows('lessons', rows, lessonOf);
}

/** @throws the driver's duplicate error when the id is already there */
export async function insertLesson(
  db: Database,
  lesson: {
    readonly id: string;
    readonly clubId: string;
    readonly heldBy: string;
    readonly document: LessonDocument;
  },
): Promise<void> {
  const { id, clubId, heldBy, document } = lesson;
  await db.execute(
    'INSERT INTO lessons (id, club_id, held_by, version, document, day) VALUES (?, ?, ?, 1, ?, ?)',
    [id, clubId, heldBy, toStored('lesson', document), document.day],
  );
  await namePeople(db, id, document);
}

/** Stores a new version of a lesson, if it was written on the newest one. */
export async function updateLesson(
  db: Database,
  id: string,
  basedOn: number,
  document: LessonDocument,
): Promise<boolean> {
  const [result] = await db.execute(
    `UPDATE lessons SET version = version + 1, document = ?, day = ?, changed_at = CURRENT_TIMESTAMP(3)
     WHERE id = ? AND version = ?`,
    [toStored('lesson', document), document.day, id, basedOn],
  );
  if (!('affectedRows' in result) || result.affectedRows === 0) return false;
  await namePeople(db, id, document);
  return true;
}

async function namePeople(db: Database, id: string, { playerIds }: LessonDocument): Promise<void> {
  await db.execute('DELETE FROM lesson_people WHERE lesson_id = ?', [id]);
  for (const playerId of playerIds) {
    await db.execute('INSERT INTO lesson_people (lesson_id, person_id) VALUES (?, ?)', [id, playerId]);
  }
}

/** Puts a lesson away, or brings it back. */
export async function archiveLesson(db: Database, id: string, archivedAt: Date | null): Promise<void> {
  await db.execute('UPDATE lessons SET archived_at = ? WHERE id = ?', [archivedAt, id]);
}
