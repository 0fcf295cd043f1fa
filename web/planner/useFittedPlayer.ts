import { skipToken, useQuery } from '@tanstack/react-query';
import type { FittedExecution } from '../../core/player/fitExecution.ts';
import type { ExecutionError } from '../../core/player/levels.ts';
import type { Game } from '../../core/table/preset.ts';
import { fitPlayer } from '../workers/solver.ts';
import { usePlayedShots } from './usePlayedShots.ts';

/**
 * A player's errors of execution, fitted to the newest rounds of position drills in a game.
 * @param id null fits nobody
 */
export function useFittedPlayer(
  id: string | null,
  game: Game,
  assumed: ExecutionError,
): { readonly fitted: FittedExecution | undefined; readonly pending: boolean } {
  const { read, key, pending } = usePlayedShots(id, game);
  const fit = useQuery({
    queryKey: ['fit', id, game, assumed, key],
    staleTime: Infinity,
    queryFn: read === undefined ? skipToken : () => fitPlayer(read(), assumed),
  });
  return {
    fitted: fit.data,
    pending: id !== null && fit.data === undefined && (pending || fit.isFetching),
  };
}
