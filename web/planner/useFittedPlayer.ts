import { skipToken, useQueries, useQuery } from '@tanstack/react-query';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { FittedExecution } from '../../core/player/fitExecution.ts';
import type { ExecutionError } from '../../core/player/levels.ts';
import type { Round } from '../../core/records/round.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import type { Game } from '../../core/table/preset.ts';
import { playerRoundsQuery } from '../api/players.ts';
import { revisionQuery } from '../api/drills.ts';
import { tableStateQuery } from '../api/tables.ts';
import { asPlayed } from '../table/tableChoice.ts';
import { fitPlayer } from '../workers/solver.ts';
import type { PlayedAt } from '../workers/protocol.ts';

/** So many of the newest rounds tell about a player; each drill, stage and table among them has to be solved. */
const ROUNDS = 12;

function newest(rounds: readonly Round[], game: Game): readonly Round[] {
  return rounds
    .filter(({ table, attempts }) => TABLE_PRESETS[table.preset].game === game && attempts.length > 0)
    .toSorted((a, b) => b.startedAt.localeCompare(a.startedAt))
    .slice(0, ROUNDS);
}

/**
 * A player's errors of execution, fitted to the newest rounds of position drills in a game.
 * @param id undefined fits nobody
 */
export function useFittedPlayer(
  id: string | null,
  game: Game,
  assumed: ExecutionError,
): { readonly fitted: FittedExecution | undefined; readonly pending: boolean } {
  const rounds = useQuery({ ...playerRoundsQuery(id ?? ''), enabled: id !== null });
  const chosen = newest(id === null ? [] : (rounds.data ?? []), game);
  const texts = useQueries({ queries: chosen.map(({ drill, revision }) => revisionQuery(drill, revision)) });
  const states = useQueries({
    queries: chosen.map(({ table }) =>
      tableStateQuery({ id: table.id, revision: table.revision, conditionsId: table.conditionsId }),
    ),
  });
  const known = [...texts, ...states].every(({ isPending }) => !isPending);
  const fit = useQuery({
    queryKey: ['fit', id, game, assumed, chosen.map((round) => [round.id, round.attempts.length])],
    staleTime: Infinity,
    queryFn:
      id === null || !known || chosen.length === 0
        ? skipToken
        : () => {
            const played = chosen.flatMap((round, i): PlayedAt[] => {
              const [text, state] = [texts[i]?.data, states[i]?.data];
              if (text === undefined || state === undefined) return [];
              const drill = atStage(text.document, round.stage);
              if (!isPositionDrill(drill)) return [];
              return [{ drill, on: asPlayed(state), shots: round.attempts }];
            });
            return fitPlayer(played, assumed);
          },
  });
  return {
    fitted: fit.data,
    pending: id !== null && fit.data === undefined && (rounds.isPending || fit.isFetching),
  };
}
