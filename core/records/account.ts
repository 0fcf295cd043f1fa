import { type InferType, array, boolean, object, string } from 'yup';
import { clubRulesSchema, FIRST_RULES, zone } from './clubRules.ts';
import { MISSING, UNKNOWN_IN_REQUEST, flag, instant, text, uuid } from './fields.ts';

export const ROLES = ['coach', 'player'] as const;

export type Role = (typeof ROLES)[number];

/** Names the person by whom a request was entered, who may not be the one who is signed in when it is sent. */
export const PERSON_HEADER = 'x-jolly-person';

export const LEAST_PASSWORD = 10;

export const email = () =>
  text(190).email('${path} must be an e-mail address').lowercase('${path} must be in small letters');

export const newPassword = () =>
  text(200).min(LEAST_PASSWORD, `\${path} must have at least ${LEAST_PASSWORD} characters`);

const role = () => string().strict().required(MISSING).oneOf(ROLES, '${path} is unknown');

/** Requests. */
export const signInSchema = object({ email: text(190), password: text(200) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const newClubSchema = object({
  club: text(80),
  name: text(80),
  email: email(),
  password: newPassword(),
  /** Zone of the clock of whoever opens it. */
  zone: zone().optional(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** What somebody sends who was given a code: with it they make their own sign-in, or a new password for it. */
export const codeSignInSchema = object({ code: text(20), email: email(), password: newPassword() })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** A code that a coach gives to a player or another coach; it is shown once. */
export const signInCodeSchema = object({ code: text(20), expiresAt: instant() }).required();

/** A new password of one's own, with the one that it replaces. */
export const passwordChangeSchema = object({ current: text(200), password: newPassword() })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** A further coach, or the first one of a further club: they make their sign-in with a code. */
export const newCoachSchema = object({ name: text(80) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const furtherClubSchema = object({ club: text(80), coach: text(80) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const clubNameSchema = object({ name: text(80) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const coachChangeSchema = object({ removed: flag() }).exact(UNKNOWN_IN_REQUEST).required();

/** Replies. */
export const viewerSchema = object({
  id: uuid(),
  clubId: uuid(),
  club: text(80),
  role: role(),
  name: text(80),
  /** Looks after the installation: may found further clubs. */
  keeper: boolean().strict().default(false),
  /** What the club has settled. */
  rules: clubRulesSchema.default(FIRST_RULES),
}).required();

export type Viewer = InferType<typeof viewerSchema>;

export const welcomeSchema = object({
  /** The club has no coach yet: the first visitor makes it. */
  empty: flag(),
  /** Sign-ins to show: those of the demo, none elsewhere. */
  demo: array(object({ name: text(80), role: role(), email: text(190), password: text(200) })).required(),
}).required();

export type Welcome = InferType<typeof welcomeSchema>;

export const coachSchema = object({
  id: uuid(),
  name: text(80),
  hasSignIn: flag(),
  removed: flag(),
  keeper: flag(),
}).required();
export type Coach = InferType<typeof coachSchema>;
export const coachesSchema = array(coachSchema).required();

/** A person who was made, with the code for their first sign-in. */
export const invitedSchema = object({ id: uuid(), code: text(20), expiresAt: instant() }).required();

/** The clubs of an installation, for its keeper. */
export const clubsSchema = array(
  object({ id: uuid(), name: text(80), coaches: array(text(80)).required() }).required(),
).required();
