import { array, object, type InferType } from 'yup';
import { BREAK_AIMS, BREAK_PACES, MOST_BREAK_SPEED, RACK_BY, RACK_QUALITY, WING_BALL } from './breakLog.ts';
import { CAUSES } from './cause.ts';
import { SIDES_USED } from './loggedShot.ts';
import { choice, count, finite, text } from './fields.ts';
import { KICK_DISTANCES, kickSumSchema, MOST_CUSHIONS } from './kickSum.ts';
import { quickLook } from './quickLook.ts';

/** Places from which a break is played, as seen by the player. */
export const BREAK_PLACES = ['left', 'middle', 'right'] as const;

/** Fields along the table and across it in which cue balls of breaks are counted: squares, from the head end and the right. */
export const FIELDS_ALONG = 8;
export const FIELDS_ACROSS = 4;
const REST_FIELDS = FIELDS_ALONG * FIELDS_ACROSS;

const causeCountSchema = object({ cause: choice(CAUSES), count: count(1, 1e9) });

/** What became of the wing ball, in the breaks of which it was noted. */
const wingCountsSchema = object({
  in: count(0, 1e9),
  high: count(0, 1e9),
  low: count(0, 1e9),
  'knocked away': count(0, 1e9),
});
export type WingCounts = InferType<typeof wingCountsSchema>;

const breakSumSchema = object({
  cue: text(40).nullable().defined(),
  place: choice(BREAK_PLACES).nullable().defined(),
  aim: choice(BREAK_AIMS).nullable().defined(),
  pace: choice(BREAK_PACES).nullable().defined(),
  rackBy: choice(RACK_BY).nullable().defined(),
  /** The following are left out of rounds that ended before they were summed up. */
  rack: choice(RACK_QUALITY).nullable().optional(),
  /** The table's name. */
  table: text(60).nullable().optional(),
  /** The cue ball's speed, whole m/s, rounded down. */
  speed: count(0, MOST_BREAK_SPEED).nullable().optional(),
  breaks: count(1, 1e9),
  /** Breaks that potted a ball and kept the cue ball. */
  good: count(0, 1e9),
  inOffs: count(0, 1e9),
  /** Balls that fell in all. */
  balls: count(0, 1e9),
  /** Breaks that potted nothing. */
  dry: count(0, 1e9).optional(),
  /** Breaks after which it was noted whether the table was run out, and those that were. */
  followed: count(0, 1e9).optional(),
  runOuts: count(0, 1e9).optional(),
  /** Left out where nobody noted it, and of rounds that ended before it was counted. */
  wings: wingCountsSchema.optional().default(undefined),
});
/** Breaks that were played alike. */
export type BreakSum = InferType<typeof breakSumSchema>;

/** What the shots of a round add up to, kept beside its result so that a year is read without its shots. */
export const roundSumsSchema = object({
  /** Shots that were logged one by one. */
  shots: count(0, 1e9),
  withSide: count(0, 1e9),
  rescues: count(0, 1e9),
  lucky: count(0, 1e9),
  causes: array(causeCountSchema).required(),
  /** Landings that have a plan, and their errors against it, metres and square metres, summed up. */
  landings: object({
    count: count(0, 1e9),
    along: finite(),
    across: finite(),
    alongSquared: finite(),
    acrossSquared: finite(),
  }).required(),
  breaks: array(breakSumSchema).required(),
  /** How many cue balls of breaks came to rest in each field of the table; left out where none was marked. */
  breakRests: array(count(0, 1e9).required()).length(REST_FIELDS).optional(),
  /** Left out where there are none, and of rounds that ended before kicks were summed up. */
  kicks: array(kickSumSchema.required()).optional(),
}).required();
export type RoundSums = InferType<typeof roundSumsSchema>;

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null;
const isCount = (value: unknown) => Number.isInteger(value) && Number(value) >= 0;
const isOneOf = (values: readonly string[], value: unknown) =>
  typeof value === 'string' && values.includes(value);
const isNullOr = (values: readonly string[], value: unknown) => value === null || isOneOf(values, value);
const COUNTS = ['shots', 'withSide', 'rescues', 'lucky'] as const;
const LANDING_SUMS = ['along', 'across', 'alongSquared', 'acrossSquared'] as const;
const BREAK_COUNTS = ['breaks', 'good', 'inOffs', 'balls'] as const;

const LATER_COUNTS = ['dry', 'followed', 'runOuts'] as const;

const isMissingOr = (value: unknown, isRight: (value: unknown) => boolean) =>
  value === undefined || isRight(value);
const isWingCounts = (value: unknown) => isFields(value) && WING_BALL.every((name) => isCount(value[name]));

function isBreakSum(value: unknown): boolean {
  return (
    isFields(value) &&
    BREAK_COUNTS.every((name) => isCount(value[name])) &&
    (value['cue'] === null || typeof value['cue'] === 'string') &&
    isNullOr(BREAK_PLACES, value['place']) &&
    isNullOr(BREAK_AIMS, value['aim']) &&
    isNullOr(BREAK_PACES, value['pace']) &&
    isNullOr(RACK_BY, value['rackBy']) &&
    (value['rack'] === undefined || isNullOr(RACK_QUALITY, value['rack'])) &&
    isMissingOr(value['table'], (name) => name === null || typeof name === 'string') &&
    isMissingOr(value['speed'], (speed) => speed === null || isCount(speed)) &&
    LATER_COUNTS.every((name) => isMissingOr(value[name], isCount)) &&
    (value['wings'] === undefined || isWingCounts(value['wings']))
  );
}

const KICK_COUNTS = ['kicks', 'hits', 'called', 'left', 'right', 'short'] as const;

function isKickSum(value: unknown): boolean {
  if (!isFields(value)) return false;
  const { cushions } = value;
  return (
    KICK_COUNTS.every((name) => isCount(value[name])) &&
    (cushions === null || (isCount(cushions) && Number(cushions) <= MOST_CUSHIONS)) &&
    isOneOf(KICK_DISTANCES, value['distance']) &&
    isMissingOr(value['side'], (side) => isNullOr(SIDES_USED, side))
  );
}

function isRoundSums(value: unknown): value is RoundSums {
  if (!isFields(value)) return false;
  const { causes, landings, breaks, kicks } = value;
  return (
    COUNTS.every((name) => isCount(value[name])) &&
    Array.isArray(causes) &&
    causes.every((each) => isFields(each) && isOneOf(CAUSES, each['cause']) && isCount(each['count'])) &&
    isFields(landings) &&
    isCount(landings['count']) &&
    LANDING_SUMS.every((name) => Number.isFinite(landings[name])) &&
    Array.isArray(breaks) &&
    breaks.every(isBreakSum) &&
    isMissingOr(
      value['breakRests'],
      (rests) => Array.isArray(rests) && rests.length === REST_FIELDS && rests.every(isCount),
    ) &&
    (kicks === undefined || (Array.isArray(kicks) && kicks.every(isKickSum)))
  );
}

/** The same as roundSumsSchema in one look: a player's year has a thousand of them, and each field's own checks add up. */
export const storedSumsSchema = quickLook('sums of a round', isRoundSums);
