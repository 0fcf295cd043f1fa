import { queryOptions, skipToken } from '@tanstack/react-query';
import { executionErrorOf } from '../../../core/player/levels.ts';
import type { Drill } from '../../../core/records/drill.ts';
import type { PlanMoment } from '../../../core/scoring/planMoments.ts';
import type { Table } from '../../../core/table/table.ts';
import { orderAdvisor } from '../../workers/advisor.ts';

/** The level by whose errors a plan judges what was played. */
export const PLANNED_FOR = 'team';

/** What a plan says at a moment of a clearance: each ball with its worth, the best first. */
export function adviceQuery(drill: Drill, table: Table, moment: PlanMoment | undefined) {
  const { task, conditions } = drill;
  const { preset, parameters } = table;
  const cue = moment?.cue;
  return queryOptions({
    queryKey: [
      'order advice',
      preset.id,
      parameters,
      task,
      conditions,
      moment?.state,
      moment?.balls,
      cue,
      moment?.places,
    ],
    queryFn:
      task.kind !== 'clear' || moment === undefined || cue === undefined
        ? skipToken
        : () =>
            orderAdvisor().advise({
              table: { preset, parameters },
              order: task.order,
              conditions,
              error: executionErrorOf(PLANNED_FOR, preset.game),
              state: moment.state,
              balls: moment.balls,
              cue,
              places: moment.places,
            }),
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
}
