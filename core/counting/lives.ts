import type { RoundResult } from './result.ts';

export interface TargetAttempt {
  readonly target: string;
  readonly made: boolean;
}

export interface LivesSettings {
  readonly lives: number;
  readonly targets: readonly string[];
}

export interface LivesTally extends RoundResult {
  /** Targets that are still to be done, in their order. */
  readonly left: readonly string[];
}

/**
 * Lives lost until all targets are done: a miss costs one and the target stays, a done target is removed. Out of
 * lives with targets left, the result is censored. A try at a target that is done already does not count.
 */
export function countLives(
  attempts: readonly TargetAttempt[],
  { lives, targets }: LivesSettings,
): LivesTally {
  const left = new Set(targets);
  let lost = 0;
  for (const { target, made } of attempts) {
    if (lost >= lives || left.size === 0) break;
    if (!left.has(target)) continue;
    if (made) left.delete(target);
    else lost++;
  }
  return {
    value: lost,
    unit: 'lives',
    better: 'low',
    maximum: 0,
    complete: left.size === 0 || lost >= lives,
    censored: left.size > 0,
    left: targets.filter((target) => left.has(target)),
  };
}
