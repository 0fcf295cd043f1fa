import type { Round, StoredAttempt } from '../../core/records/club.ts';

export function pointsOf(attempts: readonly Pick<StoredAttempt, 'points'>[]): number {
  return attempts.reduce((sum, attempt) => sum + attempt.points, 0);
}

/** What must be the same for two rounds to be compared. */
type Kind = Pick<Round, 'drill' | 'revision' | 'stage'> & {
  readonly table: Pick<Round['table'], 'fingerprint'>;
};

function sameTask(round: Round, to: Kind): boolean {
  return round.drill === to.drill && round.revision === to.revision && round.stage === to.stage;
}

/** The complete rounds of the same drill, revision and stage on tables on which balls run alike, in the order given. */
export function comparableRounds(rounds: readonly Round[], to: Kind): readonly Round[] {
  return rounds.filter(
    (round) =>
      sameTask(round, to) &&
      round.table.fingerprint === to.table.fingerprint &&
      round.attempts.length >= round.shots,
  );
}

/** The rounds of the same drill, revision and stage that cannot be compared because balls ran otherwise. */
export function roundsOnUnlikeTables(rounds: readonly Round[], to: Kind): readonly Round[] {
  return rounds.filter((round) => sameTask(round, to) && round.table.fingerprint !== to.table.fingerprint);
}
