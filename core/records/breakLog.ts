import { type InferType, boolean, object } from 'yup';
import { POCKET_NAMES } from '../table/pockets.ts';
import { MISSING, UNKNOWN, count, finite, flag, pointSchema, text } from './fields.ts';
import { maybe } from './loggedShot.ts';

export const WING_BALL = ['in', 'high', 'low', 'knocked away'] as const;

export const RACK_QUALITY = ['tight', 'one gap', 'loose'] as const;

export const BREAK_AIMS = ['head ball', 'second ball', 'edge of the pack'] as const;

export const BREAK_PACES = ['slow', 'controlled', 'firm', 'full'] as const;

export const CUE_BALL_ENDS = ['middle', 'head end', 'foot end', 'by a cushion', 'snookered'] as const;

export const NEXT_SHOTS = ['open', 'hard', 'nothing on'] as const;

export const RACK_BY = ['hand', 'sheet'] as const;

/** Nobody breaks faster, m/s. */
export const MOST_BREAK_SPEED = 20;

export const grade = () => count(0, 3);

export const openingSchema = object({
  balls: count(0, 15),
  control: grade(),
  layout: grade(),
  inOff: flag(),
  rack: maybe(RACK_QUALITY),
  rackBy: maybe(RACK_BY),
  cue: text(40).nullable().defined(MISSING),
  /** The cue ball's place before the break, metres. */
  from: pointSchema.nullable().defined(MISSING),
  aim: maybe(BREAK_AIMS),
  pace: maybe(BREAK_PACES),
  wing: maybe(WING_BALL),
  /** Where the first and the second ball went: pockets, or null for balls that stayed up. */
  first: maybe(POCKET_NAMES),
  second: maybe(POCKET_NAMES),
  cueBall: maybe(CUE_BALL_ENDS),
  nextShot: maybe(NEXT_SHOTS),
  runOut: boolean().strict().nullable().defined(MISSING),
  /** Of the cue ball, m/s, where it was measured; breaks that were logged before it could be have none. */
  speed: finite()
    .positive('${path} must be above 0')
    .max(MOST_BREAK_SPEED, `\${path} must be at most ${String(MOST_BREAK_SPEED)}`)
    .nullable()
    .optional()
    .default(null),
}).exact(UNKNOWN);

export type BreakLog = InferType<typeof openingSchema>;
