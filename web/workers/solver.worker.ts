import { expose } from 'comlink';
import { fitExecution, type FittedExecution } from '../../core/player/fitExecution.ts';
import { strokeCloud, type StrokeCloud } from '../../core/scoring/attribution.ts';
import { causeEvidence, causeShares, type CauseEvidence } from '../../core/scoring/causeShares.ts';
import { observedShots } from '../../core/scoring/observedShots.ts';
import { planShot, isUnplayable, type PlannedShot } from '../../core/drill/plannedShot.ts';
import { rebuildTolerance } from '../../core/drill/rebuildTolerance.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { DrillStage } from '../../core/records/drill.ts';
import { benchmarkLevels } from '../../core/scoring/benchmark.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { roundsFrom, virtualRounds, type VirtualRound } from '../../core/virtual/playRound.ts';
import { landingPlanOf } from '../../core/virtual/landingPlan.ts';
import { rulesOfThumb } from '../../core/virtual/rulesOfThumb.ts';
import { ledgerOf, ledgerPlanner, type LedgerEntry, type LedgerPlanner } from '../../core/virtual/ledger.ts';
import { executionErrorAt, type ExecutionError } from '../../core/player/levels.ts';
import type { PlayedAt, Solver, TableAsPlayed } from './protocol.ts';

const SEED = 4610;
/** How long, and up to how many, rounds are played beside the one that is shown. */
const MORE_ROUNDS_MS = 800;
const MOST_ROUNDS = 25;
const LEAST_ROUNDS = 3;

/** The last drill solved, and on which table: a benchmark follows right after its plan. */
let last: { readonly text: string; readonly plan: PlannedShot } | undefined;

/** The last table of which a ledger was worked out: the next attempt often begins with the same one. */
let lastLedger: { readonly text: string; readonly planner: LedgerPlanner | undefined } | undefined;

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

/** What comes of a drill, or undefined where it cannot be played on the table any more: such a one tells nothing. */
function ifPlayable<T>(compute: () => T): T | undefined {
  try {
    return compute();
  } catch (error) {
    if (isUnplayable(error)) return undefined;
    throw error;
  }
}

function fitOf(played: readonly PlayedAt[], assumed: ExecutionError): FittedExecution {
  const shots = played.flatMap(
    ({ drill, on, shots: each }) => ifPlayable(() => observedShots(drill, planOf(drill, on), each)) ?? [],
  );
  return fitExecution(shots, assumed);
}

const solver: Solver = {
  plan: planOf,
  tolerance: (drill, { card, conditions }, onProgress) =>
    rebuildTolerance(drill, tableOfCard(card, conditions), onProgress),
  tryRound(drill, { card, conditions }, stageNumber, level, seed) {
    const rounds = virtualRounds(
      drill,
      { stage: stageNumber, ladderStart: 0 },
      tableOfCard(card, conditions),
      level,
    );
    const until = performance.now() + MORE_ROUNDS_MS;
    const played: VirtualRound[] = [];
    for (const round of roundsFrom(rounds, seed)) {
      played.push(round);
      if (played.length >= MOST_ROUNDS) break;
      // However slow the machine: of fewer there is no middle one.
      if (played.length >= LEAST_ROUNDS && performance.now() >= until) break;
    }
    const [round] = played;
    if (round === undefined) throw new RangeError('tryRound: no round was played');
    return { round, results: played.map(({ result }) => result) };
  },
  fit: fitOf,
  causes(played, assumed) {
    const { error } = fitOf(played, assumed);
    const clouds = new Map<string, StrokeCloud | undefined>();
    const shots = played.flatMap(({ drill, on, shots: each }) => {
      const text = JSON.stringify([drill, on]);
      if (!clouds.has(text)) {
        const { pot: object, pocket } = drill.task;
        clouds.set(
          text,
          ifPlayable(() => strokeCloud(planOf(drill, on).shot, { object, pocket }, error)),
        );
      }
      const cloud = clouds.get(text);
      return cloud === undefined ? [] : each.map((shot) => ({ cloud, ...shot }));
    });
    const evidence = shots.flatMap(({ cloud, landing, outcome }): readonly CauseEvidence[] => {
      const said = landing === null ? undefined : causeEvidence(cloud, landing, outcome === 'potted');
      return said === undefined ? [] : [said];
    });
    return { shares: causeShares(evidence), astray: evidence.length, shots: shots.length };
  },
  cloudOfErrors(drill, on, sizes) {
    const { task } = drill;
    return strokeCloud(planOf(drill, on).shot, { object: task.pot, pocket: task.pocket }, sizes);
  },
  landing: (drill, { card, conditions }, level, seed) =>
    landingPlanOf(drill, tableOfCard(card, conditions), level, seed),
  thumbs: ({ card, conditions }, ratings) => rulesOfThumb(tableOfCard(card, conditions), ratings),
  async ledger({ drill, on, rating, objects, cue, shots }, onEntry) {
    const table = tableOfCard(on.card, on.conditions);
    const player = { table, error: executionErrorAt(rating, table.preset.game) };
    const entries: LedgerEntry[] = [];
    const text = JSON.stringify([drill, on, rating, objects]);
    if (lastLedger?.text !== text) lastLedger = { text, planner: ledgerPlanner(player, drill, objects) };
    for (const entry of ledgerOf(player, drill, objects, cue, shots, lastLedger.planner)) {
      entries.push(entry);
      onEntry([...entries]);
      // Lets the entry out before the next one takes the thread.
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
    return entries;
  },
  async benchmark(drill, on, stageNumber, onProgress) {
    const levels = benchmarkLevels(drill, stageOf(drill, stageNumber), planOf(drill, on), SEED);
    for (;;) {
      const next = levels.next();
      if (next.done === true) return next.value;
      onProgress(next.value);
      // Lets the progress out before the next level takes the thread.
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
  },
};

expose(solver);
