import type { ComponentType } from 'react';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import type { Table } from '../../../core/table/table.ts';

/** What a way of bringing in places is given: the table, and whom to tell where its balls lie, as often as they lie otherwise. */
export interface PlaceReaderProps {
  readonly table: Table;
  readonly onBalls: (balls: readonly BallOnTable[]) => void;
}

/** A way of bringing in where balls lie beside tapping: a pad asks for places and does not know where they come from. */
export interface PlaceSource {
  readonly key: string;
  /** What its button says. */
  readonly label: string;
  readonly Reader: ComponentType<PlaceReaderProps>;
}
