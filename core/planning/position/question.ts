import type { BallOnTable, Shot, ShotResult, Tip } from '../../motion/shot.ts';
import type { Cueing, Hand } from '../../player/cueing.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Cut } from '../../shot/cut.ts';
import type { DoubleWay } from '../../shot/doubles.ts';
import type { NaturalPath } from '../../shot/naturalPath.ts';
import type { Flip, PlantWay } from '../../shot/plants.ts';
import type { PocketMargin } from '../../shot/pocketMargin.ts';
import type { MotionParameters } from '../../table/parameters.ts';
import type { PocketName } from '../../table/pockets.ts';
import type { TablePreset } from '../../table/preset.ts';
import type { RoomLimits } from '../../table/room.ts';
import type { Assessment } from '../aftermath.ts';
import type { Foresight } from '../foresee.ts';
import type { PositionWindow } from '../grid.ts';
import type { MissSides } from '../missSide.ts';
import type { RibbonPiece } from '../ribbon.ts';
import type { PaceWindow } from '../stops.ts';

/** A table as text: it is built once, however often it is asked about. */
export interface TableText {
  readonly preset: TablePreset;
  readonly parameters: MotionParameters;
}

/** A position, what is to be potted and what is to be on afterwards, and who plays. */
export interface PositionQuestion {
  readonly table: TableText;
  readonly balls: readonly BallOnTable[];
  readonly cue: string;
  readonly pot: string;
  readonly pocket: PocketName;
  /** Balls of which one is to be on next. */
  readonly next: readonly string[];
  /** The only pocket of the next ball that counts; any when null. */
  readonly nextPocket: PocketName | null;
  /** The ball after that; the next one is then wanted at an angle that serves it. */
  readonly after: string | null;
  readonly error: ExecutionError;
  readonly hand: Hand;
  readonly room: RoomLimits | null;
  readonly confidence: number;
  readonly side: boolean;
  /** True keeps to the middle of the pocket, as a drill's planned stroke is solved. */
  readonly middle: boolean;
}

export interface PlannedStroke {
  readonly speed: number;
  readonly tip: Tip;
  readonly elevation: number;
  /** Part of the pocket that is aimed at, −1…1; see aimToPot. */
  readonly pocketSide: number;
}

export type NoPicture = {
  readonly kind: 'no-way';
  readonly reason: 'pocket-closed' | 'too-thin' | 'blocked';
};

/** What is known at once of a stroke at a pot. */
export interface ShotPicture {
  readonly kind: 'pots';
  readonly shot: Shot;
  readonly result: ShotResult;
  readonly cut: Cut;
  readonly natural: NaturalPath;
  readonly margin: PocketMargin;
  readonly cueing: Cueing;
  readonly pace: PaceWindow;
  readonly ribbon: readonly RibbonPiece[];
  readonly window: PositionWindow;
  /** The ball that is likeliest to be on from where the cue ball stops. */
  readonly onNext: string | undefined;
}

/** What many executions tell. */
export interface ShotOutlook {
  readonly cloud: Assessment;
  readonly inOff: Foresight & { readonly pocket: PocketName | undefined };
  /** Balls near the cue ball's way after the hit. */
  readonly passes: readonly { readonly ball: string; readonly foresight: Foresight }[];
  readonly misses: MissSides;
}

export interface PlantAnswer {
  readonly way: PlantWay;
  readonly result: ShotResult;
  readonly flip: Flip | undefined;
  readonly gap: number;
}

export interface DoubleAnswer {
  readonly speed: number;
  readonly way: DoubleWay | undefined;
  /** Shares of executions that pot it, and in which the two balls meet twice. */
  readonly potted: number;
  readonly kissed: number;
}
