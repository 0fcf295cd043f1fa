import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { RouteSearch } from '../../core/planning/routes.ts';
import { searchPlanner } from '../workers/planner.ts';
import type { PositionQuestion } from '../workers/plannerProtocol.ts';

export interface RoutesFound {
  readonly search: RouteSearch | undefined;
  readonly running: boolean;
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
  const [found, setFound] = useState<{ key: string; search: RouteSearch | undefined; running: boolean }>();
  const asking = useRef({ question, to });

  useEffect(() => {
    asking.current = { question, to };
  });

  useEffect(() => {
    if (key === undefined) return;
    // Progress comes on a channel of its own and may be late: after the answer it counts no more.
    let left = false;
    let answered = false;
    const show = (search: RouteSearch | undefined, running: boolean) => {
      if (!left) setFound({ key, search, running });
    };
    const { question: asked, to: wanted } = asking.current;
    if (asked === undefined) return;
    void searchPlanner()
      .routes(
        asked,
        wanted,
        proxy((search: RouteSearch) => {
          if (!answered) show(search, true);
        }),
      )
      .then((answer) => {
        answered = true;
        if (answer !== 'cancelled') show('kind' in answer ? undefined : answer, false);
      })
      .catch(() => show(undefined, false));
    return () => {
      left = true;
      void searchPlanner().cancel('routes');
    };
  }, [key]);

  return {
    search: found?.search,
    running: key !== undefined && (found?.key !== key || found.running),
  };
}
