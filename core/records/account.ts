import { type InferType, array, object, string } from 'yup';
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
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** What a player sends who was given a code: with it they make their own sign-in. */
export const codeSignInSchema = object({ code: text(20), email: email(), password: newPassword() })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** A code that a coach gives to a player; it is shown once. */
export const signInCodeSchema = object({ code: text(20), expiresAt: instant() }).required();

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
  empty: flag(),
  /** Sign-ins to show: those of the demo, none elsewhere. */
  demo: array(object({ name: text(80), role: role(), email: text(190), password: text(200) })).required(),
}).required();

export type Welcome = InferType<typeof welcomeSchema>;
