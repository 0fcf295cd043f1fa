import { skipToken, useQuery } from '@tanstack/react-query';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill, type PositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { ScreenPicture } from '../../core/records/screen.ts';
import { solvePlan } from '../workers/solver.ts';

export interface ShownPlan {
  /** The drill with its planned stroke; undefined for one that has none. */
  readonly drill: PositionDrill | undefined;
  /** Worked out on this device while the plan is shown. */
  readonly plan: PlannedShot | undefined;
  readonly hasFailed: boolean;
}

/** The planned stroke of the block that is played, on the lesson's table as it plays now. */
export function useShownPlan({ block, shown, card, conditions }: ScreenPicture): ShownPlan {
  const staged = block === null ? undefined : atStage(block.drill, block.stage);
  const drill = staged !== undefined && isPositionDrill(staged) ? staged : undefined;
  const on = { card, conditions: conditions?.conditions ?? null };
  const plan = useQuery({
    queryKey: ['plan on a screen', on, drill],
    queryFn: shown.view === 'plan' && drill !== undefined ? () => solvePlan(drill, on) : skipToken,
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
  return { drill, plan: plan.data, hasFailed: plan.isError };
}
