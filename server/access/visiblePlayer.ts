import { isUuid } from '../../core/records/fields.ts';
import type { Viewer } from '../../core/records/account.ts';
import type { Player } from '../../core/records/player.ts';
import { findPlayer } from '../db/queries/people.ts';
import type { Dependencies } from '../dependencies.ts';
import { notFound } from '../http/errors.ts';

/** A player whom the viewer may see: a coach everybody of the club, a player themselves. @throws Refusal 404 else */
export async function visiblePlayer(deps: Dependencies, viewer: Viewer, id: string): Promise<Player> {
  const allowed = isUuid(id) && (viewer.role === 'coach' || viewer.id === id);
  const player = allowed ? await findPlayer(deps.pool, viewer.clubId, id) : undefined;
  if (player === undefined) throw notFound('this player');
  return player;
}
