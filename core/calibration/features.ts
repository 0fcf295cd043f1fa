/** One playing of a shot as it was read: metres or seconds, undefined where nothing was read. */
export type Told = readonly (number | undefined)[];

/** By its middle and its width a reading becomes a number that is alike for all readings. */
export interface Scale {
  readonly middle: number;
  readonly width: number;
}

/** A width is at least so many errors of the tape or watch. */
const LEAST_WIDTH = 4;
/** A number beyond some widths counts as little more than that: a slip of the tape is not believed by its size. */
const MOST = 4;

/** Scales of a shot's readings, from how it was read. @param errors standard deviation of each reading */
export function scalesOf(times: readonly Told[], errors: readonly number[]): readonly Scale[] {
  return errors.map((error, i) => {
    const all = times.flatMap((each) => each[i] ?? []).toSorted((a, b) => a - b);
    // Medians: one wrong reading of several leaves them where they are.
    const middle = medianOf(all);
    const width = 1.5 * medianOf(all.map((value) => Math.abs(value - middle)).toSorted((a, b) => a - b));
    return { middle, width: Math.max(width, LEAST_WIDTH * error) };
  });
}

function medianOf(sorted: readonly number[]): number {
  const half = (sorted.length - 1) / 2;
  return ((sorted[Math.floor(half)] ?? 0) + (sorted[Math.ceil(half)] ?? 0)) / 2;
}

/**
 * What a shot says in numbers, each the mean over its playings: its readings, their products by twos (a harder stroke arrives
 * earlier and elsewhere, and together they say what neither says alone), and how often each could not be read.
 */
export function featuresOf(times: readonly Told[], scales: readonly Scale[]): readonly number[] {
  const each = times.map((read) => {
    const z = scales.map(({ middle, width }, i) => {
      const value = read[i];
      return value === undefined ? 0 : MOST * Math.tanh((value - middle) / width / MOST);
    });
    const products = z.flatMap((a, i) => z.slice(i).map((b) => a * b));
    return [...z, ...products, ...scales.map((_, i) => (read[i] === undefined ? 1 : 0))];
  });
  return (each[0] ?? []).map((_, j) => each.reduce((sum, row) => sum + (row[j] ?? 0), 0) / each.length);
}
