import { type InferType, array, object, string } from 'yup';
import { PRESET_IDS } from '../table/preset.ts';
import { choice, count, flag, instant, text, uuid, slug } from './fields.ts';
import { COURSES, ratingSchema, slopeSchema } from './rating.ts';
import { resultSchema } from './result.ts';
import { roundSumsSchema } from './roundSums.ts';

const tableSchema = object({
  id: uuid(),
  name: text(60),
  preset: choice(PRESET_IDS),
  revision: count(1, 100_000),
  conditionsId: uuid().nullable().defined(),
  fingerprint: text(500),
}).required();

const kindSchema = object({
  drill: slug(),
  ownDrill: flag(),
  revision: count(1, 100_000),
  stage: count(1, 9),
  /** Rung at which the last round began. */
  ladderStart: count(0, 21),
  table: tableSchema,
  rounds: count(1, 1e9),
  best: resultSchema,
  last: resultSchema,
  /** Of the last five, or as many as there are. */
  median: resultSchema,
  lastAt: instant(),
  course: choice(COURSES),
  slope: slopeSchema,
  comeback: flag(),
  streak: count(0, 1e6),
});

export type KindProgress = InferType<typeof kindSchema>;

const monthSchema = object({
  /** As "2026-11". */
  month: string()
    .strict()
    .required()
    .matches(/^\d{4}-\d\d$/),
  rounds: count(1, 1e9),
  sums: roundSumsSchema,
});

export type MonthSums = InferType<typeof monthSchema>;

export const progressSchema = object({
  ratings: array(ratingSchema).required(),
  /** Rounds of skills that no virtual player has set levels for yet. */
  unrated: count(0, 1e9),
  kinds: array(kindSchema).required(),
  /** What the shots add up to, month by month. */
  months: array(monthSchema).required(),
  /** Tables and drills of the period, whatever is chosen of them. */
  tables: array(object({ id: uuid(), name: text(60) })).required(),
  drills: array(text(60)).required(),
}).required();

export type PlayerProgress = InferType<typeof progressSchema>;
