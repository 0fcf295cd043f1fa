import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { CallKind } from '../../core/judgement/kinds.ts';
import type { CallQuestion, CallSource } from '../../core/judgement/question.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { PresetId } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { searchPlanner } from '../workers/planner.ts';

/**
 * The position of a source, the same wherever it is made up; undefined where the source has none of this kind.
 * @param drill that of a source which is a drill's stage
 */
export async function poseSource(
  kind: CallKind,
  preset: PresetId,
  source: CallSource,
  drill: Drill | undefined,
): Promise<CallQuestion | undefined> {
  const table = { preset: TABLE_PRESETS[preset], parameters: TABLE_PRESETS[preset].parameters };
  if (source.kind === 'seed') return searchPlanner().pose(table, kind, source.difficulty, source.seed);
  if (drill?.stages[source.stage - 1] === undefined) return undefined;
  const staged = atStage(drill, source.stage);
  return isPositionDrill(staged) ? searchPlanner().poseDrill(staged, table, kind) : undefined;
}
