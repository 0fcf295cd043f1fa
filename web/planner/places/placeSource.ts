import type { ComponentType } from 'react';
import type { Misplaced } from '../../../core/camera/misplaced.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import type { Table } from '../../../core/table/table.ts';

/** What a way of bringing in places is given: the table, and whom to tell where its balls lie, as often as they lie otherwise. */
export interface PlaceReaderProps {
  readonly table: Table;
  readonly onBalls: (balls: readonly BallOnTable[]) => void;
}

/** What a way that looks on by itself is given while a round is scored. */
export interface LivePlacesProps {
  readonly table: Table;
  /** What is taken, as the button says it. */
  readonly take: string;
  /** Why these balls are not enough; undefined where they are. */
  readonly missing: (balls: readonly BallOnTable[]) => string | undefined;
  /** Called by one tap; by itself only where a coach switched that on for this device and nothing is asked about. */
  readonly onTake: (balls: readonly BallOnTable[]) => void;
  /** Told what is offered, to be drawn; no balls while nothing is. */
  readonly onSeen?: ((balls: readonly BallOnTable[]) => void) | undefined;
  /** Where the balls are to lie before the next shot, as far as that is known. */
  readonly laid?: readonly BallOnTable[] | undefined;
  /** Told which balls do not lie in their places before the shot, as often as that changes. */
  readonly onBeside?: ((beside: readonly Misplaced[]) => void) | undefined;
  /** Another one whenever something was entered: what was offered before is over. */
  readonly turn: number;
}

/** A way of bringing in where balls lie beside tapping: a pad asks for places and does not know where they come from. */
export interface PlaceSource {
  readonly key: string;
  /** The rule of the club that allows it. */
  readonly rule: 'pictures' | 'cameras';
  /** What its button says. */
  readonly label: string;
  readonly Reader: ComponentType<PlaceReaderProps>;
  /** What it offers at a pad without being asked, once it is set up. */
  readonly Live?: ComponentType<LivePlacesProps>;
}
