import dayjs from 'dayjs';
import utc from 'dayjs/plugin/utc.js';
import { array, object, string, type InferType } from 'yup';
import { choice, count, day, flag, instant, MISSING, text, UNKNOWN, uuid, slug } from './fields.ts';
import { roundHeadSchema } from './round.ts';

dayjs.extend(utc);

/** Weeks of practice of one player. */

export const ITEM_KINDS = ['practice', 'homework', 'before a match'] as const;

export const programmeItemSchema = object({
  id: uuid(),
  day: day(),
  drill: slug(),
  stage: count(1, 9),
  minutes: count(1, 240),
  kind: choice(ITEM_KINDS),
  note: string().strict().defined(MISSING).max(300, '${path} must be at most 300 characters'),
}).exact(UNKNOWN);
export type ProgrammeItem = InferType<typeof programmeItemSchema>;

export const MOST_WEEKS = 26;

const MONDAY = 1;
const weekdayOf = (text: string) => dayjs.utc(text).day();

export const programmeDocumentSchema = object({
  title: text(80),
  playerId: uuid(),
  /** The Monday with which it begins. */
  startDay: day(),
  weeks: count(1, MOST_WEEKS),
  matchDays: array(day()).required(MISSING).max(60, '${path} has at most 60 days'),
  items: array(programmeItemSchema)
    .required(MISSING)
    .max(200, '${path} has at most 200 entries')
    .test(
      'ids',
      '${path} names an entry twice',
      (items) => new Set(items.map(({ id }) => id)).size === items.length,
    ),
})
  .exact(UNKNOWN)
  .required();
export type ProgrammeDocument = InferType<typeof programmeDocumentSchema>;

export const programmeChangeSchema = object({
  // One from before may begin on another day: it can be read, and is put right when it is changed.
  document: programmeDocumentSchema.shape({
    startDay: day().test('monday', '${path} must be a Monday', (text) => weekdayOf(text) === MONDAY),
  }),
  basedOn: count(1, 1_000_000).nullable().defined(MISSING),
})
  .exact(UNKNOWN)
  .required();

/** Copies for several players; the ids are made by whoever sends them, so that each is made once. */
export const programmeCopiesSchema = object({
  copies: array(object({ id: uuid(), playerId: uuid() }).exact(UNKNOWN))
    .required(MISSING)
    .min(1, '${path} needs at least one player')
    .max(40, '${path} has at most 40 players'),
})
  .exact(UNKNOWN)
  .required();

export const tickSchema = object({ done: flag() }).exact(UNKNOWN).required();

export const programmeSchema = object({
  id: uuid(),
  version: count(1, 1_000_000),
  player: object({ id: uuid(), name: text(80) }).required(),
  archived: flag(),
  document: programmeDocumentSchema,
  /** What was ticked off. */
  ticks: array(object({ item: uuid(), at: instant() })).required(),
}).required();
export type Programme = InferType<typeof programmeSchema>;
export const programmesSchema = array(programmeSchema).required();

/** A programme with the rounds that its player played in its weeks. */
export const programmeWithRoundsSchema = object({
  programme: programmeSchema,
  rounds: array(roundHeadSchema).required(),
}).required();
export type ProgrammeWithRounds = InferType<typeof programmeWithRoundsSchema>;
