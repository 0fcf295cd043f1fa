import { CONDITIONS, type Drill } from '../records/drill.ts';
import type { PresetId } from '../table/preset.ts';

/** The kinds of table on which a drill makes sense, its own first. */
export function tablesOf({ table, alsoOn }: Pick<Drill, 'table' | 'alsoOn'>): readonly PresetId[] {
  return [table, ...alsoOn];
}

/**
 * A drill as it is played at a stage: the base with what the stage changes of it.
 * @param stage number from 1
 * @throws RangeError when the drill has no such stage
 */
export function atStage(drill: Drill, stage: number): Drill {
  const chosen = drill.stages[stage - 1];
  if (chosen === undefined) throw new RangeError(`atStage: the drill has no stage ${stage}`);
  const { moved, without, conditions, scoring } = chosen;
  const balls = drill.balls
    .filter((ball) => !without.includes(ball.id))
    .map((ball) => moved.find((other) => other.id === ball.id) ?? ball);
  const all = CONDITIONS.filter(
    (condition) => drill.conditions.includes(condition) || conditions.includes(condition),
  );
  return { ...drill, balls, conditions: all, scoring: scoring ?? drill.scoring };
}
