import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { mean, median } from '../statistics/summary.ts';
import type { Table } from '../table/table.ts';
import type { Fit } from './fit.ts';
import { guidedError, playAll, type PlayedShot } from './madeUp.ts';
import type { Unknown } from './unknowns.ts';

/** How far places that were read lie from those foretold, by tables that know nothing of these shots. */
export interface LeftOut {
  /** How many shots it was asked of. */
  readonly shots: number;
  /** Means over these shots, metres: by the card as it was, and by what the other shots say. */
  readonly before: number;
  readonly after: number;
  /** What strokes and tape alone would leave, on a table that is known: nothing can be foretold better. */
  readonly chance: number;
}

/** So often a shot is played to foretell it: its middle is as sharp as the readings. */
const PLAYED = 40;

/**
 * How much better the table foretells than its card, on shots that were not used: of each shot its places along the cushions are
 * foretold by what all other shots say, and by the card, and held against what was read. Rests are left out: they tell how hard
 * somebody played.
 * @param played shots in the order in which they were fitted
 * @param fit with what the others say of each
 * @param player errors of whoever played
 * @returns undefined where there are fewer than two such shots, so that nothing is left to foretell one by
 */
export function errorsLeftOut(
  table: Table,
  unknowns: readonly Unknown[],
  played: readonly PlayedShot[],
  fit: Fit,
  player: ExecutionError,
  { seed = 3 } = {},
): LeftOut | undefined {
  const shots = played.filter(({ times }) => times.length > 0);
  if (shots.length < 2) return undefined;
  const error = guidedError(player);
  const asCard = unknowns.map(({ before }) => before);
  const errors = shots.flatMap((shot, k) => {
    const [before, after] = [asCard, fit.without[k] ?? asCard].map((values) =>
      placesOff(table, unknowns, values, shot, error, seed),
    );
    return before === undefined || after === undefined ? [] : [{ before, after }];
  });
  if (errors.length === 0) return undefined;
  return {
    shots: errors.length,
    before: mean(errors.map((each) => each.before.off)),
    after: mean(errors.map((each) => each.after.off)),
    chance: mean(errors.map((each) => each.after.chance)),
  };
}

interface Off {
  readonly off: number;
  readonly chance: number;
}

/**
 * How far the middle of what was read is from the middle of what a table foretells, and how far it would be by chance: means over the
 * places along cushions that were read, metres; undefined where none was.
 */
function placesOff(
  table: Table,
  unknowns: readonly Unknown[],
  values: readonly number[],
  shot: PlayedShot,
  error: ExecutionError,
  seed: number,
): Off | undefined {
  const often = { ...shot, times: Array.from({ length: PLAYED }, () => shot.guided.readings.map(() => 0)) };
  // The same strokes on both tables, so that chance takes no side.
  const [foretold = []] = playAll(table, unknowns, values, [often], error, createRandom(seed));
  const places = shot.guided.readings.flatMap((reading, i): Off[] => {
    const own = shot.times.flatMap((each) => each[i] ?? []);
    const there = foretold.flatMap((each) => each[i] ?? []);
    if (reading.kind !== 'meets' || own.length === 0 || there.length < own.length) return [];
    const middle = median(there);
    const groups = Array.from({ length: Math.floor(there.length / own.length) }, (_, g) =>
      Math.abs(median(there.slice(g * own.length, (g + 1) * own.length)) - middle),
    );
    return [{ off: Math.abs(median(own) - middle), chance: mean(groups) }];
  });
  if (places.length === 0) return undefined;
  return { off: mean(places.map(({ off }) => off)), chance: mean(places.map(({ chance }) => chance)) };
}
