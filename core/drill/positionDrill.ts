import type { Drill } from '../records/drill.ts';

type PositionTask = Extract<Drill['task'], { kind: 'position' }>;
type ZonePoints = Extract<Drill['scoring'], { method: 'zone-points' }>;

/** A drill of one planned shot that is scored by where the cue ball stops. */
export interface PositionDrill extends Drill {
  readonly task: PositionTask;
  readonly plan: NonNullable<Drill['plan']>;
  readonly scoring: ZonePoints;
}

/** A position drill with the revision of its text. */
export interface PositionEntry {
  readonly revision: number;
  readonly document: PositionDrill;
}

export function isPositionDrill(drill: Drill): drill is PositionDrill {
  return drill.task.kind === 'position' && drill.plan !== null && drill.scoring.method === 'zone-points';
}
