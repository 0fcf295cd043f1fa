import { drawErrors, type Draws } from '../../player/execute.ts';
import { createRandom } from '../../random/random.ts';

const draw = (pace: number, height: number, side: number, line: number): Draws => ({
  line,
  pace,
  side,
  height,
  elevation: 0,
});
/** For a first look. */
export const ROUGH_DRAWS: readonly Draws[] = [draw(0.8, 0.4, 0.3, 0.3), draw(-0.8, -0.4, -0.3, -0.3)];
/** Spread evenly over what errors do: a fixed rule of points, the same for every stroke. */
export const CLOSE_DRAWS: readonly Draws[] = [
  draw(1.2, 0.3, 0.6, 0.3),
  draw(-1.2, -0.3, -0.6, 0.3),
  draw(0.4, -1.2, 0.3, -0.6),
  draw(-0.4, 1.2, -0.3, -0.6),
  draw(0.8, 0.8, -1, 0.6),
  draw(-0.8, -0.8, 1, 0.6),
  draw(0.1, 0.4, 0.5, -0.3),
  draw(-0.1, -0.4, -0.5, -0.3),
];

/** Pairs of opposite executions, drawn once, by which the best are told apart: a lost cue ball is rare, and seen by many. */
const SETTLING_PAIRS = 24;
export const SETTLING_DRAWS: readonly Draws[] = oppositeDraws(1, SETTLING_PAIRS);
/** Others, by which a stroke that was chosen is judged: those that chose it flatter it. */
export const JUDGING_DRAWS: readonly Draws[] = oppositeDraws(2, 2 * SETTLING_PAIRS);

function oppositeDraws(seed: number, pairs: number): Draws[] {
  const random = createRandom(seed);
  return Array.from({ length: pairs }, () => drawErrors(random)).flatMap((one) => [
    one,
    { ...draw(-one.pace, -one.height, -one.side, -one.line), elevation: -one.elevation },
  ]);
}
