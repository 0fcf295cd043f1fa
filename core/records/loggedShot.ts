import { type InferType, array, boolean, object } from 'yup';
import { CONTACT_GRADES } from '../counting/gradedContact.ts';
import { POCKET_NAMES } from '../table/pockets.ts';
import { CAUSES } from './cause.ts';
import { CONDITIONS } from './drillText/conditions.ts';
import { MISSING, UNKNOWN, choice, finite, flag, pointSchema, text } from './fields.ts';

export const maybe = <const T extends string>(values: readonly T[]) =>
  choice(values).nullable().defined(MISSING);

export const SIDES_USED = ['none', 'left', 'right'] as const;

export const POCKET_SIDES = ['left', 'middle', 'right'] as const;

export const loggedShotSchema = object({
  /** The ball that was played at, and the pocket; null where nobody noted it. */
  ball: text(12).nullable().defined(MISSING),
  pocket: maybe(POCKET_NAMES),
  potted: array(text(12)).strict().required(MISSING).max(22, '${path} has at most 22 balls'),
  inOff: flag(),
  /** Conditions of the drill that the shot broke. */
  broken: array(choice(CONDITIONS)).strict().required(MISSING),
  /** Where the cue ball stopped, metres. */
  landing: pointSchema.nullable().defined(MISSING),
  /** Where other balls that it moved stopped, metres; left out where nobody tapped one. */
  moved: array(object({ id: text(12), x: finite(), y: finite() }).exact(UNKNOWN))
    .optional()
    .max(22, '${path} has at most 22 balls'),
  /** How the ball was met. */
  grade: maybe(CONTACT_GRADES),
  /** Which side of the pocket the ball went into, as seen from the ball. */
  pocketSide: maybe(POCKET_SIDES),
  side: maybe(SIDES_USED),
  /** Whether the planned stroke was played, or another one. */
  asPlanned: boolean().strict().nullable().defined(MISSING),
  cause: maybe(CAUSES),
  /** Whether the cause is the hint that the coach confirmed, or the coach's own. */
  causeBy: maybe(['hint', 'coach']),
  luck: flag(),
  /** It got out of trouble that an earlier shot had made. */
  rescue: flag(),
}).exact(UNKNOWN);

export type LoggedShot = InferType<typeof loggedShotSchema>;

/** A shot of which nothing is noted yet. */
export const BLANK_SHOT: LoggedShot = {
  ball: null,
  pocket: null,
  potted: [],
  inOff: false,
  broken: [],
  landing: null,
  grade: null,
  pocketSide: null,
  side: null,
  asPlanned: null,
  cause: null,
  causeBy: null,
  luck: false,
  rescue: false,
};
