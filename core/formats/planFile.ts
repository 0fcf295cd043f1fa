import { array, lazy, number, object, string, ValidationError, type InferType } from 'yup';
import { toDegrees } from '../math/angle.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { CUE_BALL } from '../drill/layout.ts';
import { orderGameOf, suitChoices } from '../drill/orderGame.ts';
import { bestChoice, type PlannedChoice, type PlayedChance } from '../planning/order/choices.ts';
import { planOrder, type KeyBall, type PlannedProblem, type PlanStep } from '../planning/order/orderPlan.ts';
import { MOST_NODES } from '../planning/order/nodes.ts';
import type { BallAtStep } from '../planning/order/wishes.ts';
import { CAREFUL, QUICK_LOOK } from '../planning/order/look.ts';
import { COARSE, FINE, GLANCE } from '../planning/order/shotTable.ts';
import { executionErrorOf, LEVEL_NAMES } from '../player/levels.ts';
import { CONDITIONS } from '../records/drill.ts';
import { orderSchema } from '../records/drillText/order.ts';
import { choice, finite, text } from '../records/fields.ts';
import { tableCardSchema } from '../records/tableCard.ts';
import { standardCard, tableOfCard } from '../table/card.ts';
import { POCKET_NAMES } from '../table/pockets.ts';
import { PRESET_IDS } from '../table/preset.ts';
import type { Table } from '../table/table.ts';
import { shotRulesOf, UNPLANNED } from '../virtual/shotRules.ts';

/** The open file of a question for the order of a clearance: metres, seconds; angles in degrees. */
export const PLAN_FORMAT = 'jolly-rail/plan';
export const PLAN_VERSION = 1;

const UNKNOWN = '${path} has the unknown field ${properties}';
/** From so many seconds on a plan is made finely; roughly from so many, and in less only at a glance. */
const FINE_FROM_S = 2;
const ROUGH_FROM_S = 0.8;
/** Where nothing is said. */
const SECONDS = 5;
const PLAYS = 60;

const maybe = () => number().strict().typeError('${path} must be a number').optional();
const whole = (low: number, high: number) =>
  maybe()
    .integer('${path} must be a whole number')
    .min(low, `\${path} must be at least ${low}`)
    .max(high, `\${path} must be at most ${high}`);

const placeSchema = object({ x: finite(), y: finite() }).exact(UNKNOWN).required('${path} is missing');

const cueSchema = lazy((value: unknown) =>
  typeof value === 'string'
    ? string().strict().oneOf(['in hand'], '${path} must be a place or "in hand"').required()
    : placeSchema,
);

const tableSchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null ? tableCardSchema.required() : choice(PRESET_IDS),
);

const errorSchema = object({
  directionDeg: finite().min(0, '${path} must be at least 0'),
  speed: finite().min(0, '${path} must be at least 0'),
  tip: finite().min(0, '${path} must be at least 0'),
  elevationDeg: finite().min(0, '${path} must be at least 0'),
}).exact(UNKNOWN);

const playerSchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null ? errorSchema.required() : choice(LEVEL_NAMES),
);

const ballSchema = object({ id: text(12), x: finite(), y: finite() })
  .exact(UNKNOWN)
  .required();

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
  balls: array(ballSchema)
    .strict()
    .typeError('balls must be a list')
    .required('balls is missing')
    .min(1, 'balls must hold at least one ball')
    .max(22, 'balls must hold at most 22 balls'),
  cueBall: cueSchema,
  order: orderSchema,
  conditions: array(choice(CONDITIONS)).strict().typeError('conditions must be a list').optional(),
  wishes: wishesSchema.optional().default(undefined),
  player: playerSchema,
  seconds: maybe().moreThan(0, 'seconds must be above zero'),
  seed: whole(0, 2 ** 31),
  play: whole(1, 10_000),
}).exact(UNKNOWN);

type PlanFile = InferType<typeof planFileSchema>;

/** A step as it stands in an answer. */
interface WrittenStep {
  readonly ball: string;
  readonly pocket: string;
  readonly strike: {
    readonly speed: number;
    readonly direction: number;
    readonly tip: { readonly side: number; readonly height: number };
    readonly elevation: number;
  };
  readonly chance: number;
  readonly value: number;
  readonly landing: { readonly x: number; readonly y: number };
  readonly travel: number;
  readonly cushions: readonly string[];
  readonly alternative: PlanStep['alternative'] | null;
}

/** What is answered to a question. */
export type PlanAnswer =
  | {
      readonly found: true;
      readonly cueBall: { readonly x: number; readonly y: number };
      readonly order: readonly string[];
      readonly complete: boolean;
      readonly steps: readonly WrittenStep[];
      readonly chance: PlayedChance;
      readonly ends: Readonly<Record<string, number>>;
      readonly states: number;
      /** With the choice of the suit: the chance of each, and the better one from 1 on; null for a tie. */
      readonly suits: {
        readonly chances: readonly PlannedChoice[];
        readonly better: number | null;
      } | null;
      /** Its number among the steps from 1 on, like those of the problems. */
      readonly keyBall: KeyBall | null;
      readonly problems: readonly (Omit<PlannedProblem, 'step'> & { readonly step: number | null })[];
    }
  | {
      readonly found: false;
      readonly why: string;
      readonly blocked: readonly { readonly ball: string; readonly by: readonly string[] }[];
    }
  | { readonly error: string };

function tableOf({ table }: PlanFile): Table {
  return tableOfCard(typeof table === 'string' ? standardCard(table) : table, null);
}

function written({ shot, alternative, ...step }: PlanStep): WrittenStep {
  const { ball, pocket, chance, value, landing, travel, cushions } = step;
  const { speed, direction, tip, elevation } = shot.strike;
  const strike = { speed, direction: toDegrees(direction), tip, elevation: toDegrees(elevation) };
  return { ball, pocket, strike, chance, value, landing, travel, cushions, alternative: alternative ?? null };
}

/** How closely a plan is made in so many seconds. */
function closenessIn(seconds: number) {
  if (seconds < ROUGH_FROM_S) return { detail: GLANCE, look: QUICK_LOOK };
  return { detail: seconds < FINE_FROM_S ? COARSE : FINE, look: CAREFUL };
}

function suitsOf(chances: readonly PlannedChoice[]) {
  const better = bestChoice(chances);
  return { chances, better: better === undefined ? null : better + 1 };
}

/**
 * Answers a question for the order of a clearance.
 * @param value parsed JSON
 * @param clock milliseconds: where the file does not say how many play-outs, they end with its seconds; left out, all are played
 * @returns the plan; why there is none; or an error that names the field
 */
export function answerPlanFile(value: unknown, clock?: () => number): PlanAnswer {
  try {
    return answer(planFileSchema.validateSync(value), clock);
  } catch (error) {
    if (error instanceof ValidationError) return { error: error.message };
    throw error;
  }
}

function answer(file: PlanFile, clock: (() => number) | undefined): PlanAnswer {
  const begun = clock?.() ?? 0;
  const table = tableOf(file);
  const { preset } = table;
  const balls = file.balls.map(({ id, x, y }): BallOnTable => ({
    id,
    x,
    y,
    radius: preset.ballRadius,
    mass: preset.ballMass,
  }));
  const ids = balls.map(({ id }) => id);
  if (new Set([...ids, CUE_BALL]).size <= ids.length)
    return { error: 'balls must each have a name of its own' };
  const { cueBall, player, order, conditions = [], seconds = SECONDS, seed = 1, play } = file;
  const cue =
    typeof cueBall === 'string'
      ? undefined
      : { id: CUE_BALL, ...cueBall, radius: preset.cueBallRadius, mass: preset.cueBallMass };
  const { locked = [], forbidden = [], pockets = [] } = file.wishes ?? {};
  const fromZero = (wish: BallAtStep) => ({ ...wish, step: wish.step - 1 });
  const wishes = { locked: locked.map(fromZero), forbidden: forbidden.map(fromZero), pockets };
  const game = orderGameOf(
    order,
    { onTable: ids, last: undefined, suit: undefined },
    { wishes, alternating: conditions.includes('alternating pockets') },
  );
  const unplanned = conditions.find((condition) => UNPLANNED.includes(condition));
  if (unplanned !== undefined) {
    return { found: false, why: `plans do not know the condition "${unplanned}" yet`, blocked: [] };
  }
  const planned = planOrder({
    table,
    balls,
    game,
    error: typeof player === 'string' ? executionErrorOf(player, preset.game) : player,
    ...closenessIn(seconds),
    cue,
    seed,
    plays: play ?? PLAYS,
    isTimeUp: play === undefined && clock !== undefined ? () => clock() - begun > 1000 * seconds : undefined,
    choices: suitChoices(order, game.start),
    ...shotRulesOf(conditions, wishes),
  });
  if (planned.kind === 'too many') {
    return { found: false, why: `the order has more than ${String(MOST_NODES)} states`, blocked: [] };
  }
  if (planned.kind === 'none') {
    return { found: false, why: 'no ball that may be played can be potted', blocked: planned.blocked };
  }
  const { plan } = planned;
  const { steps, chance, ends, states, complete } = plan;
  return {
    found: true,
    cueBall: plan.cue,
    order: steps.map(({ ball }) => ball),
    complete,
    steps: steps.map(written),
    chance,
    ends,
    states,
    suits: plan.choices.length === 0 ? null : suitsOf(plan.choices),
    keyBall: plan.keyBall === undefined ? null : { ...plan.keyBall, step: plan.keyBall.step + 1 },
    problems: plan.problems.map(({ step, ...problem }) => ({
      ...problem,
      step: step === undefined ? null : step + 1,
    })),
  };
}
