import dayjs from 'dayjs';
import utc from 'dayjs/plugin/utc.js';
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

dayjs.extend(utc);

/** Schemas that several records share. All are strict: nothing is coerced at the edge. */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
const SLUG = /^[a-z0-9-]+$/;
const LONGEST_SLUG = 60;
const INSTANT = /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d):(\d\d)(\.\d{1,3})?Z$/;
const DAY = /^\d{4}-\d\d-\d\d$/;
const [FIRST_YEAR, LAST_YEAR] = [1900, 2200];

/** Whether a text is an id: the one rule for addresses, bodies and what is stored. */
export const isUuid = (text: string): boolean => UUID.test(text);

/** Whether a text can be the name of a drill in an address. */
export const isSlug = (text: string): boolean => text.length <= LONGEST_SLUG && SLUG.test(text);

/** Whether a text is a time in UTC that there is, within the years that are kept. */
export function isInstant(text: string): boolean {
  const [, day, hour, minute, second] = INSTANT.exec(text) ?? [];
  if (day === undefined || !isDay(day)) return false;
  return Number(hour) < 24 && Number(minute) < 60 && Number(second) < 60;
}

/** Whether a text is a day that there is, within the years that are kept. */
export function isDay(text: string): boolean {
  if (!DAY.test(text)) return false;
  const year = Number(text.slice(0, 4));
  // A day that there is not is taken for another: 30 February is one in March.
  return dayjs.utc(text).format('YYYY-MM-DD') === text && year >= FIRST_YEAR && year <= LAST_YEAR;
}

/** What is said of a field that nobody knows: in a request, and in a document. */
export const UNKNOWN_IN_REQUEST = '${properties} is not a field of this request';
export const UNKNOWN = '${path} has the unknown field ${properties}';
export const MISSING = '${path} is missing';

/** A rule for texts that says nothing of a text that may be missing, and is. */
const whenThere = (holds: (text: string) => boolean) => (value: string | null | undefined) =>
  value === null || value === undefined || holds(value);

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

/** The name of a drill in addresses. */
export function slug(): StringSchema<string> {
  return text(LONGEST_SLUG).matches(SLUG, '${path} may hold small letters, digits and hyphens only');
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
    .test(
      'instant',
      `\${path} must be a time in UTC (ISO 8601) from ${FIRST_YEAR} to ${LAST_YEAR}`,
      whenThere(isInstant),
    );
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
    .test('day', `\${path} must be a day (2026-11-24) from ${FIRST_YEAR} to ${LAST_YEAR}`, whenThere(isDay));
}

const LONGEST_NOTE = 2_500;

/** Rich text as HTML; the editor keeps of it what it knows, wherever it is shown. A record must fit into one request. */
export function note(): StringSchema<string> {
  return string()
    .strict()
    .defined(MISSING)
    .max(LONGEST_NOTE, `\${path} must be at most ${LONGEST_NOTE} characters`);
}
