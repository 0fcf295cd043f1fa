import type { BreakCallQuestion } from '../../core/judgement/breakQuestion.ts';
import { POCKET_NAMES } from '../../core/table/pockets.ts';
import { pocketWords } from './places.ts';
import { percent } from './units.ts';
import type { Vocabulary } from './vocabulary.ts';
import { speedWords } from './lengths.ts';

/** What the player is asked about a break, in a sentence. */
export function breakQuestionWords({ shot }: BreakCallQuestion, vocabulary: Vocabulary): string {
  const words = vocabulary === 'pool' ? 'The break' : 'The break-off';
  return `${words} as it is drawn, at ${speedWords(shot.strike.speed, 0)} by a team player, racked with a template. When a ball falls and you go on: into which pocket will the easiest next ball go?`;
}

/** What most breaks leave, and how sure that is. */
export function explainBreak({ worth, goesOn, breaks }: BreakCallQuestion, vocabulary: Vocabulary): string {
  const told = worth.flatMap(({ pick, value }, i) => {
    const name = POCKET_NAMES.find((each) => each === pick);
    if (name === undefined || (i > 0 && value < 0.05)) return [];
    return [`${pocketWords(name, vocabulary)} ${percent(value)}`];
  });
  const nothing = 1 - worth.reduce((sum, { value }) => sum + value, 0);
  const rest = nothing < 0.05 ? '' : `; nothing is on in ${percent(nothing)}`;
  return `Of ${breaks} such breaks ${percent(goesOn)} let you go on. The easiest next ball then goes ${told.join(', ')}${rest}. One break, as planned, is shown: no two are the same.`;
}
