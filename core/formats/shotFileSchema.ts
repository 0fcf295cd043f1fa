import { array, lazy, number, object, string, type InferType } from 'yup';
import { finite, text } from '../records/fields.ts';
import { PRESET_IDS } from '../table/preset.ts';

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
  cushionRestitutionFall: least(0),
  cushionFriction: least(0),
  noseHeight: least(0),
  bedRestitution: share(),
  endMass: least(0),
  gravity: least(0),
})
  .exact(UNKNOWN)
  .optional()
  .default(undefined);

/** Mouths and shelves that are not those of the kind of table, metres. */
const pocketSizesSchema = object({
  cornerMouth: positive(),
  cornerShelf: finite().min(0, '${path} must be at least 0'),
  middleMouth: positive(),
  middleShelf: finite().min(0, '${path} must be at least 0'),
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
  pocketSizes: pocketSizesSchema,
}).required();

export type ShotFile = InferType<typeof shotFileSchema>;
