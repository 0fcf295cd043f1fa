/** One figure of the benchmarks. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** What is asked for, for the table. */
  readonly wanted?: string;
  /** How many times as fast as a general-purpose engine. */
  readonly ratio?: number;
}

/** The middle of several runs' values; an odd number of runs. */
export function middle(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
}

/** The value below which a share of all lies. @param share 0…1 */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

/** Runs some work several times after a warm-up and gives the middle time, seconds. */
export function timed(work: () => void, runs = 5): number {
  work();
  const seconds = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return (performance.now() - start) / 1000;
  });
  return middle(seconds);
}

export function print(figure: Figure, json: boolean): void {
  if (json) {
    const { name, value, unit, ratio } = figure;
    console.log(JSON.stringify({ name, value, unit, ...(ratio === undefined ? {} : { ratio }) }));
    return;
  }
  const value =
    figure.value >= 100 ? Math.round(figure.value).toLocaleString('en') : figure.value.toPrecision(3);
  const wanted = figure.wanted === undefined ? '' : `  (${figure.wanted})`;
  const ratio =
    figure.ratio === undefined ? '' : `  ${figure.ratio.toFixed(0)} × a general-purpose engine at 1 ms`;
  console.log(`${figure.name.padEnd(28)} ${value.padStart(10)} ${figure.unit}${wanted}${ratio}`);
}
