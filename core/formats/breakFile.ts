import { array, lazy, number, object, string, type InferType } from 'yup';
import { toRadians } from '../math/angle.ts';
import { choice, finite, text } from '../records/fields.ts';
import { RACK_QUALITIES, RACKERS } from '../rack/rackers.ts';
import type { RackWish } from '../rack/drawnRack.ts';
import { rackIds, type RackKind } from '../rack/rack.ts';
import type { ShareInterval } from '../statistics/wilson.ts';
import { tableOfCard, standardCard } from '../table/card.ts';
import { studyBreak, type BreakStudy } from '../virtual/breaks/breakStudy.ts';
import { wingPlaces } from '../virtual/breaks/wingBall.ts';
import {
  errorOf,
  isOfQuestion,
  placeSchema,
  playerSchema,
  tableSchema,
  UNKNOWN,
  whole,
} from './questionFields.ts';

/** The open file of a question for a break: metres and m/s, gaps in millimetres, angles in degrees. */
export const BREAK_FORMAT = 'jolly-rail/breaks';
export const BREAK_VERSION = 1;

const KINDS = ['nine', 'eight', 'eight on the spot', 'reds'] as const satisfies readonly RackKind[];
const MOST_BREAKS = 20_000;
const MOST_GAP_MM = 5;

const qualitySchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null
    ? object({
        gapMm: finite()
          .min(0, '${path} must be at least 0')
          .max(MOST_GAP_MM, `\${path} must be at most ${MOST_GAP_MM}`),
        offsetMm: finite().min(0, '${path} must be at least 0').max(20, '${path} must be at most 20'),
        tiltDeg: finite().min(0, '${path} must be at least 0').max(10, '${path} must be at most 10'),
      })
        .exact(UNKNOWN)
        .required()
    : choice(RACKERS),
);

const gapSchema = object({
  between: array(whole(0, 14).required('${path} is missing'))
    .strict()
    .length(2, '${path} must name two places')
    .required('${path} is missing'),
  mm: finite()
    .min(0, '${path} must be at least 0')
    .max(MOST_GAP_MM, `\${path} must be at most ${MOST_GAP_MM}`),
})
  .exact(UNKNOWN)
  .required();

const rackSchema = object({
  kind: choice(KINDS),
  quality: lazy((value: unknown) =>
    value === undefined ? string().oneOf(RACKERS).optional() : qualitySchema,
  ),
  gaps: array(gapSchema).strict().max(30, '${path} has at most 30 gaps').optional(),
  order: array(text(12)).strict().optional(),
})
  .exact(UNKNOWN)
  .required('rack is missing');

const aimSchema = object({
  ball: whole(0, 14),
  covered: number()
    .strict()
    .typeError('${path} must be a number')
    .moreThan(0, '${path} must be above 0')
    .max(1, '${path} must be at most 1')
    .optional(),
  past: string().strict().oneOf(['left', 'right'], '${path} must be "left" or "right"').optional(),
})
  .exact(UNKNOWN)
  .default(undefined)
  .optional();

/** A question as it stands in a file. */
export const breakFileSchema = object({
  format: choice([BREAK_FORMAT]),
  version: finite().oneOf([BREAK_VERSION], `version must be ${BREAK_VERSION}`),
  table: tableSchema,
  rack: rackSchema,
  cueBall: placeSchema,
  aim: aimSchema,
  speed: finite().moreThan(0, '${path} must be above zero').max(15, '${path} must be at most 15'),
  tip: object({ side: finite(), height: finite() }).exact(UNKNOWN).default(undefined).optional(),
  elevation: number()
    .strict()
    .typeError('${path} must be a number')
    .min(0, '${path} must be at least 0')
    .max(90, '${path} must be at most 90')
    .optional(),
  player: playerSchema,
  breaks: whole(1, MOST_BREAKS),
  seed: whole(0, 2 ** 31 - 1),
}).exact(UNKNOWN);

type BreakFile = InferType<typeof breakFileSchema>;

/** Breaks where nothing is said. */
const BREAKS = 200;
const MM = 1e-3;

const written = ({ share, low, high }: ShareInterval) => ({ share, low, high });

function told(study: BreakStudy, kind: RackKind) {
  const [right, left] = wingPlaces(kind);
  return {
    breaks: study.breaks,
    falls: study.falls.map((share, place) => ({ place, ...written(share) })),
    wing: { places: { right, left }, near: study.near, far: study.far },
    ballsDown: study.ballsDown,
    made: written(study.made),
    dry: written(study.dry),
    inOff: written(study.inOff),
    offTable: written(study.offTable),
    nextPot: study.next,
    clears: study.clears ?? null,
    headHalf: study.headHalf,
    disturbed: study.disturbed,
    back: study.back,
    cueBallRests: study.cueRests,
    rests: study.falls.map((_, place) => study.played.flatMap(({ rests }) => rests[place] ?? [])),
  };
}

/** What is answered to a question. */
export type BreakAnswer = ReturnType<typeof told> | { readonly error: string };

/**
 * Answers a question for what a break comes to.
 * @param value parsed JSON @returns the distribution, or an error that names the field
 */
export function answerBreakFile(value: unknown): BreakAnswer {
  try {
    return answer(breakFileSchema.validateSync(value));
  } catch (error) {
    if (isOfQuestion(error)) return { error: error.message };
    throw error;
  }
}

function rackOf({ kind, quality = 'template', gaps, order }: BreakFile['rack']): RackWish {
  const size = rackIds(kind).length;
  const outside = gaps?.flatMap(({ between }) => between).find((place) => place >= size);
  if (outside !== undefined)
    throw new RangeError(`rack.gaps name place ${outside}: this rack has ${size} balls`);
  if (order !== undefined && [...order].sort().join() !== [...rackIds(kind)].sort().join()) {
    throw new RangeError(`rack.order must name each of the ${size} balls once`);
  }
  return {
    kind,
    quality:
      typeof quality === 'string'
        ? RACK_QUALITIES[quality]
        : { gap: quality.gapMm * MM, offset: quality.offsetMm * MM, tilt: toRadians(quality.tiltDeg) },
    gaps: gaps?.map(({ between: [a = 0, b = 0], mm }) => ({ between: [a, b], gap: mm * MM })),
    order,
  };
}

function answer(file: BreakFile): BreakAnswer {
  const table = tableOfCard(typeof file.table === 'string' ? standardCard(file.table) : file.table, null);
  const { rack, cueBall, aim, speed, tip, elevation = 0, player, breaks = BREAKS, seed = 1 } = file;
  const { cueBallRadius: radius } = table.preset;
  const inside =
    cueBall.x >= radius &&
    cueBall.x <= table.length - radius &&
    cueBall.y >= radius &&
    cueBall.y <= table.width - radius;
  if (!inside) return { error: 'cueBall must lie on the table' };
  const study = studyBreak({
    table,
    rack: rackOf(rack),
    stroke: {
      from: cueBall,
      at: aim?.ball ?? 0,
      covered: aim?.covered ?? 1,
      past: aim?.past ?? 'left',
      speed,
      tip: tip ?? { side: 0, height: 0 },
      elevation: toRadians(elevation),
    },
    error: errorOf(player, table.preset.game),
    breaks,
    seed,
  });
  return told(study, rack.kind);
}
