import {
  array,
  boolean,
  mixed,
  number,
  object,
  string,
  type BooleanSchema,
  type NumberSchema,
  type StringSchema,
} from 'yup';

/** Schemas that several records share. All are strict: nothing is coerced at the edge. */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

/** What is said of a field that nobody knows: in a request, and in a document. */
export const UNKNOWN_IN_REQUEST = '${properties} is not a field of this request';
export const UNKNOWN = '${path} has the unknown field ${properties}';
export const MISSING = '${path} is missing';

/** Yes or no. */
export function flag(): BooleanSchema<boolean> {
  return boolean().strict().required(MISSING);
}

/** An id made by the client, so that a thing sent twice is stored once. */
export function uuid(): StringSchema<string> {
  return string().strict().required(MISSING).matches(UUID, '${path} must be a UUID');
}

export function text(longest: number): StringSchema<string> {
  return string()
    .strict()
    .typeError('${path} must be a text')
    .required(MISSING)
    .max(longest, `\${path} must be at most ${longest} characters`)
    .test('not-blank', MISSING, (value: string | null | undefined) => value?.trim() !== '');
}

export function finite(): NumberSchema<number> {
  return number()
    .strict()
    .typeError('${path} must be a number')
    .required(MISSING)
    .test(
      'finite',
      '${path} must be a finite number',
      (value: number | null | undefined) => value === null || value === undefined || Number.isFinite(value),
    );
}

export function count(least: number, most: number): NumberSchema<number> {
  return finite()
    .integer('${path} must be a whole number')
    .min(least, `\${path} must be at least ${least}`)
    .max(most, `\${path} must be at most ${most}`);
}

/** One of some words. */
export function choice<const T extends string>(values: readonly T[]) {
  return string()
    .strict()
    .required(MISSING)
    .oneOf(values, `\${path} must be one of ${values.join(', ')}`);
}

/** Refuses whatever it gets: for a union whose `field` names no member of it. */
export function noneOf(field: string, values: readonly string[]) {
  return mixed<never>()
    .required(MISSING)
    .test('none', `\${path}.${field} must be one of ${values.join(', ')}`, () => false);
}

/** A list of texts; strict, or its members would be made texts of whatever they are. */
export function texts(longest: number) {
  return array(text(longest)).strict().typeError('${path} must be a list').required(MISSING);
}

/** A time as ISO 8601 in UTC, as JavaScript writes it. */
export function instant(): StringSchema<string> {
  return string()
    .strict()
    .required(MISSING)
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,3})?Z$/, '${path} must be a time in UTC (ISO 8601)');
}

/** A place on the cloth, metres. */
export const pointSchema = object({ x: finite(), y: finite() }).exact(
  '${path} has the unknown field ${properties}',
);

/** A day of the club's calendar. */
export function day(): StringSchema<string> {
  return string()
    .strict()
    .required(MISSING)
    .matches(/^\d{4}-\d\d-\d\d$/, '${path} must be a day (2026-11-24)');
}

const LONGEST_NOTE = 2_500;

/** Rich text as HTML; the editor keeps of it what it knows, wherever it is shown. A record must fit into one request. */
export function note(): StringSchema<string> {
  return string()
    .strict()
    .defined(MISSING)
    .max(LONGEST_NOTE, `\${path} must be at most ${LONGEST_NOTE} characters`);
}
