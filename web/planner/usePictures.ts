import { useDebouncedValue } from '@mantine/hooks';
import { quickPlanner } from '../workers/planner.ts';
import type {
  NoPicture,
  PlannedStroke,
  PositionQuestion,
  ShotPicture,
} from '../../core/planning/position/question.ts';
import { useLatest } from './useLatest.ts';

/** How long a position has to stand before the long answers are asked for, ms. */
export const STILL_MS = 350;
/** Executions of the cloud while a ball is moved. */
const ROUGH_CLOUD = 120;

/**
 * What a stroke at a position does: roughly while anything is moved, exactly once it stands still.
 * @param enough whether there are balls enough to ask about
 */
export function usePictures(question: PositionQuestion, stroke: PlannedStroke, enough: boolean) {
  const key = JSON.stringify([question, stroke]);
  const [settled] = useDebouncedValue(key, STILL_MS);
  const still = settled === key && enough;
  const rough = useLatest<ShotPicture | NoPicture>(enough ? key : undefined, async () =>
    quickPlanner().picture(question, stroke, true),
  );
  const exact = useLatest<ShotPicture | NoPicture>(still ? key : undefined, async () =>
    quickPlanner().picture(question, stroke, false),
  );
  const quickCloud = useLatest(enough ? key : undefined, () =>
    quickPlanner().cloud(question, stroke, ROUGH_CLOUD),
  );
  const outlook = useLatest(still ? key : undefined, () => quickPlanner().outlook(question, stroke));
  const seen = exact.current ? exact.answer : rough.answer;
  const told = outlook.current ? outlook.answer : undefined;
  return {
    seen,
    picture: seen?.kind === 'pots' ? seen : undefined,
    outlook: told,
    cloud: outlook.current ? told?.cloud : quickCloud.answer,
  };
}
