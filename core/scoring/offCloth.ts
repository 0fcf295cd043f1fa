import type { AttemptLog } from '../records/attempt.ts';
import type { TablePreset } from '../table/preset.ts';

/** A tap may be a little off the cloth, metres. */
const TAP_SLACK = 0.002;

/**
 * The first landing of a log where no cue ball can lie, by the field that says it, as "shots[0].landing.x"; undefined
 * when all lie on the cloth. A ball in the jaws is marked at the edge.
 */
export function offCloth(
  { shots }: Pick<AttemptLog, 'shots'>,
  { length, width, cueBallRadius }: Pick<TablePreset, 'length' | 'width' | 'cueBallRadius'>,
): string | undefined {
  const inset = cueBallRadius - TAP_SLACK;
  const beside = (value: number, size: number) => value < inset || value > size - inset;
  for (const [i, { landing }] of shots.entries()) {
    if (landing === null) continue;
    if (beside(landing.x, length)) return `shots[${i}].landing.x`;
    if (beside(landing.y, width)) return `shots[${i}].landing.y`;
  }
  return undefined;
}
