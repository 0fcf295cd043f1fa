import type { ReactNode } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { PadAction } from '../../controls/padAction.ts';

/** A way to enter an attempt: its keys, its buttons, and what it does on the table. */
export interface Pad {
  readonly actions: readonly PadAction[];
  readonly buttons: ReactNode;
  readonly hint?: string;
  /** Below the buttons: what is noted besides. */
  readonly below?: ReactNode;
  readonly onTap?: (place: Point) => void;
  readonly marks?: ReactNode;
  readonly positions?: ReadonlyMap<string, Point | null>;
}
