import type { Drill } from '../records/drill.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import type { Game } from '../rules/foulCost.ts';

/** Families in which a foul decides something: in the others the drill's own rules are all there is. */
const PLAYED_BY_RULES: readonly Drill['family'][] = ['order', 'break', 'kick', 'safety'];

/**
 * The game by whose rules a drill is played, from its table, its rack and its order; undefined for a drill that needs
 * none but its own.
 */
export function gameOf(drill: Pick<Drill, 'family' | 'table' | 'rack' | 'task'>): Game | undefined {
  if (!PLAYED_BY_RULES.includes(drill.family)) return undefined;
  const { game, markings } = TABLE_PRESETS[drill.table];
  if (game === 'snooker') return 'snooker';
  if (markings === 'baulk') return 'small-table eight-ball';
  const suits = drill.task.kind === 'clear' && drill.task.order.kind === 'suits';
  return suits || drill.rack?.kind === 'eight' ? 'eight-ball' : 'nine-ball';
}
