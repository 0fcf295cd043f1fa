import { type InferType, number, object } from 'yup';
import { SKILLS } from './drill.ts';
import { choice, count, finite, flag } from './fields.ts';

/** How a player does over time, as the server sums it up. */
export const COURSES = ['too few', 'up', 'down', 'plateau', 'open'] as const;

/** Rating points a week with the ends of their 90 % interval; null where it has none. */
export const slopeSchema = object({
  slope: finite(),
  low: number().nullable().defined(),
  high: number().nullable().defined(),
})
  .nullable()
  .defined();

export const ratingSchema = object({
  skill: choice(SKILLS),
  /** By what it is rated: rounds, or calls, against those of virtual players of each level. */
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
  comeback: flag(),
});

export type SkillRating = InferType<typeof ratingSchema>;
