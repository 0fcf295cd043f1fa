import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { CallKind, Difficulty } from '../../core/judgement/kinds.ts';
import type { CallQuestion } from '../../core/judgement/question.ts';
import type { Tip } from '../../core/motion/shot.ts';
import type { BallOnTable, Shot, ShotResult } from '../../core/motion/shot.ts';
import type { Point } from '../../core/math/point.ts';
import type { Assessment } from '../../core/planning/aftermath.ts';
import type { BackwardMap, WantedWay } from '../../core/planning/backward.ts';
import type { BreakOut } from '../../core/planning/breakOut.ts';
import type { Foresight } from '../../core/planning/foresee.ts';
import type { MissSides } from '../../core/planning/missSide.ts';
import type { RouteSearch } from '../../core/planning/routes.ts';
import type { RibbonPiece } from '../../core/planning/ribbon.ts';
import type { PaceWindow } from '../../core/planning/stops.ts';
import type { PositionWindow } from '../../core/planning/window.ts';
import type { Cueing, Hand } from '../../core/player/cueing.ts';
import type { ExecutionError } from '../../core/player/levels.ts';
import type { Cut } from '../../core/shot/cut.ts';
import type { DoubleWay } from '../../core/shot/doubles.ts';
import type { NaturalPath } from '../../core/shot/naturalPath.ts';
import type { Flip, PlantWay } from '../../core/shot/plants.ts';
import type { PocketMargin } from '../../core/shot/pocketMargin.ts';
import type { PocketName } from '../../core/table/pockets.ts';
import type { MotionParameters } from '../../core/table/parameters.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import type { RoomLimits } from '../../core/table/room.ts';

/** A table as it crosses to the worker, which builds it once. */
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

/** Searches that take long; one of each kind runs at a time. */
export type SearchKind = 'routes' | 'backward' | 'break-outs';

/** What the planning worker does; types only, so that both sides can share it. */
export interface Planner {
  picture(question: PositionQuestion, stroke: PlannedStroke, rough: boolean): ShotPicture | NoPicture;
  cloud(question: PositionQuestion, stroke: PlannedStroke, executions: number): Assessment | undefined;
  outlook(question: PositionQuestion, stroke: PlannedStroke): ShotOutlook | undefined;
  /** @param to a place where the cue ball is wanted, instead of the window of the next ball */
  routes(
    question: PositionQuestion,
    to: Point | null,
    onProgress: (search: RouteSearch) => void,
  ): Promise<RouteSearch | 'cancelled' | NoPicture>;
  backward(
    question: PositionQuestion,
    wanted: WantedWay,
    onProgress: (share: number) => void,
  ): Promise<BackwardMap | 'cancelled' | NoPicture>;
  breakOuts(
    question: PositionQuestion,
    cluster: readonly string[],
    onProgress: (share: number) => void,
  ): Promise<readonly BreakOut[] | 'cancelled' | NoPicture>;
  plant(question: PositionQuestion, first: string, stroke: PlannedStroke): PlantAnswer | undefined;
  double(question: PositionQuestion, speeds: readonly number[]): readonly DoubleAnswer[];
  /** Makes up a position to foretell; undefined when none was found for the seed. */
  pose(table: TableText, kind: CallKind, difficulty: Difficulty, seed: number): CallQuestion | undefined;
  /** Asks about a drill's planned stroke; undefined when it gives nothing to ask of this kind. */
  poseDrill(drill: PositionDrill, table: TableText, kind: CallKind): CallQuestion | undefined;
  /** Ends the search of a kind that is under way. */
  cancel(kind: SearchKind): void;
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
