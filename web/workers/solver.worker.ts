import { expose } from 'comlink';
import { planShot, type PlannedShot } from '../../core/drill/plannedShot.ts';
import { rebuildTolerance } from '../../core/drill/rebuildTolerance.ts';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import type { LevelBenchmark } from '../../core/records/benchmark.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { DrillStage } from '../../core/records/drill.ts';
import { playVirtualRound } from '../../core/scoring/virtualRound.ts';
import { benchmarkLevel, EXECUTIONS_PER_LEVEL } from '../../core/scoring/benchmark.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { Solver, TableAsPlayed } from './protocol.ts';

const SEED = 4610;

/** The last drill solved, and on which table: a benchmark follows right after its plan. */
let last: { readonly text: string; readonly plan: PlannedShot } | undefined;

function planOf(drill: PositionDrill, { card, conditions }: TableAsPlayed): PlannedShot {
  const text = JSON.stringify([drill, card, conditions]);
  if (last?.text !== text) last = { text, plan: planShot(drill, tableOfCard(card, conditions)) };
  return last.plan;
}

function stageOf(drill: PositionDrill, number: number): DrillStage {
  const stage = drill.stages[number - 1];
  if (stage === undefined) throw new RangeError(`the drill has no stage ${number}`);
  return stage;
}

const solver: Solver = {
  plan: planOf,
  tolerance: (drill, { card, conditions }, onProgress) =>
    rebuildTolerance(drill, tableOfCard(card, conditions), onProgress),
  tryRound(drill, on, stageNumber, level, seed) {
    return playVirtualRound(drill, stageOf(drill, stageNumber), planOf(drill, on), level, seed);
  },
  async benchmark(drill, on, stageNumber, onProgress) {
    const stage = stageOf(drill, stageNumber);
    const plan = planOf(drill, on);
    const levels: LevelBenchmark[] = [];
    for (const [i, level] of LEVEL_NAMES.entries()) {
      levels.push(benchmarkLevel(drill, stage, plan, level, SEED + i));
      onProgress((i + 1) / LEVEL_NAMES.length);
      // Lets the progress out before the next level takes the thread.
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
    return { executions: EXECUTIONS_PER_LEVEL, levels };
  },
};

expose(solver);
