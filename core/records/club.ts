import { array, boolean, object, string, type InferType } from 'yup';
import { PRESET_IDS } from '../table/preset.ts';
import { drillSchema } from './drill.ts';
import { choice, count, finite, instant, pointSchema, text, uuid } from './fields.ts';
import { attemptLogSchema, countedSchema } from './attempt.ts';
import { adviceChoiceSchema, lessonRefSchema, outcome, resultSchema } from './round.ts';
import { tableStateSchema } from './tableCard.ts';

const UNKNOWN = '${properties} is not a field of this request';
export const ROLES = ['coach', 'player'] as const;
export type Role = (typeof ROLES)[number];
export const HANDS = ['right', 'left'] as const;

export const LEAST_PASSWORD = 10;

const email = () =>
  text(190).email('${path} must be an e-mail address').lowercase('${path} must be in small letters');
const newPassword = () =>
  text(200).min(LEAST_PASSWORD, `\${path} must have at least ${LEAST_PASSWORD} characters`);
const role = () => string().strict().required('${path} is missing').oneOf(ROLES, '${path} is unknown');
const hand = () =>
  string().strict().required('${path} is missing').oneOf(HANDS, '${path} must be right or left');
const preset = () =>
  string().strict().required('${path} is missing').oneOf(PRESET_IDS, '${path} is not a table that we know');

/** Requests. */
export const signInSchema = object({ email: text(190), password: text(200) })
  .exact(UNKNOWN)
  .required();
export const newClubSchema = object({
  club: text(80),
  name: text(80),
  email: email(),
  password: newPassword(),
})
  .exact(UNKNOWN)
  .required();
/** A player may get a sign-in at once: then both e-mail and password are given. */
export const newPlayerSchema = object({
  name: text(80),
  hand: hand(),
  email: email().nullable().defined('${path} is missing'),
  password: newPassword().nullable().defined('${path} is missing'),
})
  .exact(UNKNOWN)
  .required()
  .test(
    'both',
    'password is missing: an e-mail address needs a password with it',
    (value) => (value.email === null) === (value.password === null),
  );
/** What a player sends who was given a code: with it they make their own sign-in. */
export const codeSignInSchema = object({ code: text(20), email: email(), password: newPassword() })
  .exact(UNKNOWN)
  .required();
/** A code that a coach gives to a player; it is shown once. */
export const signInCodeSchema = object({ code: text(20), expiresAt: instant() }).required();
export const playerChangeSchema = object({
  name: text(80),
  hand: hand(),
  archived: boolean().strict().required(),
})
  .exact(UNKNOWN)
  .required();
export const newTableSchema = object({ name: text(60), preset: preset() })
  .exact(UNKNOWN)
  .required();
export type PlayerChange = InferType<typeof playerChangeSchema>;

/** Replies. */
export const viewerSchema = object({
  id: uuid(),
  clubId: uuid(),
  club: text(80),
  role: role(),
  name: text(80),
}).required();
export type Viewer = InferType<typeof viewerSchema>;

export const welcomeSchema = object({
  /** The club has no coach yet: the first visitor makes it. */
  empty: boolean().strict().required(),
  /** Sign-ins to show: those of the demo, none elsewhere. */
  demo: array(object({ name: text(80), role: role(), email: text(190), password: text(200) })).required(),
}).required();
export type Welcome = InferType<typeof welcomeSchema>;

export const playerSchema = object({
  id: uuid(),
  name: text(80),
  hand: hand(),
  archived: boolean().strict().required(),
  hasSignIn: boolean().strict().required(),
  rounds: count(0, 1e9),
  lastRoundAt: instant().nullable().defined(),
}).required();
export type Player = InferType<typeof playerSchema>;
export const playersSchema = array(playerSchema).required();

export const drillEntrySchema = object({ revision: count(1, 100_000), document: drillSchema }).required();
export type DrillEntry = InferType<typeof drillEntrySchema>;
/** A drill to choose: the newest text of one that ships, or of one that the club wrote itself. */
export const listedDrillSchema = drillEntrySchema.shape({
  own: boolean().strict().required(),
  archived: boolean().strict().required(),
  favourite: boolean().strict().required(),
});
export type ListedDrill = InferType<typeof listedDrillSchema>;
export const listedDrillsSchema = array(listedDrillSchema).required();

/** A text that the club sends: on which revision it was written, null for a new drill. */
export const drillChangeSchema = object({
  document: drillSchema,
  basedOn: count(1, 100_000).nullable().defined('${path} is missing'),
})
  .exact(UNKNOWN)
  .required();

export const archivedSchema = object({ archived: boolean().strict().required('${path} is missing') })
  .exact(UNKNOWN)
  .required();
export const favouriteSchema = object({ favourite: boolean().strict().required('${path} is missing') })
  .exact(UNKNOWN)
  .required();

/** A drill that comes from a file, and what became of it. */
export const importSchema = object({ document: drillSchema }).exact(UNKNOWN).required();
export const importReplySchema = object({
  outcome: choice(['added', 'new revision', 'already here']),
  slug: text(60),
  revision: count(1, 100_000),
}).required();
export type ImportReply = InferType<typeof importReplySchema>;

export const drillRevisionSchema = object({
  revision: count(1, 100_000),
  title: text(80),
  writtenBy: text(80).nullable().defined(),
  writtenAt: instant(),
  rounds: count(0, 1e9),
}).required();
export type DrillRevision = InferType<typeof drillRevisionSchema>;
export const drillRevisionsSchema = array(drillRevisionSchema).required();

export const attemptSchema = object({
  id: uuid(),
  ordinal: count(1, 100),
  /** In a word: done, not done, or the cue ball lost. */
  outcome: outcome(),
  /** Where the cue ball stopped after a single shot that was done, metres. */
  landing: pointSchema.nullable().defined(),
  points: finite(),
  /** Metres past the plan along the cue ball's way and to its left; null without a landing. */
  along: finite().nullable().defined(),
  across: finite().nullable().defined(),
  log: attemptLogSchema,
  counted: countedSchema,
  playedAt: instant(),
  /** Told otherwise afterwards. */
  changed: object({ reason: text(200), by: text(80), at: instant() })
    .nullable()
    .defined()
    .default(null),
}).required();
export type StoredAttempt = InferType<typeof attemptSchema>;

/** Another entry for a shot that was scored already: the coach settles which one stands. */
export const conflictSchema = object({ attempt: attemptSchema, by: text(80) }).required();
export type Conflict = InferType<typeof conflictSchema>;

export const roundSchema = object({
  id: uuid(),
  player: object({ id: uuid(), name: text(80), hand: hand() }).required(),
  /** Which table, and how balls ran on it: rounds with unlike fingerprints are not compared without saying so. */
  table: object({
    id: uuid(),
    name: text(60),
    preset: preset(),
    revision: count(1, 100_000),
    conditionsId: uuid().nullable().defined(),
    fingerprint: text(500),
  }).required(),
  drill: text(60),
  /** The club wrote the drill itself. */
  ownDrill: boolean().strict().default(false),
  revision: count(1, 100_000),
  stage: count(1, 9),
  ladderStart: count(0, 21),
  seed: count(1, 2 ** 31 - 1),
  lesson: lessonRefSchema.nullable().defined(),
  startedAt: instant(),
  endedAt: instant().nullable().defined(),
  early: boolean().strict().nullable().defined(),
  attempts: array(attemptSchema).required(),
  result: resultSchema,
  advice: adviceChoiceSchema.nullable().defined(),
}).required();
export type Round = InferType<typeof roundSchema>;
export const roundsSchema = array(roundSchema).required();

/** A round without its attempts. */
export const roundHeadSchema = roundSchema.omit(['attempts']);
export type RoundHead = InferType<typeof roundHeadSchema>;
export const roundHeadsSchema = array(roundHeadSchema).required();

/** A round to play: with the drill at the revision, and the table in the state, in which it was opened. */
export const openRoundSchema = object({
  round: roundSchema,
  document: drillSchema,
  tableState: tableStateSchema,
  /** The shots of an attempt that is not over. */
  underWay: attemptLogSchema.nullable().defined(),
  conflicts: array(conflictSchema).required(),
}).required();
export type OpenRound = InferType<typeof openRoundSchema>;

export const roundSummarySchema = object({
  id: uuid(),
  playerId: uuid(),
  player: text(80),
  drill: text(60),
  stage: count(1, 9),
  table: text(60),
  result: resultSchema,
  played: count(0, 100),
  startedAt: instant(),
  endedAt: instant().nullable().defined(),
}).required();
export type RoundSummary = InferType<typeof roundSummarySchema>;

/** What is on today: rounds still open, rounds just played, and who has not practised for longest. */
export const todaySchema = object({
  open: array(roundSummarySchema).required(),
  recent: array(roundSummarySchema).required(),
  waiting: array(playerSchema).required(),
}).required();
export type Today = InferType<typeof todaySchema>;

/** What became of an attempt; in conflict it waits beside another entry for the same shot. */
export const storedSchema = object({
  attempt: attemptSchema,
  conflict: boolean().strict().required(),
}).required();
