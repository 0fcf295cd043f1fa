import { DECISION_CAUSES, type Cause } from '../records/cause.ts';
import type { AttemptLog } from '../records/attempt.ts';
import type { LoggedShot } from '../records/loggedShot.ts';
import { scatterEllipse, type ScatterEllipse } from '../statistics/ellipse.ts';
import { landingBias, type LandingBias } from './bias.ts';
import type { Point } from '../math/point.ts';

/** What a round says beyond its result. */
export interface RoundReview {
  readonly landings:
    | {
        readonly bias: LandingBias;
        /** Holds half of such landings; undefined for fewer than three. */
        readonly half: ScatterEllipse | undefined;
      }
    | undefined;
  /** Causes of misses and of bad landings, the most frequent first. */
  readonly causes: readonly { readonly cause: Cause; readonly count: number }[];
  /** Of the causes: wrong decisions, and wrong execution. */
  readonly decisions: number;
  readonly execution: number;
  /** Shots that were logged one by one; among them with side, with luck, and out of trouble. */
  readonly shots: number;
  readonly withSide: number;
  readonly lucky: number;
  readonly rescues: number;
  /** Attempts that were done without luck and without a rescue, and those that needed one. */
  readonly clean: number;
  readonly rescued: number;
}

/** An attempt as far as the review needs it. */
export interface ReviewedAttempt {
  readonly landing: Point | null;
  readonly along: number | null;
  readonly across: number | null;
  readonly log: AttemptLog;
  readonly counted: { readonly done: boolean };
}

const HALF = 0.5;
const LEAST_LANDINGS = 3;

function isDirty({ luck, rescue }: LoggedShot): boolean {
  return luck || rescue;
}

/** Sums a round up: where landings lie, why shots failed, decisions against execution, clean against rescued. */
export function reviewRound(attempts: readonly ReviewedAttempt[]): RoundReview {
  const landed = attempts.flatMap(({ landing, along, across }) =>
    landing === null || along === null || across === null ? [] : [{ landing, along, across }],
  );
  const shots = attempts.flatMap(({ log }) => log.shots);
  const counts = new Map<Cause, number>();
  for (const { cause } of shots) if (cause !== null) counts.set(cause, (counts.get(cause) ?? 0) + 1);
  const causes = [...counts].map(([cause, count]) => ({ cause, count })).sort((a, b) => b.count - a.count);
  const decisions = causes
    .filter(({ cause }) => DECISION_CAUSES.includes(cause))
    .reduce((sum, { count }) => sum + count, 0);
  const done = attempts.filter(({ counted }) => counted.done);
  const rescued = done.filter(({ log }) => log.shots.some(isDirty)).length;
  return {
    landings:
      landed.length === 0
        ? undefined
        : {
            bias: landingBias(landed),
            half:
              landed.length < LEAST_LANDINGS
                ? undefined
                : scatterEllipse(
                    landed.map(({ landing }) => landing),
                    HALF,
                  ),
          },
    causes,
    decisions,
    execution: causes.reduce((sum, { count }) => sum + count, 0) - decisions,
    shots: shots.length,
    withSide: shots.filter(({ side }) => side !== null && side !== 'none').length,
    lucky: shots.filter(({ luck }) => luck).length,
    rescues: shots.filter(({ rescue }) => rescue).length,
    clean: done.length - rescued,
    rescued,
  };
}
