import { array, lazy, number, object, ValidationError } from 'yup';
import { CUE_BALL } from '../drill/layout.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { checkShot, InvalidShotError } from '../motion/validate.ts';
import { executionErrorOf, LEVEL_NAMES, type ExecutionError, type LevelName } from '../player/levels.ts';
import { choice, finite, text } from '../records/fields.ts';
import { tableCardSchema } from '../records/tableCard.ts';
import { standardCard, tableOfCard, type TableCard } from '../table/card.ts';
import { PRESET_IDS, type Game, type PresetId } from '../table/preset.ts';
import type { Table } from '../table/table.ts';

export const UNKNOWN = '${path} has the unknown field ${properties}';
export const maybe = () => number().strict().typeError('${path} must be a number').optional();
export const whole = (low: number, high: number) =>
  maybe()
    .integer('${path} must be a whole number')
    .min(low, `\${path} must be at least ${low}`)
    .max(high, `\${path} must be at most ${high}`);

export const placeSchema = object({ x: finite(), y: finite() }).exact(UNKNOWN).required('${path} is missing');

export const tableSchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null ? tableCardSchema.required() : choice(PRESET_IDS),
);

const errorSchema = object({
  directionDeg: finite().min(0, '${path} must be at least 0'),
  speed: finite().min(0, '${path} must be at least 0'),
  tip: finite().min(0, '${path} must be at least 0'),
  elevationDeg: finite().min(0, '${path} must be at least 0'),
}).exact(UNKNOWN);

export const playerSchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null ? errorSchema.required() : choice(LEVEL_NAMES),
);

const ballSchema = object({ id: text(12), x: finite(), y: finite() })
  .exact(UNKNOWN)
  .required();

/** The object balls of a question. */
export const ballsSchema = array(ballSchema)
  .strict()
  .typeError('balls must be a list')
  .required('balls is missing')
  .min(1, 'balls must hold at least one ball')
  .max(22, 'balls must hold at most 22 balls');

/**
 * The table of a question and its object balls.
 * @throws RangeError for two balls of one name
 */
export function lyingOf(file: {
  readonly table: PresetId | TableCard;
  readonly balls: readonly { readonly id: string; readonly x: number; readonly y: number }[];
}): { readonly table: Table; readonly balls: readonly BallOnTable[] } {
  const table = tableOfCard(typeof file.table === 'string' ? standardCard(file.table) : file.table, null);
  const { ballRadius, ballMass } = table.preset;
  const balls = file.balls.map(({ id, x, y }) => ({ id, x, y, radius: ballRadius, mass: ballMass }));
  const ids = new Set([...balls.map(({ id }) => id), CUE_BALL]);
  if (ids.size <= balls.length) throw new RangeError('balls must each have a name of its own');
  return { table, balls };
}

/**
 * Refuses balls that cannot lie so: in each other, or outside the cushions.
 * @throws InvalidShotError that names the ball
 */
export function checkLying(table: Table, balls: readonly BallOnTable[]): void {
  const [first] = balls;
  if (first === undefined) return;
  const still = { ball: first.id, speed: 0, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 };
  checkShot({ table, balls, strike: still });
}

/** Whether an error says what is wrong with a question, and not with us. */
export function isOfQuestion(error: unknown): error is Error {
  return error instanceof ValidationError || error instanceof RangeError || error instanceof InvalidShotError;
}

/** The error sizes of a question's player. */
export function errorOf(player: LevelName | ExecutionError, game: Game): ExecutionError {
  return typeof player === 'string' ? executionErrorOf(player, game) : player;
}
