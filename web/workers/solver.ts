import { proxy, wrap, type Remote } from 'comlink';
import type { BallTolerance } from '../../core/drill/rebuildTolerance.ts';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { FittedExecution } from '../../core/player/fitExecution.ts';
import type { ExecutionError, LevelName } from '../../core/player/levels.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { StrokeCloud } from '../../core/scoring/attribution.ts';
import type { RuleOfThumb } from '../../core/virtual/rulesOfThumb.ts';
import type { LandingPlan } from '../../core/virtual/landingPlan.ts';
import type { LedgerEntry } from '../../core/virtual/ledger.ts';
import type { LedgerAsked, CausesFound, PlayedAt, Solver, TableAsPlayed, TriedRound } from './protocol.ts';

let remote: Remote<Solver> | undefined;

/** One worker for the page, started when first needed. */
function solver(): Remote<Solver> {
  remote ??= wrap<Solver>(new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

export function solvePlan(drill: PositionDrill, on: TableAsPlayed): Promise<PlannedShot> {
  return solver().plan(drill, on);
}

export function computeBenchmark(
  drill: PositionDrill,
  on: TableAsPlayed,
  stage: number,
  onProgress: (share: number) => void,
): Promise<Benchmark> {
  return solver().benchmark(drill, on, stage, proxy(onProgress));
}

export function tryRound(
  drill: Drill,
  on: TableAsPlayed,
  stage: number,
  level: LevelName,
  seed: number,
): Promise<TriedRound> {
  return solver().tryRound(drill, on, stage, level, seed);
}

export function solveLanding(
  drill: Drill,
  on: TableAsPlayed,
  level: LevelName,
  seed: number,
): Promise<LandingPlan | undefined> {
  return solver().landing(drill, on, level, seed);
}

export function computeTolerance(
  drill: PositionDrill,
  on: TableAsPlayed,
  onProgress: (share: number) => void,
): Promise<readonly BallTolerance[]> {
  return solver().tolerance(drill, on, proxy(onProgress));
}

export function strokeCloudOf(
  drill: PositionDrill,
  on: TableAsPlayed,
  sizes: ExecutionError,
): Promise<StrokeCloud> {
  return solver().cloudOfErrors(drill, on, sizes);
}

export function fitPlayer(played: readonly PlayedAt[], assumed: ExecutionError): Promise<FittedExecution> {
  return solver().fit(played, assumed);
}

export function causesOf(played: readonly PlayedAt[], assumed: ExecutionError): Promise<CausesFound> {
  return solver().causes(played, assumed);
}

export function ledgerOfAttempt(
  asked: LedgerAsked,
  onEntry: (entries: readonly LedgerEntry[]) => void,
): Promise<readonly LedgerEntry[]> {
  return solver().ledger(asked, proxy(onEntry));
}

export function rulesOfThumbOf(
  on: TableAsPlayed,
  ratings: readonly number[],
): Promise<readonly (readonly RuleOfThumb[])[]> {
  return solver().thumbs(on, ratings);
}
