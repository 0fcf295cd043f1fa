import { proxy } from 'comlink';
import { useEffect, useRef } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { RouteSearch } from '../../core/planning/routes.ts';
import { searchPlanner } from '../workers/planner.ts';
import type { NoPicture, PositionQuestion } from '../../core/planning/position/question.ts';
import { useSearch } from './useSearch.ts';

export interface RoutesFound {
  /** The best so far, or all; undefined where nothing leads there. */
  readonly search: RouteSearch | undefined;
  readonly running: boolean;
  /** What was found is of the question as it stands; else it is of the one before and cannot be played. */
  readonly current: boolean;
  /** Why the search came to no end. */
  readonly failed: Error | undefined;
  readonly stop: () => void;
}

/**
 * Searches routes for a question, the best so far as it goes; a new question takes the place of the old one.
 * @param key tells questions apart; undefined searches nothing
 * @param to a place where the cue ball is wanted, instead of the next ball's window
 */
export function useRoutes(
  key: string | undefined,
  question: PositionQuestion | undefined,
  to: Point | null,
): RoutesFound {
  const { state, ask, stop } = useSearch<RouteSearch, RouteSearch | NoPicture>('routes');
  const asking = useRef({ question, to });
  useEffect(() => {
    asking.current = { question, to };
  });
  useEffect(() => {
    const { question: asked, to: wanted } = asking.current;
    if (key === undefined || asked === undefined) return;
    ask(key, (tell) => searchPlanner().routes(asked, wanted, proxy(tell)));
    return () => void searchPlanner().cancel('routes');
  }, [key, ask]);

  const found =
    state.kind === 'answered'
      ? 'kind' in state.answer
        ? undefined
        : state.answer
      : state.kind === 'running' || state.kind === 'stopped'
        ? state.progress
        : undefined;
  const current = state.kind !== 'idle' && state.key === key;
  return {
    search: found,
    running: key !== undefined && (!current || state.kind === 'running'),
    current,
    failed: state.kind === 'failed' && current ? state.error : undefined,
    stop,
  };
}
