import type { Drill } from '../records/drill.ts';
import type { CountingMethodName } from '../records/drillText/counting.ts';
import type { TaskKind } from '../records/drillText/task.ts';
import { TABLE_PRESETS } from '../table/presets.ts';

/**
 * The ways of counting that an attempt of each task gives what they count, the usual one first: a landing has points
 * and is made or not, a clearance has balls and points, a hit has a thickness and a leave.
 */
const METHODS: Readonly<Record<TaskKind, readonly CountingMethodName[]>> = {
  position: ['zone-points', 'success-rate', 'streak', 'attempts-to-clear'],
  land: ['zone-points', 'success-rate', 'streak', 'attempts-to-clear'],
  clear: [
    'attempts-to-clear',
    'balls-made',
    'lives',
    'ladder-by-racks',
    'ladder-by-single',
    'clear-or-restart',
    'break-points',
    'success-rate',
    'streak',
  ],
  break: ['break-score', 'success-rate', 'streak'],
  kick: ['kick', 'graded-contact', 'success-rate', 'streak'],
  plant: ['success-rate', 'streak', 'attempts-to-clear'],
  double: ['success-rate', 'streak', 'attempts-to-clear'],
  safety: ['kick', 'graded-contact', 'success-rate', 'streak'],
  call: ['call-it'],
};

/** The ways of counting that belong to a drill's task on its table, the usual one first. */
export function methodsOf({ task, table }: Pick<Drill, 'task' | 'table'>): readonly CountingMethodName[] {
  const snooker = TABLE_PRESETS[table].markings === 'colours';
  return METHODS[task.kind].filter((method) => method !== 'break-points' || snooker);
}
