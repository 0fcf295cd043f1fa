import type { Fit } from '../../../core/calibration/fit.ts';
import { unknownsOf, type Unknown } from '../../../core/calibration/unknowns.ts';
import type { MeasuredValue, TableCard } from '../../../core/table/card.ts';
import type { TablePreset } from '../../../core/table/preset.ts';

/** Half of a 90 % interval, in standard deviations. */
const Z_90 = 1.645;
/** A number is told where less than this share of what was open is left open. */
const TELLS = 0.75;
/** Two numbers that go together by more than this cannot be told apart. */
const TOGETHER = 0.8;

/** A number that the guided shots tell of. */
export interface FoundValue {
  readonly unknown: Unknown;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Narrow enough to be believed more than the card. */
  readonly isTold: boolean;
}

/** What was found, number by number. @param preset as its card has it */
export function foundValues(preset: TablePreset, { values, deviations }: Fit): readonly FoundValue[] {
  return unknownsOf(preset, ['cue']).map((unknown, i) => {
    const [value, deviation] = [values[i] ?? unknown.before, deviations[i] ?? unknown.spread];
    const half = Z_90 * deviation;
    return {
      unknown,
      value,
      low: Math.max(0, value - half),
      high: value + half,
      isTold: deviation < TELLS * unknown.spread,
    };
  });
}

/** Pairs that cannot be told apart yet, by their places among the unknowns. */
export function entangled({ correlations }: Fit): readonly (readonly [number, number])[] {
  return correlations.flatMap((row, i) =>
    row.flatMap((value, j) => (j > i && Math.abs(value) > TOGETHER ? [[i, j] as const] : [])),
  );
}

/** The card with what was found measured; what it had measured before of the same numbers is replaced. */
export function cardWith(card: TableCard, found: readonly FoundValue[], source: string): TableCard {
  const told = found.flatMap(({ unknown: { name }, value, isTold }): MeasuredValue | [] =>
    isTold && name !== 'endMass' ? { name, value: Number(value.toPrecision(4)), source } : [],
  );
  const names = new Set(told.map(({ name }) => name));
  return { ...card, measured: [...card.measured.filter(({ name }) => !names.has(name)), ...told] };
}
