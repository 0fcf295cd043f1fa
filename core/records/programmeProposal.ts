import { array, object, string, type InferType } from 'yup';
import {
  MISSING,
  UNKNOWN,
  UNKNOWN_IN_REQUEST,
  choice,
  count,
  flag,
  instant,
  slug,
  text,
  uuid,
} from './fields.ts';
import { programmeItemSchema } from './programme.ts';

/** What somebody is asked about the weeks to come. */
export const PROPOSAL_KINDS = ['up', 'back', 'spread', 'swap', 'leave', 'rest'] as const;

const LONGEST_KEY = 120;

/** What becomes of an entry: another one in its place, or none. */
export const itemChangeSchema = object({
  item: uuid(),
  to: programmeItemSchema.nullable().defined(MISSING),
}).exact(UNKNOWN);
export type ItemChange = InferType<typeof itemChangeSchema>;

export const programmeProposalSchema = object({
  /** Tells it from others, and from one that other rounds speak for. */
  key: text(LONGEST_KEY),
  kind: choice(PROPOSAL_KINDS),
  /** The drill that it is about; null for a day of rest. */
  drill: slug().nullable().defined(MISSING),
  /** What was played that speaks for it; null where its kind says all. */
  shown: string().strict().nullable().defined(MISSING).max(200),
  changes: array(itemChangeSchema).required(MISSING).max(200),
}).exact(UNKNOWN);
export type ProgrammeProposal = InferType<typeof programmeProposalSchema>;

/** A proposal that was answered, as it is kept. */
export const keptAnswerSchema = object({
  proposal: programmeProposalSchema,
  /** The entries as they were. */
  before: array(programmeItemSchema).required(MISSING).max(200),
})
  .exact(UNKNOWN)
  .required();
export type KeptAnswer = InferType<typeof keptAnswerSchema>;

/** Yes or no to a proposal. */
export const proposalAnswerSchema = object({
  key: text(LONGEST_KEY),
  accepted: flag(),
  /** The programme's version that was looked at. */
  basedOn: count(1, 1_000_000),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** Takes an answer back. */
export const answerBackSchema = object({ key: text(LONGEST_KEY) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

const answeredSchema = object({
  key: text(LONGEST_KEY),
  kind: choice(PROPOSAL_KINDS),
  drill: slug().nullable().defined(),
  /** How many entries it was about. */
  entries: count(0, 200),
  accepted: flag(),
  by: text(80),
  at: instant(),
}).required();
export type AnsweredProposal = InferType<typeof answeredSchema>;

/** What could be changed in the weeks to come, and what was answered. */
export const programmeProposalsSchema = object({
  /** The programme's version that they are for. */
  version: count(1, 1_000_000),
  proposals: array(programmeProposalSchema).required(),
  answers: array(answeredSchema).required(),
}).required();
export type ProgrammeProposals = InferType<typeof programmeProposalsSchema>;
