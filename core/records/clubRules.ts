import { mixed, object, string, type InferType } from 'yup';
import { MISSING, UNKNOWN_IN_REQUEST, count } from './fields.ts';

/** Bounds of a club's rule of strain, minutes: at the table without a rest, and on one evening. */
export const STRAIN_BOUNDS = {
  restAfter: [10, 240],
  most: [10, 480],
} as const;

/** Whether a time zone of this name is known. */
export function isZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** A zone of a clock, as "Europe/Lisbon". */
export const zone = () =>
  string()
    .strict()
    .max(64, '${path} is too long')
    .test('zone', '${path} is no time zone', (name) => isZone(name ?? 'UTC'));

/** Yes or no; yes where nobody said. A strict schema would not take the default. */
const allowed = () =>
  mixed<boolean>((value): value is boolean => typeof value === 'boolean')
    .typeError('${path} must be true or false')
    .default(true)
    .required();

/** What a club has settled for itself. */
export const clubRulesSchema = object({
  /** Zone of its clock; null for that of whoever looks. */
  zone: zone().nullable().defined(MISSING),
  /** Minutes at the table after which a student rests. */
  restAfter: count(...STRAIN_BOUNDS.restAfter),
  /** Minutes at the table on one evening, at most. */
  most: count(...STRAIN_BOUNDS.most),
  /** Whether pictures of its tables may be read, a camera may look on, a second screen may be opened; older rules allow all. */
  pictures: allowed(),
  cameras: allowed(),
  screens: allowed(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();
export type ClubRules = InferType<typeof clubRulesSchema>;

/** What holds where a club has settled nothing. */
export const FIRST_RULES: ClubRules = {
  zone: null,
  restAfter: 60,
  most: 100,
  pictures: true,
  cameras: true,
  screens: true,
};
