import type { Round } from '../../core/records/club.ts';

/** Rounds that can be compared with each other: same drill, revision and stage, on tables that play alike. */
export interface RoundKind extends Pick<Round, 'drill' | 'revision' | 'stage' | 'table'> {
  readonly key: string;
  readonly rounds: number;
  /** No newer revision of the drill has been played. */
  readonly newest: boolean;
}

/** The kinds among some rounds, the one played last first. */
export function kindsOf(rounds: readonly Round[]): readonly RoundKind[] {
  const counts = new Map<string, { round: Round; count: number }>();
  for (const round of rounds) {
    const key = [round.drill, round.revision, round.stage, round.table.fingerprint].join('.');
    const before = counts.get(key)?.count ?? 0;
    counts.delete(key);
    counts.set(key, { round, count: before + 1 });
  }
  return [...counts.entries()].reverse().map(([key, { round, count }]) => ({
    key,
    drill: round.drill,
    revision: round.revision,
    stage: round.stage,
    table: round.table,
    rounds: count,
    newest: rounds.every((other) => other.drill !== round.drill || other.revision <= round.revision),
  }));
}
