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

/** The drill played by another of its routes. @param number from 1; 0 is the plan itself. @throws RangeError for another */
export function onRoute(drill: PositionDrill, number: number): PositionDrill {
  if (number === 0) return drill;
  const route = drill.routes[number - 1];
  if (route === undefined) throw new RangeError(`onRoute: the drill has no route ${number}`);
  return { ...drill, plan: route.plan };
}

export function isPositionDrill(drill: Drill): drill is PositionDrill {
  return drill.task.kind === 'position' && drill.plan !== null && drill.scoring.method === 'zone-points';
}
