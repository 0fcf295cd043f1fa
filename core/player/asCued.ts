import type { Shot } from '../motion/shot.ts';
import { cueingOf, hampered, type CueingOptions } from './cueing.ts';
import type { ExecutionError } from './levels.ts';

/**
 * A player's errors at a stroke as it has to be cued: over a ball, off a cushion, at a stretch or with the rest they are
 * larger. One rule for virtual players, benchmarks, tolerances and causes.
 * @throws RangeError when the struck ball is not on the table
 */
export function errorAsCued(
  { table, balls, strike }: Shot,
  error: ExecutionError,
  options: Omit<CueingOptions, 'tipHeight'> = {},
): ExecutionError {
  const cue = balls.find(({ id }) => id === strike.ball);
  if (cue === undefined) throw new RangeError(`errorAsCued: there is no ball ${strike.ball}`);
  const others = balls.filter((ball) => ball !== cue);
  const { because } = cueingOf(table, cue, others, strike.direction, {
    ...options,
    tipHeight: strike.tip.height,
  });
  return hampered(error, because);
}
