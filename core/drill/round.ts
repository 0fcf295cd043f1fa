import type { Drill } from '../records/drill.ts';
import { countAttemptsToClear } from '../counting/attemptsToClear.ts';
import { countBallsMade } from '../counting/ballsMade.ts';
import { countBreakPoints } from '../counting/breakPoints.ts';
import { countBreakScore, type BreakAttempt } from '../counting/breakScore.ts';
import { countCalls, type CallAttempt } from '../counting/callIt.ts';
import { countClearOrRestart } from '../counting/clearOrRestart.ts';
import { countGradedContact, type ContactGrade } from '../counting/gradedContact.ts';
import { countKicks, type KickAttempt } from '../counting/kickScore.ts';
import { countLadderByRacks } from '../counting/ladderByRacks.ts';
import { countLadderBySingle } from '../counting/ladderBySingle.ts';
import { countLives } from '../counting/lives.ts';
import { countStreak } from '../counting/streak.ts';
import { countSuccessRate } from '../counting/successRate.ts';
import { countZoneRound } from '../counting/zoneRound.ts';
import type { RoundResult } from '../counting/result.ts';
import { mostPoints } from '../counting/bands.ts';
import { mostTargetPoints } from './targets.ts';
import { rackIds } from '../rack/rack.ts';
import { CUE_BALL } from './layout.ts';
import type { Attempt } from './rules.ts';

/** What an attempt came to, whatever the method needs of it: the quick log enters this, the full log works it out. */
export interface AttemptOutcome {
  /** Cleared, or made. */
  readonly done: boolean;
  /** Balls made before the fault. */
  readonly balls?: number | undefined;
  readonly points?: number | undefined;
  readonly penalty?: number | undefined;
  readonly target?: string | undefined;
  readonly grade?: ContactGrade | undefined;
  readonly kick?: KickAttempt | undefined;
  readonly opening?: BreakAttempt | undefined;
  readonly call?: CallAttempt | undefined;
}

/** What an attempt that was logged shot by shot came to. */
export function outcomeOf(attempt: Attempt): AttemptOutcome {
  return {
    done: attempt.over === 'cleared',
    balls: attempt.made,
    points: attempt.points,
    penalty: attempt.penalty,
  };
}

/** Where a round stands: its result so far, whether it is over, and how many balls are set for the next attempt. */
export interface RoundProgress {
  readonly result: RoundResult;
  /** Balls of the next attempt's layout, where the method changes it; undefined for all of the drill's. */
  readonly balls: number | undefined;
  /** Targets still to be done, for lives. */
  readonly targets: readonly string[] | undefined;
}

function required<T>(value: T | undefined, what: string): T {
  if (value === undefined) throw new RangeError(`roundProgress: an attempt lacks its ${what}`);
  return value;
}

/** The object balls of a drill: those placed, those racked and those thrown; each once, also in an unfinished draft. */
export function objectBalls(drill: Pick<Drill, 'balls' | 'rack' | 'thrown'>): readonly string[] {
  const placed = drill.balls.filter((ball) => ball.id !== CUE_BALL).map((ball) => ball.id);
  const racked = drill.rack === null ? [] : rackIds(drill.rack.kind);
  return [...new Set([...placed, ...racked, ...(drill.thrown?.balls ?? [])])];
}

/**
 * Where a round of a drill stands after some attempts, by the drill's own method.
 * @param drill as it is played at the stage (see atStage)
 * @param stage number of the stage, whose bands count for zone points
 * @param ladderStart rung at which a ladder by racks starts, from 0
 * @throws RangeError when an attempt lacks what the method counts
 */
export function roundProgress(
  drill: Drill,
  stage: number,
  attempts: readonly AttemptOutcome[],
  ladderStart = 0,
): RoundProgress {
  const { scoring } = drill;
  const made = attempts.map(({ done }) => ({ made: done }));
  const cleared = attempts.map(({ done }) => ({ cleared: done }));
  const balls = objectBalls(drill);
  const plain = (result: RoundResult): RoundProgress => ({ result, balls: undefined, targets: undefined });
  switch (scoring.method) {
    case 'attempts-to-clear':
      return plain(countAttemptsToClear(cleared, scoring));
    case 'balls-made': {
      const before = attempts.map((each) => ({ balls: required(each.balls, 'balls') }));
      return plain(countBallsMade(before, { trials: scoring.trials, balls: balls.length }));
    }
    case 'lives': {
      const tries = attempts.map((each) => ({ target: required(each.target, 'target'), made: each.done }));
      const tally = countLives(tries, { lives: scoring.lives, targets: balls });
      return { result: tally, balls: undefined, targets: tally.left };
    }
    case 'ladder-by-racks': {
      const tally = countLadderByRacks(cleared, { ...scoring, start: ladderStart });
      return { result: tally, balls: scoring.rungs[tally.rung], targets: undefined };
    }
    case 'ladder-by-single': {
      const tally = countLadderBySingle(cleared, scoring);
      return { result: tally, balls: tally.balls, targets: undefined };
    }
    case 'clear-or-restart': {
      const tries = attempts.map((each) => ({ balls: required(each.balls, 'balls'), cleared: each.done }));
      const tally = countClearOrRestart(tries, scoring);
      return { result: tally, balls: scoring.layouts[tally.layout], targets: undefined };
    }
    case 'break-points': {
      const visits = attempts.map((each) => ({
        points: required(each.points, 'points'),
        penalty: each.penalty ?? 0,
      }));
      const reds = balls.filter((id) => id.startsWith('red')).length;
      return plain(countBreakPoints(visits, { visits: scoring.visits, reds }));
    }
    case 'zone-points': {
      const perShot = Math.max(
        mostPoints(drill.stages[stage - 1]?.bands ?? []),
        mostTargetPoints(drill.targets),
      );
      const shots = attempts.map((each) => ({ points: required(each.points, 'points') }));
      return plain(countZoneRound(shots, { shots: scoring.shots, perShot }));
    }
    case 'graded-contact':
      return plain(
        countGradedContact(
          attempts.map((each) => ({ grade: required(each.grade, 'grade') })),
          scoring,
        ),
      );
    case 'success-rate':
      return plain(countSuccessRate(made, scoring));
    case 'kick':
      return plain(
        countKicks(
          attempts.map((each) => required(each.kick, 'kick')),
          scoring,
        ),
      );
    case 'break-score':
      return plain(
        countBreakScore(
          attempts.map((each) => required(each.opening, 'break')),
          scoring,
        ),
      );
    case 'call-it':
      return plain(
        countCalls(
          attempts.map((each) => required(each.call, 'call')),
          scoring,
        ),
      );
    case 'streak':
      return plain(countStreak(made, scoring));
  }
}

/** Attempts of a whole round; undefined where the round's own course ends it. */
export function attemptsOf({ scoring }: Pick<Drill, 'scoring'>): number | undefined {
  switch (scoring.method) {
    case 'balls-made':
      return scoring.trials;
    case 'break-points':
      return scoring.visits;
    case 'zone-points':
      return scoring.shots;
    case 'graded-contact':
      return scoring.stations;
    case 'call-it':
      return scoring.positions;
    case 'ladder-by-single':
    case 'clear-or-restart':
    case 'success-rate':
    case 'kick':
    case 'break-score':
    case 'streak':
      return scoring.attempts;
    case 'attempts-to-clear':
    case 'lives':
    case 'ladder-by-racks':
      return undefined;
  }
}

/**
 * The object balls of a layout that has fewer than the drill's: of two suits one with the last ball, else the first of
 * the text.
 * @param count undefined for all
 */
export function ballsOfAttempt(drill: Drill, count: number | undefined): readonly string[] {
  const all = objectBalls(drill);
  if (count === undefined || count >= all.length) return all;
  const order = drill.task.kind === 'clear' ? drill.task.order : undefined;
  if (order?.kind !== 'suits') return all.slice(0, count);
  const suit = order.suits[0] ?? [];
  const last = all.filter((id) => id === order.last);
  return [...all.filter((id) => suit.includes(id)).slice(0, count - last.length), ...last];
}
