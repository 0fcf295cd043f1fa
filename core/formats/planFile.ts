import { toDegrees } from '../math/angle.ts';
import { orderGameOf, suitChoices } from '../drill/orderGame.ts';
import { bestChoice, type PlannedChoice, type PlayedChance } from '../planning/order/choices.ts';
import type { KeyBall, PlannedProblem, PlanStep } from '../planning/order/course.ts';
import { planOrder } from '../planning/order/orderPlan.ts';
import { MOST_NODES } from '../planning/order/nodes.ts';
import type { BallAtStep } from '../planning/order/wishes.ts';
import { CAREFUL, QUICK_LOOK } from '../planning/order/look.ts';
import { COARSE, FINE, GLANCE } from '../planning/order/tableDetail.ts';
import { shotRulesOf } from '../virtual/shotRules.ts';
import { checkLying, errorOf, isOfQuestion } from './questionFields.ts';
import { lyingTableOf, planFileSchema, type PlanFile } from './planFileSchema.ts';

/** From so many seconds on a plan is made finely; roughly from so many, and in less only at a glance. */
const FINE_FROM_S = 2;
const ROUGH_FROM_S = 0.8;
/** Where nothing is said. */
const SECONDS = 5;
const PLAYS = 60;

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
    if (isOfQuestion(error)) return { error: error.message };
    throw error;
  }
}

function answer(file: PlanFile, clock: (() => number) | undefined): PlanAnswer {
  const begun = clock?.() ?? 0;
  const { table, balls, cue, order } = lyingTableOf(file);
  checkLying(table, cue === undefined ? balls : [cue, ...balls]);
  const { player, conditions = [], seconds = SECONDS, seed = 1, play } = file;
  const ids = balls.map(({ id }) => id);
  const { locked = [], forbidden = [], pockets = [] } = file.wishes ?? {};
  const fromZero = (wish: BallAtStep) => ({ ...wish, step: wish.step - 1 });
  const wishes = { locked: locked.map(fromZero), forbidden: forbidden.map(fromZero), pockets };
  const game = orderGameOf(
    order,
    { onTable: ids, last: undefined, suit: undefined },
    { wishes, alternating: conditions.includes('alternating pockets') },
  );
  const planned = planOrder({
    table,
    balls,
    game,
    error: errorOf(player, table.preset.game),
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
