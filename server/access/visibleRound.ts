import type { Viewer } from '../../core/records/account.ts';
import { mayRewrite } from '../db/queries/people.ts';
import { findRoundHead, type RoundHead } from '../db/queries/rounds.ts';
import type { Database } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';

/** The round, if the viewer may see its player. @throws Refusal 404 else */
export async function visibleRound(deps: Dependencies, viewer: Viewer, id: string): Promise<RoundHead> {
  const round = await findRoundHead(deps.pool, viewer.clubId, requireUuid(id, 'round'));
  if (round === undefined || (viewer.role !== 'coach' && round.player.id !== viewer.id)) {
    throw notFound('this round');
  }
  return round;
}

/**
 * Whether the viewer may change what somebody entered: coaches may, and players what they entered themselves, unless a
 * coach lets them change more. @throws Refusal 403 else
 */
export async function requireMayRewrite(
  db: Database,
  viewer: Viewer,
  enteredBy: string | null,
): Promise<void> {
  if (viewer.role === 'coach' || enteredBy === null || enteredBy === viewer.id) return;
  if (await mayRewrite(db, viewer.id)) return;
  throw new Refusal(403, 'a coach entered this: ask them to change it, or to let you');
}
