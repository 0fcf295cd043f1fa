import type { ReactNode } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { LivePlacesProps } from '../../planner/places/placeSource.ts';
import type { PadAction } from '../../controls/padAction.ts';

/** A way to enter an attempt: its keys, its buttons, and what it does on the table. */
export interface Pad {
  readonly actions: readonly PadAction[];
  readonly buttons: ReactNode;
  readonly hint?: string;
  /** Below the buttons: what is noted besides. */
  readonly below?: ReactNode;
  /** How places come in by something else than a tap. */
  readonly bringIn?: Pick<LivePlacesProps, 'take' | 'missing' | 'onTake' | 'laid'>;
  readonly onTap?: (place: Point) => void;
  readonly marks?: ReactNode;
  readonly positions?: ReadonlyMap<string, Point | null>;
}
