import type { Drill } from '../../core/records/drill.ts';

/** What every panel of the designer gets. */
export interface PanelProps {
  readonly drill: Drill;
  /** @param step what a change belongs to: changes of one step are undone together */
  readonly edit: (drill: Drill, step?: string) => void;
}
