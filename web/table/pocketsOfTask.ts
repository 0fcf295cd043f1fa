import type { Drill } from '../../core/records/drill.ts';
import type { PocketName } from '../../core/table/pockets.ts';

/** The pockets that a task names: the one to pot into first, then the next ball's; each once. */
export function pocketsOfTask(task: Drill['task']): readonly PocketName[] {
  switch (task.kind) {
    case 'position':
      return [...new Set([task.pocket, task.next.pocket])];
    case 'land':
      return task.pot === null ? [] : [task.pot.pocket];
    case 'plant':
    case 'double':
      return [task.pocket];
    default:
      return [];
  }
}
