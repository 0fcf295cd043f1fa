import { normalQuantile } from '../math/normal.ts';
import { createRandom } from '../random/random.ts';
import type { Draws } from './execute.ts';

/**
 * Errors of so many executions, in which each part takes every share of its distribution once, in a chance order (M. McKay,
 * R. Beckman, W. Conover 1979: Latin hypercube): with the same ones for all strokes, strokes differ by what they are.
 * @param executions ≥ 1 @param seed of the order
 */
export function latinDraws(executions: number, seed: number): readonly Draws[] {
  const random = createRandom(seed);
  const column = () => {
    const values = Array.from({ length: executions }, (_, k) => normalQuantile((k + 0.5) / executions));
    for (let k = executions - 1; k > 0; k--) {
      const other = Math.floor(random.uniform() * (k + 1));
      [values[k], values[other]] = [values[other]!, values[k]!];
    }
    return values;
  };
  const [line, pace, side, height, elevation] = [column(), column(), column(), column(), column()];
  return line.map((each, k) => ({
    line: each,
    pace: pace[k]!,
    side: side[k]!,
    height: height[k]!,
    elevation: elevation[k]!,
  }));
}
