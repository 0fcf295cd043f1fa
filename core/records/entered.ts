import { type InferType, object } from 'yup';
import { LEAVE_GRADES } from '../counting/kickScore.ts';
import { openingSchema } from './breakLog.ts';
import { MISSING, UNKNOWN, choice, count, flag, text } from './fields.ts';

interface ToldMisses {
  readonly repeats: number;
  readonly missed?: { readonly left: number; readonly right: number; readonly short: number } | undefined;
}

/** Of misses that were not called none went anywhere. */
function tellsNoMore(kick: ToldMisses | null | undefined): boolean {
  if (kick?.missed === undefined) return true;
  const { left, right, short } = kick.missed;
  return left + right + short <= kick.repeats;
}

export const kickSchema = object({
  hit: flag(),
  legal: flag(),
  /** How often the miss was called and the shot played again. */
  repeats: count(0, 20),
  /** Where those misses went, as far as it was told. */
  missed: object({ left: count(0, 20), right: count(0, 20), short: count(0, 20) })
    .exact(UNKNOWN)
    .optional()
    .default(undefined),
  leave: choice(LEAVE_GRADES),
})
  .exact(UNKNOWN)
  .test('misses', '${path}.missed tells more misses than ${path}.repeats', tellsNoMore);

const callSchema = object({
  called: text(60),
  computed: text(60),
  played: text(60).nullable().defined(MISSING),
  /** The seed of the position, so that it can be shown again. */
  seed: count(1, 2 ** 31 - 1)
    .nullable()
    .defined(MISSING),
}).exact(UNKNOWN);

/** What the method takes at least, entered as such. */
export const enteredSchema = object({
  done: flag(),
  balls: count(0, 40).nullable().defined(MISSING),
  points: count(0, 200).nullable().defined(MISSING),
  penalty: count(0, 200).nullable().defined(MISSING),
  target: text(12).nullable().defined(MISSING),
  kick: kickSchema.nullable().defined(MISSING),
  opening: openingSchema.nullable().defined(MISSING),
  call: callSchema.nullable().defined(MISSING),
}).exact(UNKNOWN);

export type Entered = InferType<typeof enteredSchema>;

export const NOTHING_ENTERED: Entered = {
  done: false,
  balls: null,
  points: null,
  penalty: null,
  target: null,
  kick: null,
  opening: null,
  call: null,
};
