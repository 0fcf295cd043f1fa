import { useQuery } from '@tanstack/react-query';
import { atStage } from '../../../core/drill/stage.ts';
import type { Condition } from '../../../core/records/drill.ts';
import { drillsQuery } from '../../api/drills.ts';
import { useViewer } from '../../api/viewer.ts';
import { isPlanKept } from '../../planner/order/isKept.ts';
import type { ClearOrder } from './orderSetting.ts';

/** What a drill asks of a clearance. */
export interface DrillRules {
  readonly title: string;
  readonly order: ClearOrder;
  readonly conditions: readonly Condition[];
}

/** The rules of the drill that the address names, at its stage; undefined for none. */
export function useDrillRules(params: URLSearchParams): DrillRules | undefined {
  const slug = params.get('drill');
  const drills = useQuery({ ...drillsQuery, enabled: slug !== null });
  const drill = drills.data?.find(({ document }) => document.slug === slug)?.document;
  const stage = Number(params.get('stage') ?? 1);
  const viewer = useViewer();
  if (drill?.task.kind !== 'clear' || isPlanKept(viewer, drill) || drill.stages[stage - 1] === undefined)
    return undefined;
  const { title, conditions } = atStage(drill, stage);
  return { title, order: drill.task.order, conditions };
}
