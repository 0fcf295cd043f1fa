import { array, number, object, type InferType } from 'yup';
import { TABLE_UNKNOWNS } from '../calibration/unknowns.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { choice, count, finite, flag, instant, text, UNKNOWN, UNKNOWN_IN_REQUEST, uuid } from './fields.ts';
import { tableCardSchema } from './tableCard.ts';

/** Shots of a calibration, playings of a shot, readings of a playing: more are never offered. */
const MOST = { shots: 200, times: 10, readings: 10, numbers: 30 } as const;

const cue = () => uuid().nullable().defined();

/** A number that was found: for a cue's end whose, null for the cue that nobody named; SI. */
const foundSchema = object({
  name: choice([...TABLE_UNKNOWNS, 'endMass'] as const),
  cue: cue(),
  /** What the card had, what was found, and its standard deviation. */
  before: finite().min(0, '${path} must not be below 0'),
  value: finite().min(0, '${path} must not be below 0'),
  deviation: finite().min(0, '${path} must not be below 0'),
  /** Whether it was narrow enough to be taken into the card. */
  isTold: flag(),
}).required();

/** What was read of a guided shot that was played with one cue; metres and seconds, null where nothing was. */
export const readShotSchema = object({
  id: text(40),
  cue: cue(),
  /** Times by a recording, not by a watch. */
  isHeard: flag(),
  times: array(array(number().strict().nullable().defined()).max(MOST.readings).required())
    .max(MOST.times)
    .required(),
}).required();
export type ReadShot = InferType<typeof readShotSchema>;

export const calibrationDocumentSchema = object({
  level: choice(LEVEL_NAMES),
  read: array(readShotSchema).min(1, '${path} holds no shot').max(MOST.shots).required(),
  found: array(foundSchema).min(1, '${path} holds no number').max(MOST.numbers).required(),
  /** Places of shots that were not used, metres off: by the card, by what was found, by chance alone. */
  leftOut: object({ shots: count(1, MOST.shots), before: finite(), after: finite(), chance: finite() })
    .nullable()
    .defined()
    .default(undefined),
})
  .exact(UNKNOWN)
  .required();
export type CalibrationDocument = InferType<typeof calibrationDocumentSchema>;

export const calibrationSchema = object({
  id: uuid(),
  by: text(80).nullable().defined(),
  at: instant(),
  document: calibrationDocumentSchema,
}).required();
export type Calibration = InferType<typeof calibrationSchema>;

/** How a table's landings compare with those of the same players elsewhere; null where nobody can be compared. */
export const tableWatchSchema = object({
  /** Newest first. */
  calibrations: array(calibrationSchema).required(),
  /** Since this day's rounds are compared. */
  since: instant(),
  landings: object({
    /** A share of the planned way, + long. */
    along: finite(),
    deviation: finite(),
    players: count(1, 1e6),
    alike: count(0, 1e6),
    landings: count(1, 1e9),
    isTold: flag(),
  })
    .nullable()
    .defined()
    .default(undefined),
}).required();
export type TableWatch = InferType<typeof tableWatchSchema>;

/** What a coach sends to take a calibration into the card: both, and the cues' ends, are one change. */
export const takenCalibrationSchema = object({
  document: calibrationDocumentSchema,
  card: tableCardSchema,
  basedOn: count(1, 100_000),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();
