import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { Beside, LessonScreen, Shown } from '../../../core/records/screen.ts';
import type { Database } from '../pool.ts';
import { fromStored, toStored } from '../stored.ts';

interface ScreenRow extends RowDataPacket {
  lesson_id: string;
  club_id: string;
  code: string;
  shown: unknown;
  beside: unknown;
  expires_at: Date;
}

const screenOf = ({ code, expires_at, shown }: ScreenRow): LessonScreen => ({
  code,
  expiresAt: expires_at.toISOString(),
  shown: fromStored('shown', shown),
});

/** The screen of a lesson that is still open. */
export async function findScreen(
  db: Database,
  lessonId: string,
  now: Date,
): Promise<LessonScreen | undefined> {
  const [rows] = await db.execute<ScreenRow[]>(
    'SELECT lesson_id, club_id, code, shown, expires_at FROM lesson_screens WHERE lesson_id = ? AND expires_at > ?',
    [lessonId, now],
  );
  return rows[0] && screenOf(rows[0]);
}

/** Whose screen a code opens, what is shown on it and which balls lie beside their places; undefined for a code that is not open. */
export async function screenOfCode(
  db: Database,
  code: string,
  now: Date,
): Promise<
  | { readonly lessonId: string; readonly clubId: string; readonly shown: Shown; readonly beside: Beside }
  | undefined
> {
  const [rows] = await db.execute<ScreenRow[]>(
    'SELECT lesson_id, club_id, code, shown, beside, expires_at FROM lesson_screens WHERE code = ? AND expires_at > ?',
    [code, now],
  );
  const row = rows[0];
  return (
    row && {
      lessonId: row.lesson_id,
      clubId: row.club_id,
      shown: screenOf(row).shown,
      beside: row.beside === null ? [] : fromStored('beside', row.beside),
    }
  );
}

/**
 * Opens a screen with a new code, in place of one that has run out. To be called inside a transaction.
 * @throws the driver's duplicate error for a code that is another's, or a lesson that has an open one
 */
export async function openScreen(
  db: Database,
  screen: {
    readonly lessonId: string;
    readonly clubId: string;
    readonly code: string;
    readonly shown: Shown;
    readonly expiresAt: Date;
    readonly now: Date;
  },
): Promise<void> {
  const { lessonId, clubId, code, shown, expiresAt, now } = screen;
  await db.execute('DELETE FROM lesson_screens WHERE (lesson_id = ? OR code = ?) AND expires_at <= ?', [
    lessonId,
    code,
    now,
  ]);
  await db.execute(
    'INSERT INTO lesson_screens (lesson_id, club_id, code, shown, expires_at) VALUES (?, ?, ?, ?, ?)',
    [lessonId, clubId, code, toStored('shown', shown), expiresAt],
  );
}

/** Changes what an open screen shows. @returns false where none is open */
export async function changeScreen(
  db: Database,
  lessonId: string,
  shown: Shown,
  now: Date,
): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    'UPDATE lesson_screens SET shown = ? WHERE lesson_id = ? AND expires_at > ?',
    [toStored('shown', shown), lessonId, now],
  );
  return result.affectedRows > 0;
}

/** Says on a lesson's screen, where one is open, which balls lie beside their places. */
export async function tellBeside(db: Database, lessonId: string, beside: Beside): Promise<void> {
  await db.execute('UPDATE lesson_screens SET beside = ? WHERE lesson_id = ?', [
    beside.length === 0 ? null : toStored('beside', beside),
    lessonId,
  ]);
}

export async function closeScreen(db: Database, lessonId: string): Promise<void> {
  await db.execute('DELETE FROM lesson_screens WHERE lesson_id = ?', [lessonId]);
}

/** Closes all second screens of a club. */
export async function closeScreensOfClub(db: Database, clubId: string): Promise<void> {
  await db.execute('DELETE FROM lesson_screens WHERE club_id = ?', [clubId]);
}
