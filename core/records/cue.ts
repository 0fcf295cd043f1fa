import { array, object, string, type InferType } from 'yup';
import { choice, count, finite, flag, text, UNKNOWN, UNKNOWN_IN_REQUEST, uuid } from './fields.ts';

/** How the mass of a cue's end is known: measured by somebody, or from a shot with side. */
export const SQUIRT_BY = ['measured', 'test'] as const;
/** The heaviest end, grams. */
export const MOST_END_MASS = 100;

const words = () => string().strict().defined().max(40, '${path} must be at most 40 characters');

export const cueDocumentSchema = object({
  name: text(40),
  /** Whose it is; null for one of the house. */
  ownerId: uuid().nullable().defined(),
  /** Grams, and millimetres. */
  weight: count(300, 900).nullable().defined(),
  length: count(900, 1800).nullable().defined(),
  tip: words(),
  shaft: words(),
  /** Mass of the end that gives way when the ball is struck beside its middle, grams: it makes the squirt. */
  endMass: finite()
    .positive('${path} must be above 0')
    .max(MOST_END_MASS, `\${path} must be at most ${String(MOST_END_MASS)}`)
    .nullable()
    .defined(),
  squirtBy: choice(SQUIRT_BY).nullable().defined(),
})
  .exact(UNKNOWN)
  .required()
  .test(
    'squirt',
    '${path}.squirtBy says how endMass is known, and nothing without it',
    ({ endMass, squirtBy }) => (endMass === null) === (squirtBy === null),
  );
export type CueDocument = InferType<typeof cueDocumentSchema>;

/** The id comes with the address, so that a cue that is sent twice is there once. */
export const cueChangeSchema = object({ document: cueDocumentSchema, archived: flag() })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const cueSchema = object({ id: uuid(), archived: flag(), document: cueDocumentSchema }).required();
export type Cue = InferType<typeof cueSchema>;
export const cuesSchema = array(cueSchema).required();
