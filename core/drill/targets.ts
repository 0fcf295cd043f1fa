import type { Target } from '../records/drill.ts';

/** The most points that one shot can earn in some targets; 0 where none gives points. */
export function mostTargetPoints(targets: readonly Target[]): number {
  return targets.reduce((most, target) => {
    if (target.kind === 'rings') return Math.max(most, ...target.rings.map((ring) => ring.points));
    return 'points' in target ? Math.max(most, target.points) : most;
  }, 0);
}
