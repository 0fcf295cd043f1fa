import type { CalledInRounds } from '../../core/records/callRounds.ts';
import { listCallsOfRounds, type CallOfRound } from '../db/queries/attempts.ts';
import type { Database } from '../db/pool.ts';
import { readableRevision } from '../db/queries/drills.ts';

/** So many of the newest calls stand for how it goes now. */
const NEWEST = 10;

const share = (calls: readonly CallOfRound[]) => ({
  calls: calls.length,
  right: calls.filter(({ right }) => right).length,
});

/** What a player called in rounds, by the question of the drill. */
export async function callRoundsOf(
  db: Database,
  clubId: string,
  playerId: string,
): Promise<readonly CalledInRounds[]> {
  const byQuestion = new Map<CalledInRounds['question'], CallOfRound[]>();
  for (const call of await listCallsOfRounds(db, clubId, playerId)) {
    const entry = await readableRevision(db, call.drillOwner, call.drill, call.revision);
    if (entry?.document.task.kind !== 'call') continue;
    const { question } = entry.document.task;
    byQuestion.set(question, [...(byQuestion.get(question) ?? []), call]);
  }
  return [...byQuestion].map(([question, calls]) => ({
    question,
    ...share(calls),
    newest: share(calls.slice(0, NEWEST)),
  }));
}
