import { array, object } from 'yup';
import { LEVEL_NAMES } from '../player/levels.ts';
import { MISSING, UNKNOWN_IN_REQUEST, finite } from './fields.ts';

/** The least results that reach each level, as the coach sets them; null for a level without one. */
export const fixedBandsSchema = object({
  from: array(finite().nullable().defined(MISSING))
    .required(MISSING)
    .length(LEVEL_NAMES.length, '${path} must hold five numbers, one a level'),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();
