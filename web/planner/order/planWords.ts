import { bestChoice, type PlannedChoice, type PlayedChance } from '../../../core/planning/order/choices.ts';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import type { OrderPlan } from '../../../core/planning/order/orderPlan.ts';
import { pocketWords } from '../../words/places.ts';
import { counted, percent } from '../../words/units.ts';
import type { Vocabulary } from '../../words/vocabulary.ts';
import { longLength } from '../../words/lengths.ts';

/** Less than this is no difference that a player could tell, 0…1. */
export const ALIKE = 0.02;

export const list = (ids: readonly string[]) => ids.map((id) => `the ${id}`).join(' and ');

/** "Played 60 times, it cleared 43: a chance of 61 to 80 %."; before it was played, that it is. */
export function chanceWords({ chance, complete }: OrderPlan, rough: boolean): string {
  const { share, plays } = chance;
  const made = Math.round(share * plays);
  const told =
    plays === 0
      ? 'It is being played for its chance.'
      : `Played ${plays} times, it cleared ${made}: a chance of ${rangeWords(chance)}.`;
  const end = complete ? '' : ' The plan does not reach the end: nothing is on after its last shot.';
  return `${rough ? 'First look. ' : ''}${told}${end}`;
}

const MOST_PROBLEMS = 3;

/** What matters most about a plan: "Key ball: the 4, at shot 3. The 2 in its place costs 6 points." */
export function adviceWords({ keyBall, problems, choices }: OrderPlan): readonly string[] {
  const key =
    keyBall === undefined
      ? []
      : [
          `Key ball: the ${keyBall.ball}, at shot ${keyBall.step + 1}. The ${keyBall.instead} in its place costs ${Math.round(100 * keyBall.costs)} points.`,
        ];
  const hard = problems.slice(0, MOST_PROBLEMS).map(({ ball, by, step }) => {
    const why = by.length === 0 ? '' : `, for ${list(by)} ${by.length === 1 ? 'is' : 'are'} in the way`;
    const when =
      step === undefined ? 'the plan does not come to it' : `the plan plays it at shot ${step + 1}`;
    return `Hard to come at: the ${ball}${why}; ${when}.`;
  });
  return [...suitWords(choices), ...key, ...hard];
}

/** "61 to 80 %"; dots while nothing was played. */
export const rangeWords = ({ low, high, plays }: PlayedChance) =>
  plays === 0 ? '…' : `${Math.round(100 * low)} to ${percent(high)}`;

/** "Lower suit: 61 to 80 %, higher suit: 58 to 78 %. They are a tie." */
function suitWords(choices: OrderPlan['choices']): readonly string[] {
  const [lower, higher] = choices;
  if (lower === undefined || higher === undefined) return [];
  const better =
    ['Take the lower one.', 'Take the higher one.'][bestChoice(choices) ?? -1] ?? 'They are a tie.';
  if (lower.plays === 0) return [`Lower: ${suitFacts(lower)}.`, `Higher: ${suitFacts(higher)}.`];
  return [
    `Lower suit: ${rangeWords(lower)}, higher suit: ${rangeWords(higher)}. ${better}`,
    `Lower: ${suitFacts(lower)}.`,
    `Higher: ${suitFacts(higher)}.`,
  ];
}

/** "cue ball 6.1 m, 2.0 m at the longest; hard: the 3; close together: the 3 and the 12; open: the 1" */
function suitFacts({ travel, longest, complete, hard, clusters, spare }: PlannedChoice): string {
  const told = complete
    ? `cue ball ${way(travel)}, ${way(longest)} at the longest`
    : 'the plan does not come to its end';
  return [
    told,
    ...(hard.length === 0 ? [] : [`hard: ${list(hard)}`]),
    ...clusters.map((ids) => `close together: ${list(ids)}`),
    ...(spare.length === 0 ? [] : [`open: ${list(spare)}`]),
  ].join('; ');
}

/** What wishes cost: "Your order: 52 to 70 %. It costs 13 points of a hundred against the plan." */
export function wishWords(free: PlayedChance, wished: PlayedChance): string {
  if (free.plays === 0 || wished.plays === 0) return 'Your way is being played against the plan.';
  const told = `Your way: ${rangeWords(wished)}; the plan: ${rangeWords(free)}.`;
  const better = bestChoice([free, wished]);
  if (better === undefined) return `${told} They are a tie.`;
  const points = Math.round(100 * Math.abs(free.share - wished.share));
  const count = points === 1 ? '1 point' : `${points} points`;
  return better === 0 ? `${told} It costs ${count} of a hundred.` : `${told} It is ${count} better.`;
}

/** A length that is not broken over two lines. */
const way = (length: number) => longLength(length).replace(' ', '\u00a0');

function wayWords({ travel, cushions }: PlanStep): string {
  const bounces = ['no cushion', 'one cushion', 'two cushions', 'three cushions'][cushions.length];
  return `${way(travel)}, ${bounces ?? `${cushions.length} cushions`}`;
}

export function stepWords(step: PlanStep, vocabulary: Vocabulary): string {
  const { chance, value, alternative } = step;
  const own = `pot ${percent(chance)}, clears from here ${percent(value)}; cue ball ${wayWords(step)}`;
  if (alternative === undefined) return own;
  const other = `the ${alternative.ball} to ${pocketWords(alternative.pocket, vocabulary)}`;
  return alternative.costs < ALIKE
    ? `${own}; ${other} is as good`
    : `${own}; ${other} costs ${counted(Math.round(100 * alternative.costs), 'point')}`;
}
