import { array, object, type InferType } from 'yup';
import { email } from './account.ts';
import { flag, instant, MISSING, slug, text, UNKNOWN_IN_REQUEST, uuid } from './fields.ts';
import { hand } from './player.ts';

/** What is put right afterwards, by a coach and with a reason. */

export const roundRemovalSchema = object({ removed: flag(), reason: text(200) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const roundMoveSchema = object({ playerId: uuid(), reason: text(200) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** A name, a hand, an e-mail address; null takes a sign-in's address away only where there is no sign-in. */
export const personCorrectionSchema = object({
  name: text(80),
  hand: hand(),
  email: email().nullable().defined(MISSING),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();
export type PersonCorrection = InferType<typeof personCorrectionSchema>;

export const mayRewriteSchema = object({ allowed: flag() }).exact(UNKNOWN_IN_REQUEST).required();

/** For good: whoever asks for it writes the name once more. */
export const erasureSchema = object({ name: text(80) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** A round that was put away. */
export const removedRoundSchema = object({
  id: uuid(),
  playerId: uuid(),
  player: text(80),
  drill: slug(),
  startedAt: instant(),
  removedAt: instant(),
}).required();
export type RemovedRound = InferType<typeof removedRoundSchema>;
export const removedRoundsSchema = array(removedRoundSchema).required();
