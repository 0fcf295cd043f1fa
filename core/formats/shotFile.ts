import { array, lazy, number, object, string, ValidationError, type InferType } from 'yup';
import { toRadians, toDegrees } from '../math/angle.ts';
import { simulate } from '../motion/simulate.ts';
import type { BallOnTable, Shot, ShotResult } from '../motion/shot.ts';
import { InvalidShotError } from '../motion/validate.ts';
import { finite, text } from '../records/fields.ts';
import type { MotionParameters } from '../table/parameters.ts';
import { PRESET_IDS, type PresetId, type TablePreset } from '../table/preset.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { buildCustomTable, type Table } from '../table/table.ts';

/** The open file of a shot and of its result: metres, seconds, kilograms; angles in degrees. */
export const SHOT_FORMAT = 'jolly-rail/shot';
export const SHOT_VERSION = 1;

const UNKNOWN = '${path} has the unknown field ${properties}';
const positive = () => finite().moreThan(0, '${path} must be above zero');
const maybe = () => number().strict().typeError('${path} must be a number').optional();
const share = () => maybe().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1');
const least = (low: number) => maybe().min(low, `\${path} must be at least ${low}`);

const presetName = (what: string) =>
  string()
    .strict()
    .required(`${what} is missing`)
    .oneOf([...PRESET_IDS], `${what} must be one of ${PRESET_IDS.join(', ')}`);

const tableSchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null
    ? object({
        length: positive(),
        width: positive(),
        pockets: string()
          .strict()
          .required('${path} is missing')
          .oneOf(['none', ...PRESET_IDS], `\${path} must be none or one of ${PRESET_IDS.join(', ')}`),
      })
        .exact(UNKNOWN)
        .required()
    : presetName('table'),
);

const parametersSchema = object({
  slidingFriction: least(0),
  rollingFriction: least(0),
  spinDeceleration: least(0),
  ballRestitution: share(),
  ballFriction: object({ a: finite(), b: finite(), c: finite() })
    .exact(UNKNOWN)
    .optional()
    .default(undefined),
  cushionRestitution: share(),
  cushionFriction: least(0),
  noseHeight: least(0),
  bedRestitution: share(),
  endMass: least(0),
  gravity: least(0),
})
  .exact(UNKNOWN)
  .optional()
  .default(undefined);

const ballSchema = object({
  id: text(40),
  x: finite(),
  y: finite(),
  radius: least(0),
  mass: least(0),
}).required();

/** A shot as it stands in a file. Further fields of a shot or a ball are let be. */
export const shotFileSchema = object({
  format: string()
    .strict()
    .required('format is missing')
    .oneOf([SHOT_FORMAT], `format must be ${SHOT_FORMAT}`),
  version: finite().oneOf([SHOT_VERSION], `version must be ${SHOT_VERSION}`),
  table: tableSchema,
  balls: array(ballSchema)
    .strict()
    .typeError('balls must be a list')
    .required('balls is missing')
    .min(1, 'balls must hold at least one ball')
    .max(64, 'balls must hold at most 64 balls'),
  strike: object({
    ball: text(40),
    speed: finite(),
    direction: finite(),
    tip: object({ side: finite(), height: finite() }).optional().default(undefined),
    elevation: maybe(),
  }).required('strike is missing'),
  parameters: parametersSchema,
}).required();

export type ShotFile = InferType<typeof shotFileSchema>;

/** A result as it stands in a file. */
export interface ShotFileResult {
  readonly rest: readonly {
    readonly id: string;
    readonly x: number;
    readonly y: number;
    readonly pocket: string | null;
    readonly offTable?: true;
  }[];
  readonly events: readonly {
    readonly t: number;
    readonly kind: string;
    readonly ids: readonly string[];
    readonly cushion?: string;
    readonly pocket?: string;
  }[];
  readonly duration: number;
  /** Present when the shot was cut off by the cap on events. */
  readonly incomplete?: true;
}

function isPreset(name: string): name is PresetId {
  return PRESET_IDS.some((id) => id === name);
}

/** Rolling and sliding friction of zero would let a ball run for ever. */
const LEAST_FRICTION = 1e-9;

function parametersOf({ parameters = {} }: ShotFile, preset: TablePreset): MotionParameters {
  const own = preset.parameters;
  return {
    slidingFriction: Math.max(LEAST_FRICTION, parameters.slidingFriction ?? own.slidingFriction),
    rollingFriction: Math.max(LEAST_FRICTION, parameters.rollingFriction ?? own.rollingFriction),
    spinDeceleration: Math.max(LEAST_FRICTION, parameters.spinDeceleration ?? own.spinDeceleration),
    ballRestitution: parameters.ballRestitution ?? own.ballRestitution,
    ballFriction: parameters.ballFriction ?? own.ballFriction,
    cushionRestitution: parameters.cushionRestitution ?? own.cushionRestitution,
    cushionRestitutionFall: own.cushionRestitutionFall,
    cushionFriction: parameters.cushionFriction ?? own.cushionFriction,
    noseHeight: parameters.noseHeight ?? own.noseHeight,
    bedRestitution: parameters.bedRestitution ?? own.bedRestitution,
    endMass: parameters.endMass ?? own.endMass,
    gravity: parameters.gravity ?? own.gravity,
  };
}

function tableOf(file: ShotFile): Table {
  const { table } = file;
  const custom = typeof table === 'string' ? undefined : table;
  const name = typeof table === 'string' ? table : table.pockets;
  const base = TABLE_PRESETS[isPreset(name) ? name : 'pool-9ft'];
  const preset = custom === undefined ? base : { ...base, length: custom.length, width: custom.width };
  return buildCustomTable(preset, parametersOf(file, base), isPreset(name));
}

function ballOf(ball: ShotFile['balls'][number], cue: string, preset: TablePreset): BallOnTable {
  const struck = ball.id === cue;
  return {
    id: ball.id,
    x: ball.x,
    y: ball.y,
    radius: ball.radius ?? (struck ? preset.cueBallRadius : preset.ballRadius),
    mass: ball.mass ?? (struck ? preset.cueBallMass : preset.ballMass),
  };
}

/**
 * The shot that a file describes, in the units of the core.
 * @param value parsed JSON
 * @throws ValidationError (Yup) naming the field
 */
export function readShotFile(value: unknown): Shot {
  const file = shotFileSchema.validateSync(value);
  const table = tableOf(file);
  const { strike } = file;
  return {
    table,
    balls: file.balls.map((ball) => ballOf(ball, strike.ball, table.preset)),
    strike: {
      ball: strike.ball,
      speed: strike.speed,
      direction: toRadians(strike.direction),
      tip: strike.tip ?? { side: 0, height: 0 },
      elevation: toRadians(strike.elevation ?? 0),
    },
  };
}

/** The file of a shot on a preset's table; only parameters that differ from the preset's are written. */
export function writeShotFile({ table, balls, strike }: Shot): ShotFile {
  const { preset } = table;
  const changed = Object.entries(table.parameters).filter(
    ([name, value]) =>
      JSON.stringify(value) !==
      JSON.stringify(Object.entries(preset.parameters).find(([n]) => n === name)?.[1]),
  );
  return shotFileSchema.validateSync({
    format: SHOT_FORMAT,
    version: SHOT_VERSION,
    table: preset.id,
    balls: balls.map(({ id, x, y, radius, mass }) => ({ id, x, y, radius, mass })),
    strike: {
      ball: strike.ball,
      speed: strike.speed,
      direction: toDegrees(strike.direction),
      tip: strike.tip,
      elevation: toDegrees(strike.elevation),
    },
    ...(changed.length === 0 ? {} : { parameters: Object.fromEntries(changed) }),
  });
}

/** Events that the format knows; hops and bounces are the application's own. */
const KINDS = new Set(['ball-ball', 'ball-cushion', 'pocket', 'rolling', 'rest', 'off-table']);

/** A result as the format writes it. */
export function writeShotResult(result: ShotResult): ShotFileResult {
  return {
    rest: result.rest.map(({ id, x, y, pocket, offTable }) => ({
      id,
      x,
      y,
      pocket,
      ...(offTable ? { offTable } : {}),
    })),
    events: result.events
      .filter(({ kind }) => KINDS.has(kind))
      .map((event) => ({
        t: event.t,
        kind: event.kind,
        ids: event.kind === 'ball-ball' ? event.ids : [event.id],
        ...(event.kind === 'ball-cushion' ? { cushion: event.cushion } : {}),
        ...(event.kind === 'pocket' ? { pocket: event.pocket } : {}),
      })),
    duration: result.duration,
    ...(result.complete ? {} : { incomplete: true as const }),
  };
}

/** Plays one shot of a file; what is wrong with it comes back as its error. @param value parsed JSON */
export function playShotFile(value: unknown): ShotFileResult | { readonly error: string } {
  try {
    return writeShotResult(simulate(readShotFile(value)));
  } catch (error) {
    if (
      error instanceof ValidationError ||
      error instanceof InvalidShotError ||
      error instanceof RangeError
    ) {
      return { error: error.message };
    }
    throw error;
  }
}
