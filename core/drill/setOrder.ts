import type { BallOnTable } from '../motion/shot.ts';
import type { Drill } from '../records/drill.ts';
import type { TablePreset } from '../table/preset.ts';
import { CUE_BALL } from './layout.ts';
import { placingOrder } from './placingOrder.ts';
import { setUp } from './setUp.ts';
import { stationsOf } from './station.ts';

/** The throw that is shown before the balls are thrown for a round. */
const SHOWN_SEED = 1;

/**
 * Placed balls in the order in which they are best set, then what is thrown; racked balls go into their triangle, and a cue ball that
 * takes places in turn has a list of its own.
 * @param seed whole number ≥ 1: which throw
 */
export function setOrder(drill: Drill, preset: TablePreset, seed = SHOWN_SEED): readonly BallOnTable[] {
  const { placed, thrown } = setUp(drill, preset, seed);
  const sorted = placingOrder(drill).flatMap((id) => placed.filter((ball) => ball.id === id));
  const set = [...sorted, ...thrown];
  return stationsOf(drill) > 1 ? set.filter(({ id }) => id !== CUE_BALL) : set;
}
