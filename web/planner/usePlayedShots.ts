import { useQueries, useQuery } from '@tanstack/react-query';
import { drillAsPlayed } from '../../core/drill/drillAsPlayed.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { Round } from '../../core/records/round.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import type { Game } from '../../core/table/preset.ts';
import { playerRoundsQuery } from '../api/players.ts';
import { revisionQuery } from '../api/drills.ts';
import { tableStateQuery } from '../api/tables.ts';
import { asPlayed } from '../table/tableChoice.ts';
import type { PlayedAt } from '../workers/protocol.ts';

/** So many of the newest rounds tell about a player; each drill, stage and table among them has to be solved. */
const ROUNDS = 12;

function newest(rounds: readonly Round[], game: Game): readonly Round[] {
  return rounds
    .filter(({ table, attempts }) => TABLE_PRESETS[table.preset].game === game && attempts.length > 0)
    .toSorted((a, b) => b.startedAt.localeCompare(a.startedAt))
    .slice(0, ROUNDS);
}

/** What a player played lately of position drills in a game, with the tables as they were. @param id null for nobody */
export function usePlayedShots(
  id: string | null,
  game: Game,
): {
  /** Reads it for the solver; undefined while it is not known. */
  readonly read: (() => readonly PlayedAt[]) | undefined;
  /** Changes when the rounds or their attempts do. */
  readonly key: readonly (readonly [string, number])[];
  readonly pending: boolean;
} {
  const rounds = useQuery({ ...playerRoundsQuery(id ?? ''), enabled: id !== null });
  const chosen = newest(id === null ? [] : (rounds.data ?? []), game);
  const texts = useQueries({ queries: chosen.map(({ drill, revision }) => revisionQuery(drill, revision)) });
  const states = useQueries({
    queries: chosen.map(({ table }) =>
      tableStateQuery({ id: table.id, revision: table.revision, conditionsId: table.conditionsId }),
    ),
  });
  const known = [...texts, ...states].every(({ isPending }) => !isPending);
  return {
    read:
      id === null || !known || chosen.length === 0
        ? undefined
        : () =>
            chosen.flatMap((round, i): PlayedAt[] => {
              const [text, state] = [texts[i]?.data, states[i]?.data];
              if (text === undefined || state === undefined) return [];
              const drill = atStage(drillAsPlayed(text.document, round), round.stage);
              if (!isPositionDrill(drill)) return [];
              return [{ drill, on: asPlayed(state), shots: round.attempts }];
            }),
    key: chosen.map((round) => [round.id, round.attempts.length]),
    pending: rounds.isPending,
  };
}
