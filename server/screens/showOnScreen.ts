import type { LessonScreen, Shown } from '../../core/records/screen.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import { changeScreen, findScreen, openScreen } from '../db/queries/screens.ts';
import type { Dependencies } from '../dependencies.ts';
import { Refusal } from '../http/errors.ts';
import { newScreenCode } from './code.ts';

/** A code is good for an evening. */
const HOURS = 12;
/** Codes that are tried: that even two in a row are another's never happens. */
const TRIES = 5;

/** Shows something on a lesson's screen; opens it with a code of its own where it is not open. */
export async function showOnScreen(
  { pool, now }: Pick<Dependencies, 'pool' | 'now'>,
  clubId: string,
  lessonId: string,
  shown: Shown,
): Promise<LessonScreen> {
  const at = new Date(now());
  const expiresAt = new Date(now() + HOURS * 3_600_000);
  for (let tried = 0; tried < TRIES; tried++) {
    if (await changeScreen(pool, lessonId, shown, at)) {
      const open = await findScreen(pool, lessonId, at);
      if (open !== undefined) return open;
    }
    try {
      const screen = { lessonId, clubId, code: newScreenCode(), shown, expiresAt, now: at };
      await inTransaction(pool, (db) => openScreen(db, screen));
    } catch (error) {
      // Another lesson has the code, or two devices opened this one at once: the one that is there is changed.
      if (!isDuplicate(error)) throw error;
    }
  }
  throw new Refusal(503, 'no screen could be opened: try again');
}
