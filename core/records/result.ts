import { object } from 'yup';
import { RESULT_UNITS } from '../counting/result.ts';
import { choice, finite, flag } from './fields.ts';

export const resultSchema = object({
  value: finite(),
  unit: choice(RESULT_UNITS),
  better: choice(['high', 'low']),
  maximum: finite().nullable().defined(),
  complete: flag(),
  censored: flag(),
}).required();
