import { expose } from 'comlink';
import { fitExecution } from '../../core/player/fitExecution.ts';
import { strokeCurves } from '../../core/scoring/attribution.ts';
import { observedShots } from '../../core/scoring/observedShots.ts';
import { planShot, UnplayableDrillError, type PlannedShot } from '../../core/drill/plannedShot.ts';
import { rebuildTolerance } from '../../core/drill/rebuildTolerance.ts';
import type { LevelBenchmark } from '../../core/records/benchmark.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { DrillStage } from '../../core/records/drill.ts';
import { benchmarkLevel, EXECUTIONS_PER_LEVEL } from '../../core/scoring/benchmark.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { virtualRounds, wholeRound } from '../../core/virtual/playRound.ts';
import { ruleOfThumb, thumbStrokes } from '../../core/virtual/rulesOfThumb.ts';
import { ledgerOf, type LedgerEntry } from '../../core/virtual/ledger.ts';
import { executionErrorAt, LEVEL_NAMES } from '../../core/player/levels.ts';
import type { Solver, TableAsPlayed } from './protocol.ts';

const SEED = 4610;
/** How long, and up to how many, rounds are played beside the one that is shown. */
const MORE_ROUNDS_MS = 800;
const MOST_ROUNDS = 25;

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
  tryRound(drill, { card, conditions }, stageNumber, level, seed) {
    const rounds = virtualRounds(drill, stageNumber, tableOfCard(card, conditions), level);
    const round = wholeRound(rounds, seed);
    const results = [round.result];
    const until = performance.now() + MORE_ROUNDS_MS;
    while (results.length < MOST_ROUNDS && performance.now() < until) {
      results.push(wholeRound(rounds, seed + 1000 * results.length).result);
    }
    return { round, results };
  },
  fit(played, assumed) {
    const shots = played.flatMap(({ drill, on, shots: each }) => {
      try {
        return observedShots(drill, planOf(drill, on), each);
      } catch (error) {
        // A drill that cannot be played on the table any more tells nothing.
        if (error instanceof UnplayableDrillError || error instanceof RangeError) return [];
        throw error;
      }
    });
    return fitExecution(shots, assumed);
  },
  curves(drill, on, sizes) {
    const { task } = drill;
    return strokeCurves(planOf(drill, on).shot, { object: task.pot, pocket: task.pocket }, sizes);
  },
  thumbs({ card, conditions }, ratings) {
    const strokes = [...thumbStrokes(tableOfCard(card, conditions))];
    return ratings.map((rating) => strokes.map((each) => ruleOfThumb(each, rating)));
  },
  async ledger({ drill, on, rating, objects, cue, shots }, onEntry) {
    const table = tableOfCard(on.card, on.conditions);
    const player = { table, error: executionErrorAt(rating, table.preset.game) };
    const entries: LedgerEntry[] = [];
    for (const entry of ledgerOf(player, drill, objects, cue, shots)) {
      entries.push(entry);
      onEntry([...entries]);
      // Lets the entry out before the next one takes the thread.
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
    return entries;
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
    return {
      executions: EXECUTIONS_PER_LEVEL,
      wholeRounds: false,
      unit: 'points',
      better: 'high',
      levels,
    };
  },
};

expose(solver);
