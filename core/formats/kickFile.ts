import { array, lazy, object, string, type InferType } from 'yup';
import { CUE_BALL } from '../drill/layout.ts';
import { toDegrees, toRadians } from '../math/angle.ts';
import { choice, finite, text } from '../records/fields.ts';
import { kickFamilies, rated, type RatedLine } from '../shot/kicks/kickFamilies.ts';
import { kickLines, type KickLine, type KickWish } from '../shot/kicks/kickLines.ts';
import { seenOf } from '../shot/kicks/seen.ts';
import type { KickPosition, KickStroke, Way } from '../shot/kicks/way.ts';
import { POCKET_NAMES } from '../table/pockets.ts';
import type { TablePreset } from '../table/preset.ts';
import {
  ballsSchema,
  checkLying,
  errorOf,
  isOfQuestion,
  lyingOf,
  placeSchema,
  playerSchema,
  tableSchema,
  UNKNOWN,
  whole,
} from './questionFields.ts';

/** The open file of a question for the ways to a ball: metres, m/s; angles in degrees. */
export const KICK_FORMAT = 'jolly-rail/kicks';
export const KICK_VERSION = 1;

/** Cushions before the ball, at most, where nothing is said. */
const CUSHIONS = 3;
const MOST_CUSHIONS = 8;
/** Who plays, where nothing is said. */
const PLAYER = 'team';

const strokeSchema = lazy((value: unknown) =>
  typeof value === 'string'
    ? string().strict().oneOf(['any'], '${path} must be a stroke or "any"').required()
    : object({
        speed: finite().moreThan(0, '${path} must be above zero').max(15, '${path} must be at most 15'),
        tip: object({ side: finite(), height: finite() }).exact(UNKNOWN).required('${path} is missing'),
        elevation: finite().min(0, '${path} must be at least 0').max(90, '${path} must be at most 90'),
      })
        .exact(UNKNOWN)
        .required('${path} is missing'),
);

const targetSchema = lazy((value: unknown) =>
  Array.isArray(value)
    ? array(text(12)).strict().required().min(1, '${path} must name at least one ball')
    : string().strict().typeError('${path} must be a ball or a list of balls').max(12).optional(),
);

/** A question as it stands in a file. */
export const kickFileSchema = object({
  format: choice([KICK_FORMAT]),
  version: finite().oneOf([KICK_VERSION], `version must be ${KICK_VERSION}`),
  table: tableSchema,
  balls: ballsSchema,
  cueBall: placeSchema,
  target: targetSchema,
  side: string()
    .strict()
    .oneOf(['left', 'right'] as const, 'side must be "left" or "right"')
    .optional(),
  pocket: string().strict().oneOf(POCKET_NAMES, 'pocket must name a pocket').optional(),
  stroke: strokeSchema,
  mostCushions: whole(0, MOST_CUSHIONS),
  player: lazy((value: unknown) =>
    value === undefined ? string().oneOf([PLAYER]).optional() : playerSchema,
  ),
}).exact(UNKNOWN);

type KickFile = InferType<typeof kickFileSchema>;

const strokeOf = ({ speed, tip, elevation }: KickStroke) => ({ speed, tip, elevation: toDegrees(elevation) });
const wayOf = ({ cushions, end, first }: Way) => ({ cushions, end, ball: first ?? null });

/** A line as it stands in an answer. */
function written(line: KickLine | RatedLine, preset: TablePreset) {
  const { low, high, cushions, first, aim, widthAtAim, below, above, covered, middle, pots } = line;
  const { pot, inOff, legal, rest } = middle;
  const isLong = aim?.cushion === 'left' || aim?.cushion === 'right';
  return {
    low: toDegrees(low),
    high: toDegrees(high),
    cushions,
    firstBall: first,
    ...('chance' in line && { chance: line.chance }),
    aim:
      aim === undefined
        ? null
        : {
            ...aim.at,
            cushion: aim.cushion,
            along: aim.along,
            share: aim.share,
            sights: preset.sights ? aim.share * (isLong ? 8 : 4) : null,
            width: widthAtAim ?? null,
          },
    covered: { low: covered[0], middle: covered[1], high: covered[2] },
    pot,
    inOff,
    legal,
    rests: rest.map(({ id, x, y, pocket, offTable }) => ({ id, x, y, pocket, offTable })),
    pots: pots.map((range) => ({
      pocket: range.pocket,
      low: toDegrees(range.low),
      high: toDegrees(range.high),
    })),
    below: wayOf(below),
    above: wayOf(above),
  };
}

type WrittenLine = ReturnType<typeof written>;

/** What is answered to a question. */
export type KickAnswer =
  | {
      readonly found: boolean;
      /** How well each target can be seen and hit straight, 0…1. */
      readonly hidden: readonly { readonly ball: string; readonly seen: number; readonly usable: number }[];
      /** For one stroke: its lines by width. */
      readonly stretches?: readonly WrittenLine[];
      /** For any stroke: lines that go the same way, the best first. */
      readonly families?: readonly {
        readonly cushions: readonly string[];
        readonly firstBall: string;
        readonly best: WrittenLine & { readonly stroke: ReturnType<typeof strokeOf> };
        readonly strokes: readonly (ReturnType<typeof strokeOf> & {
          readonly low: number;
          readonly high: number;
        })[];
      }[];
    }
  | { readonly error: string };

/**
 * Answers a question for the ways to a ball by cushions.
 * @param value parsed JSON @returns the lines, or an error that names the field
 */
export function answerKickFile(value: unknown): KickAnswer {
  try {
    return answer(kickFileSchema.validateSync(value));
  } catch (error) {
    if (isOfQuestion(error)) return { error: error.message };
    throw error;
  }
}

function answer(file: KickFile): KickAnswer {
  const { table, balls } = lyingOf(file);
  const { preset } = table;
  const { cueBall, target, side, pocket, stroke, mostCushions = CUSHIONS, player } = file;
  const targets = target === undefined ? undefined : [target].flat();
  const missing = targets?.find((id) => balls.every((ball) => ball.id !== id));
  if (missing !== undefined) return { error: `target names ${missing}, which is none of the balls` };
  const cue = { id: CUE_BALL, ...cueBall, radius: preset.cueBallRadius, mass: preset.cueBallMass };
  const position: KickPosition = { table, balls: [cue, ...balls], cue: CUE_BALL };
  checkLying(table, position.balls);
  const wish: KickWish = { targets, side, pocket, mostCushions };
  const hidden = (targets ?? []).map((id) => ({ ball: id, ...seenOf(position, id) }));
  const error = errorOf(player ?? PLAYER, preset.game);
  if (typeof stroke === 'string') {
    const families = kickFamilies(position, wish, error).map(({ cushions, first, best, lines }) => ({
      cushions,
      firstBall: first,
      best: { ...written(best, preset), stroke: strokeOf(best.stroke) },
      strokes: lines.map((line) => ({
        ...strokeOf(line.stroke),
        low: toDegrees(line.low),
        high: toDegrees(line.high),
      })),
    }));
    return { found: families.length > 0, hidden, families };
  }
  const planned = { ...stroke, elevation: toRadians(stroke.elevation) };
  const lines = kickLines(position, planned, wish).map((line) =>
    written(player === undefined ? line : rated(position, line, wish, error), preset),
  );
  return { found: lines.length > 0, hidden, stretches: lines };
}
