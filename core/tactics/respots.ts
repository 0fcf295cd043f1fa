import type { BallOnTable } from '../motion/shot.ts';
import { respotPlace } from '../rack/respot.ts';
import { spotsOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/**
 * The balls of a snooker table once the colours that fell are back on their spots: all of them while a red is left. Of the
 * last six none comes back: whether one was potted by right there is of no account to what is left.
 * @param left object balls that are on the table @param gone those that fell @param cue undefined when it fell as well
 */
export function withRespots(
  preset: TablePreset,
  left: readonly BallOnTable[],
  gone: readonly BallOnTable[],
  cue: BallOnTable | undefined,
): readonly BallOnTable[] {
  if (left.every(({ id }) => !id.startsWith('red'))) return left;
  const there = [...left];
  for (const ball of gone) {
    const spot = spotsOf(preset).find(({ name }) => name === ball.id);
    if (spot === undefined) continue;
    const others = cue === undefined ? there : [...there, cue];
    there.push({ ...ball, ...respotPlace(preset, { ...ball, ...spot.at }, others) });
  }
  return there;
}
