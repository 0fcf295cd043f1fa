import type { Difficulty } from '../../core/judgement/kinds.ts';
import { LINE_CHANCES } from '../../core/judgement/pose/onCushion.ts';
import type { KickQuestion } from '../../core/judgement/kickQuestion.ts';
import { worthWords } from './answerWords.ts';
import { aimWords, cushionsWords } from './kickWords.ts';
import { percent } from './units.ts';
import { capital, termIn, type Vocabulary } from './vocabulary.ts';

const HARDNESS: Readonly<Record<Difficulty, string>> = {
  plain: 'Easy',
  fair: 'Fair',
  close: 'Hard',
  'hair-fine': 'Very hard',
};

/** How hard a hidden ball is to hit: "Fair: a team player hits 70 to 85 %". */
export function hidingWords(difficulty: Difficulty): string {
  const [least, most] = LINE_CHANCES[difficulty];
  return `${HARDNESS[difficulty]}: a team player hits ${Math.round(100 * least)} to ${percent(most)}`;
}

/** What the player is asked about a kick or a safety, in a sentence. */
export function kickQuestionWords(question: KickQuestion, vocabulary: Vocabulary): string {
  const { target } = question;
  const hidden = `The ${target} is hidden.`;
  switch (question.kind) {
    case 'which line':
      return `${hidden} By which line does a team player hit it most often?`;
    case 'where on the cushion':
      return `${hidden} Tap the ${termIn(vocabulary, 'cushion')} at which the cue should point.`;
    case 'which way to miss':
      return `${hidden} The line to it is drawn. If you are off it, on which side does it cost less, seen from behind the cue ball?`;
    case 'pot or safe':
      return `The ${target} is on. Team player against team player: try to pot it, or leave it safe?`;
  }
}

/** The game by which worths are told. */
const gameOf = ({ shot }: KickQuestion) => (shot.table.preset.game === 'snooker' ? 'snooker' : 'nine-ball');

/** What is true of a kick or a safety, and why. */
export function explainKick(question: KickQuestion, vocabulary: Vocabulary): string {
  const { shot } = question;
  const game = gameOf(question);
  switch (question.kind) {
    case 'which line': {
      const [best, ...others] = question.worth;
      const rest = others.map(({ pick, value }) => `, by ${pick} ${percent(value)}`).join('');
      return `By ${question.truth} a team player hits it ${percent(best?.value ?? 0)} of the time${rest}.`;
    }
    case 'where on the cushion': {
      const aim = capital(aimWords(question.truth, shot.table.preset, vocabulary));
      return `${aim}: ${cushionsWords(question.cushions, vocabulary)} a team player hits it ${percent(question.best)} of the time. The score is how much of that the tapped place keeps.`;
    }
    case 'which way to miss': {
      const { truth, left, right } = question;
      const [better, worse] = truth === 'left' ? [left, right] : [right, left];
      return `Miss it to the ${truth}: a stroke that is off to that side is worth ${worthWords(better, game)}, one to the other side ${worthWords(worse, game)}.`;
    }
    case 'pot or safe': {
      const { truth, potWorth, safeWorth, falls } = question;
      const told = `the pot falls ${percent(falls)} of the time and is worth ${worthWords(potWorth, game)}, the best safety ${worthWords(safeWorth, game)}`;
      return truth === 'pot' ? `Pot it: ${told}.` : `Leave it safe: ${told}.`;
    }
  }
}
