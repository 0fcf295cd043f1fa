import type { Fit } from '../../../core/calibration/fit.ts';
import { NO_NAMED_CUE, type Unknown } from '../../../core/calibration/unknowns.ts';
import type { CalibrationDocument } from '../../../core/records/calibration.ts';
import type { MeasuredValue, TableCard } from '../../../core/table/card.ts';
import type { Calibrated } from '../../workers/calibrationProtocol.ts';

/** A number is told where less than this share of what was open is left open. */
const TELLS = 0.75;
/** Two numbers that go together by more than this cannot be told apart. */
const TOGETHER = 0.8;

/** A number that the guided shots tell of. */
export interface FoundValue {
  readonly unknown: Unknown;
  readonly value: number;
  /** Standard deviation. */
  readonly deviation: number;
  readonly low: number;
  readonly high: number;
  /** Narrow enough to be believed more than the card. */
  readonly isTold: boolean;
}

/** What was found, number by number. */
export function foundValues({
  unknowns,
  fit: { values, low, high, deviations, open },
}: Pick<Calibrated, 'unknowns' | 'fit'>): readonly FoundValue[] {
  return unknowns.map((unknown, i) => {
    const value = values[i] ?? unknown.before;
    return {
      unknown,
      value,
      deviation: deviations[i] ?? unknown.spread,
      low: low[i] ?? value,
      high: high[i] ?? value,
      isTold: (open[i] ?? 1) < TELLS,
    };
  });
}

/** Pairs that cannot be told apart yet, by their places among the unknowns. */
export function entangled({ correlations }: Fit): readonly (readonly [number, number])[] {
  return correlations.flatMap((row, i) =>
    row.flatMap((value, j) => (j > i && Math.abs(value) > TOGETHER ? [[i, j] as const] : [])),
  );
}

/** A number as it is kept with the calibration. */
export function keptOf({
  unknown: { name, cue, before },
  value,
  deviation,
  isTold,
}: FoundValue): CalibrationDocument['found'][number] {
  return {
    name,
    cue: cue === undefined || cue === NO_NAMED_CUE ? null : cue,
    before,
    value,
    deviation,
    isTold,
  };
}

/** The card with what was found measured; what it had measured before of the same numbers is replaced. */
export function cardWith(card: TableCard, found: readonly FoundValue[], source: string): TableCard {
  const told = found.flatMap(({ unknown: { name }, value, isTold }): MeasuredValue | [] =>
    isTold && name !== 'endMass' ? { name, value: Number(value.toPrecision(4)), source } : [],
  );
  const names = new Set(told.map(({ name }) => name));
  return { ...card, measured: [...card.measured.filter(({ name }) => !names.has(name)), ...told] };
}
