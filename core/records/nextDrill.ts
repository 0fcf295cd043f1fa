import { type InferType, array, object } from 'yup';
import { SKILLS } from './drill.ts';
import { choice, count, finite, flag, slug } from './fields.ts';
import { COURSES } from './rating.ts';

const proposalSchema = object({
  drill: slug(),
  stage: count(1, 9),
  skill: choice(SKILLS),
  behind: finite().nullable().defined(),
  isSurelyBehind: flag(),
  shows: finite().nullable().defined(),
  restDays: finite().nullable().defined(),
  course: choice(COURSES).nullable().defined(),
});

/** Drills that somebody could practise next, the best first, with the figures that speak for them. */
export const proposalsSchema = array(proposalSchema).required();

export type NextDrill = InferType<typeof proposalSchema>;
