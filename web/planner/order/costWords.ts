import { costOfChoice, type BallAdvice } from '../../../core/planning/order/advice.ts';
import { pocketWords } from '../../words/places.ts';
import type { Vocabulary } from '../../words/vocabulary.ts';
import { ALIKE } from './planWords.ts';
import { counted } from '../../words/units.ts';

/** "the 4 to far left"; what the plan plays. */
export function wantedWords([best]: readonly BallAdvice[], vocabulary: Vocabulary): string | undefined {
  return best && `the ${best.ball} to ${pocketWords(best.pocket, vocabulary)}`;
}

/** What a choice cost: "The 4 cost 6 points of a hundred; the plan played the 2." */
export function choiceWords(advice: readonly BallAdvice[], played: string): string {
  const [best] = advice;
  if (best === undefined) return `The plan sees no ball from there.`;
  if (best.ball === played) return `The ${played} was the plan’s ball.`;
  const cost = costOfChoice(advice, played);
  if (cost === undefined) return `The plan sees no way with the ${played}; it played the ${best.ball}.`;
  if (cost < ALIKE) return `The ${played} is as good as the plan’s ${best.ball}.`;
  const points = Math.round(100 * cost);
  return `The ${played} cost ${counted(points, 'point')} of a hundred; the plan played the ${best.ball}.`;
}
