import { type InferType, array, object } from 'yup';
import { count, instant, uuid } from './fields.ts';
import { ratingSchema } from './rating.ts';

/** What is kept of a player's year. */
export const keptOverviewSchema = object({
  playerId: uuid(),
  ratings: array(ratingSchema).required(),
  /** Kinds of rounds that go up, go down or have come to a plateau. */
  up: count(0, 1e6),
  down: count(0, 1e6),
  plateaus: count(0, 1e6),
  rounds: count(0, 1e9),
  lastAt: instant().nullable().defined(),
}).required();

export type KeptOverview = InferType<typeof keptOverviewSchema>;

const overviewSchema = keptOverviewSchema.shape({
  /** Of the programmes, this week until today and all of it. */
  week: object({ planned: count(0, 1e6), done: count(0, 1e6), due: count(0, 1e6) }).required(),
});

export type PlayerOverview = InferType<typeof overviewSchema>;

/** All players of a club at a glance. */
export const clubOverviewSchema = array(overviewSchema).required();
