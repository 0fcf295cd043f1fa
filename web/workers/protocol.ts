import type { BallTolerance } from '../../core/drill/rebuildTolerance.ts';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { TableCard } from '../../core/table/card.ts';
import type { Conditions } from '../../core/table/cardChoices.ts';
import type { Point } from '../../core/math/point.ts';
import type { Outcome } from '../../core/records/storedAttempt.ts';
import type { FittedExecution } from '../../core/player/fitExecution.ts';
import type { ExecutionError, LevelName } from '../../core/player/levels.ts';
import type { CauseShare } from '../../core/scoring/causeShares.ts';
import type { StrokeCloud } from '../../core/scoring/attribution.ts';
import type { RoundResult } from '../../core/counting/result.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import type { LoggedShot } from '../../core/records/loggedShot.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { RuleOfThumb } from '../../core/virtual/rulesOfThumb.ts';
import type { LedgerEntry } from '../../core/virtual/ledger.ts';
import type { LandingPlan } from '../../core/virtual/landingPlan.ts';
import type { VirtualRound } from '../../core/virtual/playRound.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';

/** What decides how balls run: the table's card, and tonight's conditions. */
export interface TableAsPlayed {
  readonly card: TableCard;
  readonly conditions: Conditions | null;
}

/** A virtual player's round, and the results of others by the same player, it among them. */
export interface TriedRound {
  readonly round: VirtualRound;
  readonly results: readonly RoundResult[];
}

/** Why shots went astray, over many. */
export interface CausesFound {
  /** Undefined for too few shots. */
  readonly shares: readonly CauseShare[] | undefined;
  /** Shots that were off the plan, and those that were looked at. */
  readonly astray: number;
  readonly shots: number;
}

/** Shots that a player has played at one drill on one table. */
export interface PlayedAt {
  /** As it is played at the stage. */
  readonly drill: PositionDrill;
  readonly on: TableAsPlayed;
  readonly shots: readonly { readonly outcome: Outcome; readonly landing: Point | null }[];
}

/** An attempt at a clearance of which a ledger is asked for. */
export interface LedgerAsked {
  /** As it is played at the stage. */
  readonly drill: Drill;
  readonly on: TableAsPlayed;
  /** The player's rating in run-outs, 0…100. */
  readonly rating: number;
  /** The object balls as the attempt began, and the cue ball where it is known. */
  readonly objects: readonly BallOnTable[];
  readonly cue: Point | undefined;
  readonly shots: readonly LoggedShot[];
}

/** What the solver's worker does; types only, so that both sides can share it. */
export interface Solver {
  plan(drill: PositionDrill, on: TableAsPlayed): PlannedShot;
  tolerance(
    drill: PositionDrill,
    on: TableAsPlayed,
    onProgress: (share: number) => void,
  ): readonly BallTolerance[];
  /** One round by a virtual player of a level, and how more of them ended. @param stage number from 1 */
  tryRound(drill: Drill, on: TableAsPlayed, stage: number, level: LevelName, seed: number): TriedRound;
  /** A player's errors from what was played, with a weak pull towards those of a level. */
  fit(played: readonly PlayedAt[], assumed: ExecutionError): FittedExecution;
  /** Where the planned stroke ends with all errors of a player at once, and why. */
  cloudOfErrors(drill: PositionDrill, on: TableAsPlayed, sizes: ExecutionError): StrokeCloud;
  /** How much of what went wrong came from each error, of many shots; with the player's errors. */
  causes(played: readonly PlayedAt[], assumed: ExecutionError): CausesFound;
  /** The stroke that promises most at drawn targets; undefined where nothing earns anything. @param seed of the throw */
  landing(drill: Drill, on: TableAsPlayed, level: LevelName, seed: number): LandingPlan | undefined;
  /** Where two schools cross, for each of some ratings. */
  thumbs(on: TableAsPlayed, ratings: readonly number[]): readonly (readonly RuleOfThumb[])[];
  /** What each shot cost in chance of clearing; each entry is told as it is worked out. */
  ledger(
    asked: LedgerAsked,
    onEntry: (entries: readonly LedgerEntry[]) => void,
  ): Promise<readonly LedgerEntry[]>;
  /** @param stage number from 1; @param onProgress called with the share that is done, 0…1 */
  benchmark(
    drill: PositionDrill,
    on: TableAsPlayed,
    stage: number,
    onProgress: (share: number) => void,
  ): Promise<Benchmark>;
}
