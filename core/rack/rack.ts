import type { BallOnTable } from '../motion/shot.ts';
import { spotsOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

export type RackKind = 'nine' | 'eight' | 'eight on the spot' | 'reds';

/** Rows from the head ball back; which numbers stand where beside the fixed ones is the racker's choice, here by turns. */
const ROWS: Readonly<Record<RackKind, readonly (readonly string[])[]>> = {
  nine: [['1'], ['2', '3'], ['4', '9', '5'], ['6', '7'], ['8']],
  eight: [['1'], ['9', '2'], ['10', '8', '3'], ['4', '11', '5', '12'], ['13', '6', '14', '15', '7']],
  'eight on the spot': [
    ['1'],
    ['9', '2'],
    ['10', '8', '3'],
    ['4', '11', '5', '12'],
    ['13', '6', '14', '15', '7'],
  ],
  reds: [
    ['red 1'],
    ['red 2', 'red 3'],
    ['red 4', 'red 5', 'red 6'],
    ['red 7', 'red 8', 'red 9', 'red 10'],
    ['red 11', 'red 12', 'red 13', 'red 14', 'red 15'],
  ],
};

/** The ids of a rack's balls, head ball first. */
export function rackIds(kind: RackKind): readonly string[] {
  return ROWS[kind].flat();
}

/** Rows between the head ball and the one on the eight's spot. */
const EIGHT_ROW = 2;
/** Between the pink and the head red, metres: as near as it stands without touching. */
const BEHIND_PINK = 0.001;

/**
 * The balls of a rack on its spot: head ball (or, on the small table, the eight) on the foot spot, reds behind the pink.
 * @param gap between neighbours, metres, ≥ 0
 * @throws RangeError when the table has no spot for the rack
 */
export function rackBalls(kind: RackKind, preset: TablePreset, gap = 0): readonly BallOnTable[] {
  const wanted = kind === 'reds' ? 'pink' : 'foot';
  const spot = spotsOf(preset).find((candidate) => candidate.name === wanted);
  if (spot === undefined) throw new RangeError(`rackBalls: ${preset.name} has no ${wanted} spot`);
  const { ballRadius: radius, ballMass: mass } = preset;
  const step = 2 * radius + gap;
  const row = (step * Math.sqrt(3)) / 2;
  const first =
    kind === 'reds' ? 2 * radius + BEHIND_PINK : kind === 'eight on the spot' ? -EIGHT_ROW * row : 0;
  return ROWS[kind].flatMap((ids, r) =>
    ids.map((id, k) => ({
      id,
      x: spot.at.x + first + r * row,
      y: spot.at.y + (k - (ids.length - 1) / 2) * step,
      radius,
      mass,
    })),
  );
}
