import { type InferType, array, boolean, object, string } from 'yup';
import { email, newPassword } from './account.ts';
import { MISSING, UNKNOWN_IN_REQUEST, count, flag, instant, text, uuid } from './fields.ts';

export const HANDS = ['right', 'left'] as const;

export const hand = () => string().strict().required(MISSING).oneOf(HANDS, '${path} must be right or left');

/** A player may get a sign-in at once: then both e-mail and password are given. */
export const newPlayerSchema = object({
  name: text(80),
  hand: hand(),
  email: email().nullable().defined(MISSING),
  password: newPassword().nullable().defined(MISSING),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required()
  .test(
    'both',
    'password is missing: an e-mail address needs a password with it',
    (value) => (value.email === null) === (value.password === null),
  );

export const playerChangeSchema = object({
  name: text(80),
  hand: hand(),
  archived: flag(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export type PlayerChange = InferType<typeof playerChangeSchema>;

export const playerSchema = object({
  id: uuid(),
  name: text(80),
  hand: hand(),
  archived: flag(),
  hasSignIn: flag(),
  /** A coach lets them change what coaches entered. */
  mayRewrite: boolean().strict().default(false),
  rounds: count(0, 1e9),
  lastRoundAt: instant().nullable().defined(),
}).required();

export type Player = InferType<typeof playerSchema>;

export const playersSchema = array(playerSchema).required();
