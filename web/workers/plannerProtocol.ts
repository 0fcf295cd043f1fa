import type {
  DoubleAnswer,
  NoPicture,
  PlannedStroke,
  PlantAnswer,
  PositionQuestion,
  ShotOutlook,
  ShotPicture,
  TableText,
} from '../../core/planning/position/question.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { CallKind, Difficulty } from '../../core/judgement/kinds.ts';
import type { CallQuestion } from '../../core/judgement/question.ts';
import type { Point } from '../../core/math/point.ts';
import type { Assessment } from '../../core/planning/aftermath.ts';
import type { BackwardMap, WantedWay } from '../../core/planning/backward.ts';
import type { BreakOut } from '../../core/planning/breakOut.ts';
import type { RouteSearch } from '../../core/planning/routes.ts';

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
