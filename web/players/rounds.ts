import type { Round, StoredAttempt } from '../../core/records/club.ts';

export function pointsOf(attempts: readonly Pick<StoredAttempt, 'points'>[]): number {
  return attempts.reduce((sum, attempt) => sum + attempt.points, 0);
}

/** What must be the same for two rounds to be compared. */
type Kind = Pick<Round, 'drill' | 'revision' | 'stage'> & { readonly table: Pick<Round['table'], 'preset'> };

/** The complete rounds of the same drill, revision, stage and kind of table, in the order given. */
export function comparableRounds(rounds: readonly Round[], to: Kind): readonly Round[] {
  return rounds.filter(
    (round) =>
      round.drill === to.drill &&
      round.revision === to.revision &&
      round.stage === to.stage &&
      round.table.preset === to.table.preset &&
      round.attempts.length >= round.shots,
  );
}
