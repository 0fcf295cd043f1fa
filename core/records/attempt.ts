import { type InferType, array, object, string } from 'yup';
import { CONTACT_GRADES } from '../counting/gradedContact.ts';
import { grade } from './breakLog.ts';
import { enteredSchema, kickSchema } from './entered.ts';
import { MISSING, UNKNOWN, choice, count, finite, flag, text } from './fields.ts';
import { loggedShotSchema, maybe } from './loggedShot.ts';

const DETAILS = ['quick', 'full'] as const;

export const SUIT_REASONS = [
  'fewer clusters',
  'shorter ways',
  'better key ball',
  'more balls open',
  'free choice',
] as const;

export const attemptLogSchema = object({
  detail: choice(DETAILS),
  /** The object balls with which it began; null for all of the drill's. */
  set: array(text(12)).strict().nullable().defined(MISSING).max(22, '${path} has at most 22 balls'),
  /** Which throw it was; null where nothing is thrown. */
  seed: count(1, 2 ** 31 - 1)
    .nullable()
    .defined(MISSING),
  /** Where thrown balls really lay, when not at the places of the seed. */
  places: array(object({ id: text(12), x: finite(), y: finite() }).exact(UNKNOWN))
    .nullable()
    .defined(MISSING)
    .max(22, '${path} has at most 22 balls'),
  /** Which suit the player chose, 0 or 1, and why; null where there is none to choose. */
  suit: object({ taken: count(0, 1), why: maybe(SUIT_REASONS) })
    .exact(UNKNOWN)
    .nullable()
    .defined(MISSING),
  entered: enteredSchema.nullable().defined(MISSING),
  shots: array(loggedShotSchema).required(MISSING).max(120, '${path} has at most 120 shots'),
})
  .exact(UNKNOWN)
  .required(MISSING);

export type AttemptLog = InferType<typeof attemptLogSchema>;

/** A log in which only what is given is noted. */
export function logOf(log: Partial<AttemptLog>): AttemptLog {
  return {
    detail: 'quick',
    set: null,
    seed: null,
    places: null,
    suit: null,
    entered: null,
    shots: [],
    ...log,
  };
}

/** What an attempt came to, as it is stored beside its log. */
export const countedSchema = object({
  done: flag(),
  balls: count(0, 100).optional(),
  points: finite().optional(),
  penalty: finite().optional(),
  target: text(12).optional(),
  grade: choice(CONTACT_GRADES).optional(),
  kick: kickSchema.optional().default(undefined),
  opening: object({ balls: count(0, 15), control: grade(), layout: grade(), inOff: flag() })
    .optional()
    .default(undefined),
  call: object({
    called: string().strict().required(),
    computed: string().strict().required(),
    played: string().strict().nullable().defined(),
  })
    .optional()
    .default(undefined),
});
