import { expose, wrap } from 'comlink';
import { suitChoices, type PlanState } from '../../core/drill/orderGame.ts';
import { blockedBalls } from '../../core/planning/order/blockedBalls.ts';
import { courseOf, type OrderCourse } from '../../core/planning/order/course.ts';
import { joinShotTables } from '../../core/planning/order/joinTables.ts';
import {
  addedEnds,
  playedPlan,
  playEnds,
  type Ends,
  type OrderAnswer,
} from '../../core/planning/order/orderPlan.ts';
import { shareOfShots } from '../../core/planning/order/orderShots.ts';
import type { OrderQuestion } from '../../core/planning/order/orderQuestion.ts';
import { OrderPlanner } from '../../core/planning/order/planner.ts';
import type { ShotTable } from '../../core/planning/order/shotTable.ts';
import { executionErrorOf, LEVEL_NAMES } from '../../core/player/levels.ts';
import type { OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';
import { orderQuestion, PLAY_SEED, type Closeness } from './orderQuestion.ts';
import type { ShareSolver } from './orderShareProtocol.ts';

/** After so many play-outs the chance is told, of the rough plan, of the one that stays, and for each level. */
const TOLD_AFTER: Readonly<Record<Closeness, readonly number[]>> = {
  rough: [10],
  fine: [20, 40, 60],
  'by level': [40],
};

/** The other core, where there is one: it ends with this worker. */
const helper =
  navigator.hardwareConcurrency > 1
    ? new Worker(new URL('./orderShare.worker.ts', import.meta.url), { type: 'module' })
    : undefined;
const failed = new Promise<undefined>((resolve) => {
  helper?.addEventListener('error', () => resolve(undefined));
});
const helping = helper && wrap<ShareSolver>(helper);

/** The shots of a question, half of them from the other core; undefined where there is none, or it failed. */
async function shotsOf(asked: OrderAsked, closeness: Closeness): Promise<ShotTable | undefined> {
  if (helping === undefined) return undefined;
  // Its half is asked for before this thread begins with its own.
  const theirs = Promise.race([helping.share(asked, closeness, { part: 1, of: 2 }), failed]);
  const own = shareOfShots(orderQuestion(asked, closeness), { part: 0, of: 2 });
  const other = await theirs;
  return own && other && joinShotTables([own, other]);
}

/** A plan that is being played. */
interface PlayedHere {
  readonly question: OrderQuestion<PlanState>;
  readonly planner: OrderPlanner<PlanState>;
  readonly course: OrderCourse<PlanState>;
  /** Whether the other core has the plan, too. */
  readonly shared: boolean;
}

/** How some play-outs end, every other one on the other core. */
async function endsOf(plan: PlayedHere, from: PlanState, numbers: readonly number[]): Promise<Ends> {
  const { question, planner, course, shared } = plan;
  const { cue } = course;
  const here = (own: readonly number[]) =>
    playEnds(question, planner, { state: from, cue, balls: question.balls }, PLAY_SEED, own);
  if (!shared || helping === undefined) return here(numbers);
  const [even, odd] = [0, 1].map((rest) => numbers.filter((k) => k % 2 === rest));
  const theirs = Promise.race([helping.play({ from, cue, numbers: odd ?? [] }), failed]);
  const own = here(even ?? []);
  return addedEnds([own, (await theirs) ?? here(odd ?? [])]);
}

/** Lets what was told out before the next computation takes the thread. */
const letOut = () => new Promise((resolve) => setTimeout(resolve, 0));

/** @param onWay told of the plan as it grows: before it is played, and after some of its play-outs */
async function answer(
  asked: OrderAsked,
  closeness: Closeness,
  onWay?: (answer: OrderAnswer) => void,
): Promise<OrderAnswer> {
  const shots = await shotsOf(asked, closeness);
  const question = { ...orderQuestion(asked, closeness), shots };
  const planner = OrderPlanner.of(question);
  if (planner === undefined) return { kind: 'too many' };
  const { cue, places, order } = asked;
  const { game, table, balls } = question;
  const course = courseOf({ ...question, cue, places, choices: suitChoices(order, game.start) }, planner);
  if (course === undefined) return { kind: 'none', blocked: blockedBalls(table, balls) };
  if (shots !== undefined) await Promise.race([helping?.take(asked, closeness, shots), failed]);
  const plan = { question, planner, course, shared: shots !== undefined };
  const states = [game.start, ...course.choices.map(({ state }) => state)];
  let ends: readonly Ends[] = states.map(() => ({}));
  const told = (): OrderAnswer => {
    const [all = {}, ...choices] = ends;
    return { kind: 'plan', plan: playedPlan(course, all, choices) };
  };
  let played = 0;
  for (const until of TOLD_AFTER[closeness]) {
    if (onWay !== undefined && (played > 0 || closeness === 'rough')) {
      onWay(told());
      await letOut();
    }
    const numbers = Array.from({ length: until - played }, (_, i) => played + i);
    const more: Ends[] = [];
    for (const state of states) more.push(await endsOf(plan, state, numbers));
    ends = ends.map((so, i) => addedEnds([so, more[i] ?? {}]));
    played = until;
  }
  return told();
}

const solver: OrderSolver = {
  async plan(asked, onTold) {
    const telling = (rough: boolean) => (each: OrderAnswer) => onTold({ ...each, rough });
    const rough: OrderTold = { ...(await answer(asked, 'rough', telling(true))), rough: true };
    if (rough.kind === 'too many') return { ...rough, rough: false };
    onTold(rough);
    await letOut();
    return { ...(await answer(asked, 'fine', telling(false))), rough: false };
  },
  async levels(asked, onLevel) {
    const { game } = asked.table.preset;
    for (const level of LEVEL_NAMES) {
      const error = executionErrorOf(level, game);
      onLevel({ level, answer: await answer({ ...asked, error }, 'by level') });
      await letOut();
    }
  },
};

expose(solver);
