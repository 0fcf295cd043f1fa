import { array, lazy, object, string, type InferType } from 'yup';
import { CUE_BALL } from '../drill/layout.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { LevelName } from '../player/levels.ts';
import { CONDITIONS, type Order } from '../records/drill.ts';
import { orderSchema } from '../records/drillText/order.ts';
import { choice, finite, text } from '../records/fields.ts';
import type { TableCard } from '../table/card.ts';
import { POCKET_NAMES } from '../table/pockets.ts';
import type { PresetId } from '../table/preset.ts';
import type { Table } from '../table/table.ts';
import {
  ballsSchema,
  lyingOf,
  maybe,
  placeSchema,
  playerSchema,
  tableSchema,
  UNKNOWN,
  whole,
} from './questionFields.ts';

/** The open file of a question for the order of a clearance: metres, seconds; angles in degrees. */
export const PLAN_FORMAT = 'jolly-rail/plan';
export const PLAN_VERSION = 1;

const cueSchema = lazy((value: unknown) =>
  typeof value === 'string'
    ? string().strict().oneOf(['in hand'], '${path} must be a place or "in hand"').required()
    : placeSchema,
);

const atSteps = () =>
  array(
    object({
      step: finite().integer('${path} must be a whole number').min(1, '${path} must be at least 1'),
      ball: text(12),
    })
      .exact(UNKNOWN)
      .required(),
  )
    .strict()
    .typeError('${path} must be a list')
    .optional();

/** Steps as they are counted in an answer: from 1 on. */
const wishesSchema = object({
  locked: atSteps(),
  forbidden: atSteps(),
  pockets: array(
    object({ ball: text(12), pocket: choice(POCKET_NAMES) })
      .exact(UNKNOWN)
      .required(),
  )
    .strict()
    .typeError('${path} must be a list')
    .optional(),
}).exact(UNKNOWN);

/** A question as it stands in a file. */
export const planFileSchema = object({
  format: choice([PLAN_FORMAT]),
  version: finite().oneOf([PLAN_VERSION], `version must be ${PLAN_VERSION}`),
  table: tableSchema,
  balls: ballsSchema,
  cueBall: cueSchema,
  order: orderSchema,
  conditions: array(choice(CONDITIONS)).strict().typeError('conditions must be a list').optional(),
  wishes: wishesSchema.optional().default(undefined),
  player: playerSchema,
  seconds: maybe().moreThan(0, 'seconds must be above zero'),
  seed: whole(0, 2 ** 31),
  play: whole(1, 10_000),
}).exact(UNKNOWN);

export type PlanFile = InferType<typeof planFileSchema>;

/** A table to be cleared, as a file has it. */
export interface LyingTable {
  readonly table: Table;
  readonly balls: readonly BallOnTable[];
  /** Undefined when it is in hand. */
  readonly cue: BallOnTable | undefined;
  readonly order: Order;
}

/**
 * The table that a question is about.
 * @throws RangeError for two balls of one name
 */
export function lyingTableOf(file: PlanFile): LyingTable {
  const { cueBall, order } = file;
  const { table, balls } = lyingOf(file);
  const { cueBallRadius, cueBallMass } = table.preset;
  const cue =
    typeof cueBall === 'string'
      ? undefined
      : { id: CUE_BALL, ...cueBall, radius: cueBallRadius, mass: cueBallMass };
  return { table, balls, cue, order };
}

/** A table to be cleared as the text of a file that can be read again and asked of a plan. @param table its kind, or its card */
export function planFileText(
  { balls, cue, order }: Omit<LyingTable, 'table'>,
  table: PresetId | TableCard,
  player: LevelName,
): string {
  const file = {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    table,
    balls: balls.map(({ id, x, y }) => ({ id, x, y })),
    cueBall: cue === undefined ? 'in hand' : { x: cue.x, y: cue.y },
    order,
    player,
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** @throws SyntaxError, ValidationError or RangeError that says what is wrong */
export function readPlanText(text: string): LyingTable {
  return lyingTableOf(planFileSchema.validateSync(JSON.parse(text)));
}
