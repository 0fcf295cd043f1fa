/** A figure that is held to something. */
export interface Figure {
  /** part.what */
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** What was asked of it, in words. */
  readonly asked: string;
  readonly holds: boolean;
}

/** How much a part looks at, and on which seeds. */
export interface Asked {
  readonly seed: number;
  /** Share of the whole size, 0…1: short forms are tests. */
  readonly size: number;
}

export const atLeast = (name: string, value: number, least: number, unit: string): Figure => ({
  name,
  value,
  unit,
  asked: `at least ${String(least)}`,
  holds: value >= least,
});

export const atMost = (name: string, value: number, most: number, unit: string): Figure => ({
  name,
  value,
  unit,
  asked: `at most ${String(most)}`,
  holds: value <= most,
});

export const within = (
  name: string,
  value: number,
  [low, high]: readonly [number, number],
  unit: string,
): Figure => ({
  name,
  value,
  unit,
  asked: `${String(low)} to ${String(high)}`,
  holds: value >= low && value <= high,
});

/** Told without being held to anything. */
export const told = (name: string, value: number, unit: string): Figure => ({
  name,
  value,
  unit,
  asked: '',
  holds: true,
});
