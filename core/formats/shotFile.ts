import { ValidationError } from 'yup';
import { toRadians, toDegrees } from '../math/angle.ts';
import { simulate } from '../motion/simulate.ts';
import type { BallOnTable, Shot, ShotResult } from '../motion/shot.ts';
import { InvalidShotError } from '../motion/validate.ts';
import type { MotionParameters } from '../table/parameters.ts';
import { PRESET_IDS, type PresetId, type TablePreset } from '../table/preset.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { buildCustomTable, type Table } from '../table/table.ts';
import { SHOT_FORMAT, SHOT_VERSION, shotFileSchema, type ShotFile } from './shotFileSchema.ts';

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
    cushionRestitutionFall: parameters.cushionRestitutionFall ?? own.cushionRestitutionFall,
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
  const sized = custom === undefined ? base : { ...base, length: custom.length, width: custom.width };
  const preset = file.pocketSizes === undefined ? sized : withPocketSizes(sized, file.pocketSizes);
  return buildCustomTable(preset, parametersOf(file, base), isPreset(name));
}

function withPocketSizes(
  preset: TablePreset,
  sizes: Exclude<ShotFile['pocketSizes'], undefined>,
): TablePreset {
  return {
    ...preset,
    corner: { ...preset.corner, mouth: sizes.cornerMouth, shelf: sizes.cornerShelf },
    middle: { ...preset.middle, mouth: sizes.middleMouth, shelf: sizes.middleShelf },
  };
}

function pocketSizesOf({ corner, middle }: TablePreset): ShotFile['pocketSizes'] {
  return {
    cornerMouth: corner.mouth,
    cornerShelf: corner.shelf,
    middleMouth: middle.mouth,
    middleShelf: middle.shelf,
  };
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

/** The file of a shot; only what differs from the kind of table is written of sizes and parameters. */
export function writeShotFile({ table, balls, strike }: Shot): ShotFile {
  const { preset } = table;
  const kind = TABLE_PRESETS[preset.id];
  const usual = new Map<string, string>(
    Object.entries(kind.parameters).map(([name, value]) => [name, JSON.stringify(value)]),
  );
  const changed = Object.entries(table.parameters).filter(
    ([name, value]) => JSON.stringify(value) !== usual.get(name),
  );
  const resized = preset.length !== kind.length || preset.width !== kind.width;
  const sizes = pocketSizesOf(preset);
  const otherPockets = JSON.stringify(sizes) !== JSON.stringify(pocketSizesOf(kind));
  return shotFileSchema.validateSync({
    format: SHOT_FORMAT,
    version: SHOT_VERSION,
    table: resized ? { length: preset.length, width: preset.width, pockets: preset.id } : preset.id,
    balls: balls.map(({ id, x, y, radius, mass }) => ({ id, x, y, radius, mass })),
    strike: {
      ball: strike.ball,
      speed: strike.speed,
      direction: toDegrees(strike.direction),
      tip: strike.tip,
      elevation: toDegrees(strike.elevation),
    },
    ...(changed.length === 0 ? {} : { parameters: Object.fromEntries(changed) }),
    ...(otherPockets ? { pocketSizes: sizes } : {}),
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
