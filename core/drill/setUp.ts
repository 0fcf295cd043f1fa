import type { BallOnTable } from '../motion/shot.ts';
import { rackBalls } from '../rack/rack.ts';
import type { Drill } from '../records/drill.ts';
import type { TablePreset } from '../table/preset.ts';
import { layOut } from './layout.ts';
import { throwBalls } from './throwBalls.ts';

/** Everything that a drill sets on a table. */
export interface SetUp {
  readonly placed: readonly BallOnTable[];
  readonly racked: readonly BallOnTable[];
  readonly thrown: readonly BallOnTable[];
}

/**
 * Sets a drill up on a table: what its text places, its rack, and what is thrown with a seed.
 * @param seed whole number ≥ 1; of no account where nothing is thrown
 * @throws RangeError when a place does not exist on this kind of table, or a thrown ball does not fit
 */
export function setUp(
  drill: Pick<Drill, 'balls' | 'rack' | 'thrown'>,
  preset: TablePreset,
  seed: number,
): SetUp {
  const placed = layOut(drill, preset);
  const racked = drill.rack === null ? [] : rackBalls(drill.rack.kind, preset);
  return { placed, racked, thrown: throwBalls(drill, preset, [...placed, ...racked], seed) };
}

/** All balls of a set-up, as the simulator takes them. */
export function ballsOfSetUp({ placed, racked, thrown }: SetUp): readonly BallOnTable[] {
  return [...placed, ...racked, ...thrown];
}
