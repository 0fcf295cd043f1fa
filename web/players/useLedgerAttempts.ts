import { useQueries, useQuery } from '@tanstack/react-query';
import { atStage } from '../../core/drill/stage.ts';
import type { Round } from '../../core/records/round.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { revisionQuery } from '../api/drills.ts';
import { playerRoundsQuery } from '../api/players.ts';
import { tableStateQuery } from '../api/tables.ts';
import { asPlayed } from '../table/tableChoice.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import { ledgerAttempts, type LedgerAttempt } from './ledgerAttempts.ts';

/** So many of the newest rounds are looked at, and so many of their attempts are worked out. */
const ROUNDS = 16;
const ATTEMPTS = 16;

/** An attempt with all that its ledger needs. */
export interface AttemptToWork extends LedgerAttempt {
  readonly on: TableAsPlayed;
}

const isWritten = ({ attempts }: Round) =>
  attempts.some(({ log: { detail, shots } }) => detail === 'full' && shots.length > 0);

/** A player's newest clearances that were written down fully enough for a ledger, of all drills; undefined while it is not known. */
export function useLedgerAttempts(playerId: string): readonly AttemptToWork[] | undefined {
  const rounds = useQuery(playerRoundsQuery(playerId));
  const chosen = (rounds.data ?? [])
    .filter(isWritten)
    .toSorted((a, b) => b.startedAt.localeCompare(a.startedAt))
    .slice(0, ROUNDS);
  const texts = useQueries({ queries: chosen.map(({ drill, revision }) => revisionQuery(drill, revision)) });
  const states = useQueries({
    queries: chosen.map(({ table }) =>
      tableStateQuery({ id: table.id, revision: table.revision, conditionsId: table.conditionsId }),
    ),
  });
  if (rounds.data === undefined || [...texts, ...states].some(({ isPending }) => isPending)) return undefined;
  return chosen
    .flatMap((round, i) => {
      const [text, state] = [texts[i]?.data, states[i]?.data];
      if (text === undefined || state === undefined) return [];
      const drill = atStage(text.document, round.stage);
      if (drill.task.kind !== 'clear') return [];
      const on = asPlayed(state);
      const { carrying } = ledgerAttempts([round], drill, TABLE_PRESETS[round.table.preset]);
      return carrying.map((attempt): AttemptToWork => ({ ...attempt, on }));
    })
    .slice(0, ATTEMPTS);
}
