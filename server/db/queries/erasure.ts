import type { RowDataPacket } from 'mysql2/promise';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';
import { deleteSessionsOf } from './sessions.ts';

/** What stands in the place of a name. */
export const ERASED_NAME = 'A former player';

/** What is only about the player: it goes as a whole. Each statement takes the player's id. */
const GOES: readonly string[] = [
  'DELETE FROM player_overviews WHERE person_id = ?',
  `DELETE c FROM attempt_changes c JOIN attempts a ON a.id = c.attempt_id JOIN rounds r ON r.id = a.round_id
   WHERE r.player_id = ?`,
  'DELETE a FROM attempts a JOIN rounds r ON r.id = a.round_id WHERE r.player_id = ?',
  // An open round has come to nothing yet that the club could count; one that was put away is not counted.
  'DELETE FROM rounds WHERE player_id = ? AND (ended_at IS NULL OR removed_at IS NOT NULL)',
  'DELETE FROM calls WHERE player_id = ?',
  'DELETE t FROM programme_ticks t JOIN programmes g ON g.id = t.programme_id WHERE g.player_id = ?',
  'DELETE a FROM programme_answers a JOIN programmes g ON g.id = a.programme_id WHERE g.player_id = ?',
  'DELETE FROM programmes WHERE player_id = ?',
  'DELETE FROM reports WHERE player_id = ?',
  'DELETE FROM favourite_drills WHERE person_id = ?',
  'DELETE FROM sign_in_codes WHERE person_id = ?',
  'DELETE FROM known_devices WHERE person_id = ?',
];

interface LessonRow extends RowDataPacket {
  id: string;
  document: unknown;
}

/** Takes a player out of the lessons of a group; those that they had alone go. Of a lesson with others its words go. */
async function leaveLessons(db: Database, playerId: string): Promise<void> {
  const [rows] = await db.execute<LessonRow[]>(
    `SELECT l.id, l.document FROM lessons l JOIN lesson_people lp ON lp.lesson_id = l.id
     WHERE lp.person_id = ? FOR UPDATE`,
    [playerId],
  );
  await db.execute('UPDATE rounds SET lesson_id = NULL, block_id = NULL WHERE player_id = ?', [playerId]);
  await db.execute('DELETE FROM lesson_people WHERE person_id = ?', [playerId]);
  for (const { id, document } of rows) {
    const lesson = fromStored('lesson', document);
    const playerIds = lesson.playerIds.filter((each) => each !== playerId);
    if (playerIds.length === 0) {
      await db.execute('DELETE FROM lesson_people WHERE lesson_id = ?', [id]);
      await db.execute('DELETE FROM lessons WHERE id = ?', [id]);
      continue;
    }
    const blocks = lesson.blocks
      .filter((block) => block.playerId !== playerId)
      .map((block) => ({ ...block, note: '' }));
    await db.execute('UPDATE lessons SET document = ?, version = version + 1 WHERE id = ?', [
      toStored('lesson', { ...lesson, playerIds, blocks, summary: '' }),
      id,
    ]);
  }
}

/**
 * Erases a player for good: their shots, calls, programmes, reports, notes and sign-in. What their ended rounds came to
 * stays for the sums of the club, under no name. To be called inside a transaction.
 */
export async function erasePlayer(db: Database, clubId: string, playerId: string, now: Date): Promise<void> {
  await db.execute('SELECT id FROM rounds WHERE player_id = ? FOR UPDATE', [playerId]);
  await leaveLessons(db, playerId);
  for (const statement of GOES) await db.execute(statement, [playerId]);
  // When exactly somebody played is theirs; of which month it was is enough for a sum.
  await db.execute(
    `UPDATE rounds SET under_way = NULL, under_way_at = NULL, advice = NULL, reopened_end = NULL,
       started_at = DATE_FORMAT(started_at, '%Y-%m-01'), ended_at = DATE_FORMAT(ended_at, '%Y-%m-01')
     WHERE player_id = ?`,
    [playerId],
  );
  await deleteSessionsOf(db, playerId);
  // Lessons that they held by themselves are gone with them; one of a group is the club's.
  await db.execute(
    `UPDATE people SET name = ?, hand = 'right', email = NULL, password_hash = NULL, may_rewrite = FALSE,
       archived_at = COALESCE(archived_at, ?), erased_at = ?
     WHERE club_id = ? AND id = ? AND role = 'player'`,
    [ERASED_NAME, now, now, clubId, playerId],
  );
  // What was told of them in reasons goes, too.
  await db.execute(
    `UPDATE audit SET reason = NULL WHERE club_id = ? AND (subject_id = ? OR other_id = ?
       OR subject_id IN (SELECT id FROM rounds WHERE player_id = ?))`,
    [clubId, playerId, playerId, playerId],
  );
}

interface FieldRow extends RowDataPacket {
  name: string;
  hand: string;
  email: string | null;
  created_at: Date;
  archived_at: Date | null;
}

/** What is kept of a person in their own row, but for the password. */
export async function ownRow(db: Database, playerId: string): Promise<Readonly<Record<string, unknown>>> {
  const [rows] = await db.execute<FieldRow[]>(
    'SELECT name, hand, email, created_at, archived_at FROM people WHERE id = ?',
    [playerId],
  );
  return { ...rows[0] };
}
