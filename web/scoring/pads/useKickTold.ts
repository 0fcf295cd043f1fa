import { skipToken, useQuery } from '@tanstack/react-query';
import type { KickTold } from '../../../core/scoring/kickCause.ts';
import type { Drill } from '../../../core/records/drill.ts';
import { middleOf } from '../../../core/shot/directions.ts';
import type { Table } from '../../../core/table/table.ts';
import { kickAskedOf } from '../../planner/kick/kickAsked.ts';
import { kickFamiliesQuery } from '../../planner/kick/kickFamiliesQuery.ts';
import { kickToldOf } from '../../workers/kick.ts';
import type { KickEnd } from '../../workers/kickProtocol.ts';

/**
 * What the places of both balls tell of a kick, taking the drill's surest line for what was planned; undefined until both
 * are there and it is worked out.
 * @param seed, attempt which throw, and at which station
 */
export function useKickTold(
  drill: Drill,
  table: Table,
  seed: number,
  attempt: number,
  ended: KickEnd | undefined,
): KickTold | undefined {
  const asked = kickAskedOf(drill, table, seed, attempt);
  // Asked for at once: it takes longer than a player at the table.
  const { data: families } = useQuery(kickFamiliesQuery(asked));
  const line = families?.[0]?.best;
  const { data } = useQuery({
    queryKey: ['kick told', asked, line?.stroke, ended],
    queryFn:
      asked === undefined || line === undefined || ended === undefined
        ? skipToken
        : () => kickToldOf(asked, { stroke: line.stroke, direction: middleOf(line) }, ended),
    staleTime: Infinity,
    networkMode: 'always',
  });
  return ended === undefined ? undefined : data;
}
