import { isComparable } from '../../core/counting/result.ts';
import type { Round, RoundHead } from '../../core/records/round.ts';

/** What must be the same for two rounds to be compared. */
type Kind = Pick<Round, 'drill' | 'revision' | 'stage'> & {
  readonly table: Pick<Round['table'], 'fingerprint'>;
};

function sameTask(round: Kind, to: Kind): boolean {
  return round.drill === to.drill && round.revision === to.revision && round.stage === to.stage;
}

/** The counted rounds of the same drill, revision and stage on tables on which balls run alike, in the order given. */
export function comparableRounds<R extends RoundHead>(rounds: readonly R[], to: Kind): readonly R[] {
  return rounds.filter(
    (round) =>
      sameTask(round, to) && round.table.fingerprint === to.table.fingerprint && isComparable(round.result),
  );
}

/** The rounds of the same drill, revision and stage that cannot be compared because balls ran otherwise. */
export function roundsOnUnlikeTables<R extends RoundHead>(rounds: readonly R[], to: Kind): readonly R[] {
  return rounds.filter((round) => sameTask(round, to) && round.table.fingerprint !== to.table.fingerprint);
}

/** The rounds of the same drill at another stage, or by another text of it. */
export function otherVariants<R extends RoundHead>(rounds: readonly R[], to: Kind): readonly R[] {
  return rounds.filter((round) => round.drill === to.drill && !sameTask(round, to));
}
