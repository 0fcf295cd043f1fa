import type { BallTolerance } from '../../core/drill/rebuildTolerance.ts';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { TableCard } from '../../core/table/card.ts';
import type { Conditions } from '../../core/table/cardChoices.ts';
import type { LevelName } from '../../core/player/levels.ts';
import type { VirtualRound } from '../../core/scoring/virtualRound.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';

/** What decides how balls run: the table's card, and tonight's conditions. */
export interface TableAsPlayed {
  readonly card: TableCard;
  readonly conditions: Conditions | null;
}

/** What the solver's worker does; types only, so that both sides can share it. */
export interface Solver {
  plan(drill: PositionDrill, on: TableAsPlayed): PlannedShot;
  tolerance(
    drill: PositionDrill,
    on: TableAsPlayed,
    onProgress: (share: number) => void,
  ): readonly BallTolerance[];
  /** One round by a virtual player of a level. @param stage number from 1 */
  tryRound(
    drill: PositionDrill,
    on: TableAsPlayed,
    stage: number,
    level: LevelName,
    seed: number,
  ): VirtualRound;
  /** @param stage number from 1; @param onProgress called with the share that is done, 0…1 */
  benchmark(
    drill: PositionDrill,
    on: TableAsPlayed,
    stage: number,
    onProgress: (share: number) => void,
  ): Promise<Benchmark>;
}
