import { useCallback, useEffect, useReducer, useRef } from 'react';
import { searchPlanner } from '../workers/planner.ts';
import type { SearchKind } from '../workers/plannerProtocol.ts';
import { searchReducer, type SearchAction, type SearchState } from './searchState.ts';

export interface Search<P, A> {
  readonly state: SearchState<P, A>;
  /**
   * Asks; the question under way, if there is one, is given up.
   * @param key tells the question apart @param run asks the worker; "cancelled" is no answer
   */
  readonly ask: (key: string, run: (tell: (progress: P) => void) => Promise<A | 'cancelled'>) => void;
  /** Ends what is under way; what it has found stays. */
  readonly stop: () => void;
}

/** Asks the planner for what takes long: progress, stop, error and the latest answer, the same for every search. */
export function useSearch<P, A>(kind: SearchKind): Search<P, A> {
  const [state, dispatch] = useReducer<SearchState<P, A>, [SearchAction<P, A>]>(searchReducer, {
    kind: 'idle',
    number: 0,
  });
  const number = useRef(0);

  const ask = useCallback<Search<P, A>['ask']>((key, run) => {
    const own = ++number.current;
    dispatch({ kind: 'ask', number: own, key });
    run((progress) => dispatch({ kind: 'progress', number: own, progress })).then(
      (answer) =>
        dispatch(
          answer === 'cancelled' ? { kind: 'stop', number: own } : { kind: 'answer', number: own, answer },
        ),
      (error: unknown) =>
        dispatch({
          kind: 'fail',
          number: own,
          error: error instanceof Error ? error : new Error(String(error)),
        }),
    );
  }, []);

  const stop = useCallback(() => {
    dispatch({ kind: 'stop', number: number.current });
    void searchPlanner().cancel(kind);
  }, [kind]);

  // Whoever leaves the page waits for nothing any more.
  useEffect(() => () => void searchPlanner().cancel(kind), [kind]);

  return { state, ask, stop };
}
