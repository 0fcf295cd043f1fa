import { object, type InferType } from 'yup';
import { RESULT_UNITS } from '../counting/result.ts';
import { choice, finite, flag } from './fields.ts';
import { quickLook } from './quickLook.ts';

export const resultSchema = object({
  value: finite(),
  unit: choice(RESULT_UNITS),
  better: choice(['high', 'low']),
  maximum: finite().nullable().defined(),
  complete: flag(),
  censored: flag(),
}).required();

type Result = InferType<typeof resultSchema>;

function isResult(value: unknown): value is Result {
  if (typeof value !== 'object' || value === null) return false;
  const {
    value: number,
    unit,
    better,
    maximum,
    complete,
    censored,
  }: Partial<Record<keyof Result, unknown>> = value;
  return (
    Number.isFinite(number) &&
    typeof unit === 'string' &&
    RESULT_UNITS.some((each) => each === unit) &&
    (better === 'high' || better === 'low') &&
    (maximum === null || Number.isFinite(maximum)) &&
    typeof complete === 'boolean' &&
    typeof censored === 'boolean'
  );
}

/** The same as resultSchema in one look: a player's year has a thousand of them. */
export const storedResultSchema = quickLook('a result', isResult);
