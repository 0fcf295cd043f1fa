import type { Round } from '../../core/records/club.ts';

/** What must be the same for two rounds to be compared. */
type Kind = Pick<Round, 'drill' | 'revision' | 'stage'> & {
  readonly table: Pick<Round['table'], 'fingerprint'>;
};

function sameTask(round: Round, to: Kind): boolean {
  return round.drill === to.drill && round.revision === to.revision && round.stage === to.stage;
}

/** Tries at a clearance that were given up count as worse than as many: other rounds count when they are complete. */
function isCounted({ result, attempts, endedAt }: Round): boolean {
  return result.complete || (result.unit === 'tries' && endedAt !== null && attempts.length > 0);
}

/** The counted rounds of the same drill, revision and stage on tables on which balls run alike, in the order given. */
export function comparableRounds(rounds: readonly Round[], to: Kind): readonly Round[] {
  return rounds.filter(
    (round) => sameTask(round, to) && round.table.fingerprint === to.table.fingerprint && isCounted(round),
  );
}

/** The rounds of the same drill, revision and stage that cannot be compared because balls ran otherwise. */
export function roundsOnUnlikeTables(rounds: readonly Round[], to: Kind): readonly Round[] {
  return rounds.filter((round) => sameTask(round, to) && round.table.fingerprint !== to.table.fingerprint);
}

/** The rounds of the same drill at another stage, or by another text of it. */
export function otherVariants(rounds: readonly Round[], to: Kind): readonly Round[] {
  return rounds.filter((round) => round.drill === to.drill && !sameTask(round, to));
}
