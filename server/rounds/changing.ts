import { findAttempt, type KnownAttempt } from '../db/queries/attempts.ts';
import {
  completeRound,
  findRoundHead,
  lockRoundHead,
  storeResult,
  type KeptResult,
  type RoundHead,
} from '../db/queries/rounds.ts';
import { forgetOverview } from '../db/queries/playerOverviews.ts';
import { inTransaction, type Database, type DatabasePool } from '../db/pool.ts';
import { notFound } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { drillOfRound, keptOf } from './counting.ts';

/** What a round comes to as its attempts stand. */
export async function currentResult(db: Database, clubId: string, head: RoundHead): Promise<KeptResult> {
  const { attempts } = await completeRound(db, head);
  return keptOf(await drillOfRound(db, clubId, head), head, attempts);
}

/**
 * Changes a round while nobody else does. The round's row is locked before anything of it is read, and whatever the change
 * was, what is kept of an ended round is counted anew before it is let go: result and attempts never part.
 * @param before the round as whoever asks may see it
 * @param ends whether the change may end the round
 * @throws Refusal 404 for a round that the club does not have
 */
export function changeRound<T>(
  pool: DatabasePool,
  clubId: string,
  before: RoundHead,
  change: (db: Database, head: RoundHead) => Promise<T>,
  ends = false,
): Promise<T> {
  return inTransaction(pool, async (db) => {
    const head = await lockRoundHead(db, clubId, before);
    if (head === undefined) throw notFound('this round');
    const done = await change(db, head);
    // An open round has nothing that is kept, unless the change was its end.
    if (head.endedAt !== null || ends) {
      await recount(db, clubId, head.id);
      await forgetOverview(db, head.player.id);
    }
    return done;
  });
}

/** Keeps what an ended round comes to now. Its row is locked. */
async function recount(db: Database, clubId: string, id: string): Promise<void> {
  const head = await findRoundHead(db, clubId, id);
  if (head === undefined || head.endedAt === null) return;
  await storeResult(db, id, await currentResult(db, clubId, head));
}

/** An attempt of the round, undone or not. @throws Refusal 404 for another's */
export async function attemptOf(db: Database, round: RoundHead, id: string): Promise<KnownAttempt> {
  const known = await findAttempt(db, requireUuid(id, 'attempt'));
  if (known === undefined || known.roundId !== round.id) throw notFound('this attempt');
  return known;
}
