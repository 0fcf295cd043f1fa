import type { Viewer } from '../../core/records/account.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { listConflicts } from '../db/queries/attempts.ts';
import { completeRound, findUnderWay, type RoundHead } from '../db/queries/rounds.ts';
import type { Dependencies } from '../dependencies.ts';
import { notFound } from '../http/errors.ts';
import { stateOf, type PlayedTable } from '../tables/states.ts';
import { drillOfRound, withResult } from './counting.ts';

/** The table as it was when the round was opened. */
export async function tableOf(deps: Dependencies, viewer: Viewer, round: RoundHead): Promise<PlayedTable> {
  const played = await stateOf(deps.pool, viewer.clubId, round.table);
  if (played === undefined) throw notFound('the table of this round');
  return played;
}

/** All that a device needs to go on with a round. */
export async function openRoundOf(deps: Dependencies, viewer: Viewer, head: RoundHead): Promise<OpenRound> {
  const { state } = await tableOf(deps, viewer, head);
  const { document } = await drillOfRound(deps.pool, viewer.clubId, head);
  return {
    round: await withResult(deps.pool, viewer.clubId, await completeRound(deps.pool, head)),
    document,
    tableState: state,
    underWay: await findUnderWay(deps.pool, head.id),
    conflicts: [...(await listConflicts(deps.pool, head.id))],
  };
}
