import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { PathMark } from './marks.tsx';

/** The ways of a planned stroke: the cue ball's, and those of the balls that it moves. */
export function PlanPaths({ plan: { result } }: { readonly plan: PlannedShot }) {
  return (result.paths ?? [])
    .filter(({ id, pieces }) => id === CUE_BALL || pieces.length > 1)
    .map((path) => (
      <PathMark
        key={path.id}
        path={path}
        duration={result.duration}
        kind={path.id === CUE_BALL ? 'cue' : 'object'}
      />
    ));
}
