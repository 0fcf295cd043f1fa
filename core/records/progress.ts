import { array, boolean, number, object, string, type InferType } from 'yup';
import { PRESET_IDS } from '../table/preset.ts';
import { choice, count, finite, instant, text, uuid } from './fields.ts';
import { resultSchema } from './round.ts';
import { roundSumsSchema } from './roundSums.ts';
import { SKILLS } from './drill.ts';

/** How a player does over time, as the server sums it up. */

const COURSES = ['too few', 'up', 'down', 'plateau', 'open'] as const;

/** Rating points a week with the ends of their 90 % interval; null where it has none. */
const slopeSchema = object({
  slope: finite(),
  low: number().nullable().defined(),
  high: number().nullable().defined(),
})
  .nullable()
  .defined();

const ratingSchema = object({
  skill: choice(SKILLS),
  /** By what it is rated: rounds against virtual players' levels, or the share of calls that were right. */
  basis: choice(['rounds', 'calls']),
  rating: finite(),
  /** Ends of the 90 % interval. */
  low: finite(),
  high: finite(),
  rounds: count(1, 1e9),
  /** Tables that play unlike each other among the rounds; each was judged by the levels on its own. */
  tables: count(1, 1e6),
  course: choice(COURSES),
  slope: slopeSchema,
  comeback: boolean().strict().required(),
});
export type SkillRating = InferType<typeof ratingSchema>;

const tableSchema = object({
  id: uuid(),
  name: text(60),
  preset: choice(PRESET_IDS),
  revision: count(1, 100_000),
  conditionsId: uuid().nullable().defined(),
  fingerprint: text(500),
}).required();

const kindSchema = object({
  drill: text(60),
  ownDrill: boolean().strict().required(),
  revision: count(1, 100_000),
  stage: count(1, 9),
  table: tableSchema,
  rounds: count(1, 1e9),
  best: resultSchema,
  last: resultSchema,
  /** Of the last five, or as many as there are. */
  median: resultSchema,
  lastAt: instant(),
  course: choice(COURSES),
  slope: slopeSchema,
  comeback: boolean().strict().required(),
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

const proposalSchema = object({
  drill: text(60),
  stage: count(1, 9),
  skill: choice(SKILLS),
  behind: finite().nullable().defined(),
  shows: finite().nullable().defined(),
  restDays: finite().nullable().defined(),
  course: choice(COURSES).nullable().defined(),
});
/** Drills that somebody could practise next, the best first, with the figures that speak for them. */
export const proposalsSchema = array(proposalSchema).required();
export type NextDrill = InferType<typeof proposalSchema>;

const overviewSchema = object({
  playerId: uuid(),
  ratings: array(ratingSchema).required(),
  /** Kinds of rounds that go up, go down or have come to a plateau. */
  up: count(0, 1e6),
  down: count(0, 1e6),
  plateaus: count(0, 1e6),
  rounds: count(0, 1e9),
  lastAt: instant().nullable().defined(),
  /** Of the programmes, this week until today and all of it. */
  week: object({ planned: count(0, 1e6), done: count(0, 1e6), due: count(0, 1e6) }).required(),
});
export type PlayerOverview = InferType<typeof overviewSchema>;
/** All players of a club at a glance. */
export const clubOverviewSchema = array(overviewSchema).required();
