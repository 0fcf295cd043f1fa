import { distance } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { createRandom } from '../random/random.ts';
import type { Drill } from '../records/drill.ts';
import { buildPockets } from '../table/pockets.ts';
import type { TablePreset } from '../table/preset.ts';

/** Places that are tried for each ball; an area that is too full for its balls is told, not searched for ever. */
const MOST_TRIES = 2_000;
/** Thrown balls stay this far from the middle of a mouth, in mouths: none hangs in the jaws. */
const CLEAR_OF_MOUTH = 0.8;

/**
 * The thrown balls of a drill: at random in its area, clear of each other, of the placed balls and of the mouths.
 * @param seed the same seed throws the same layout
 * @throws RangeError when the balls do not fit into the area
 */
export function throwBalls(
  { thrown }: Pick<Drill, 'thrown'>,
  preset: TablePreset,
  placed: readonly BallOnTable[],
  seed: number,
): readonly BallOnTable[] {
  if (thrown === null) return [];
  const random = createRandom(seed);
  const { length, width, ballRadius: radius, ballMass: mass } = preset;
  const { from, to } = thrown.area;
  const apart = (1 + thrown.apart) * 2 * radius;
  const pockets = buildPockets(preset);
  const between = (low: number, high: number, size: number) => {
    const least = Math.max(low * size, apart - radius);
    const most = Math.min(high * size, size - apart + radius);
    return least + random.uniform() * (most - least);
  };
  const balls: BallOnTable[] = [];
  for (const id of thrown.balls) {
    let found: BallOnTable | undefined;
    for (let tries = 0; found === undefined && tries < MOST_TRIES; tries++) {
      const at = {
        x: between(from.along, to.along, length),
        y: between(from.across, to.across, width),
      };
      const clear =
        [...placed, ...balls].every((other) => distance(other, at) >= apart + other.radius - radius) &&
        pockets.every(({ name, mouth }) => {
          const size = name.startsWith('middle') ? preset.middle.mouth : preset.corner.mouth;
          return distance(mouth, at) >= CLEAR_OF_MOUTH * size + radius;
        });
      if (clear) found = { id, ...at, radius, mass };
    }
    if (found === undefined) throw new RangeError(`throwBalls: ball ${id} does not fit into the area`);
    balls.push(found);
  }
  return balls;
}
