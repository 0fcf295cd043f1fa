import type { Drill } from '../../../core/records/drill.ts';
import type { TaskKind } from '../../../core/records/drillText/task.ts';

/** A task of one kind, and how it is changed. */
export interface TaskProps<K extends TaskKind> {
  readonly drill: Drill;
  readonly task: Extract<Drill['task'], { kind: K }>;
  readonly put: (task: Drill['task']) => void;
}
