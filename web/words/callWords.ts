import { BREAK_KIND, type CallKind, type Difficulty } from '../../core/judgement/kinds.ts';
import type { CallAnswer, CallQuestion, PotQuestion } from '../../core/judgement/question.ts';
import { POCKET_NAMES } from '../../core/table/pockets.ts';
import { breakQuestionWords, explainBreak } from './breakCallWords.ts';
import { explainKick, kickQuestionWords } from './kickCallWords.ts';
import { gapWords, inOffGapWords } from './marginWords.ts';
import { pocketWords } from './places.ts';
import { counted, percent } from './units.ts';
import { fineLength, shortLength, tapeLength } from './lengths.ts';
import { capital, termIn, type Vocabulary } from './vocabulary.ts';

/** What a trainer of a kind is called. */
export function kindWords(kind: CallKind, vocabulary: Vocabulary): string {
  switch (kind) {
    case 'in-off or not':
      return `${capital(termIn(vocabulary, 'inOff'))} or not`;
    case 'does it pass':
      return 'Does it pass';
    case 'draw the path':
      return 'Draw the path';
    case 'how long is the window':
      return 'How long is the window';
    case 'which side of the plant':
      return `Which side of the ${termIn(vocabulary, 'plant')}`;
    case 'which ball first':
      return 'Which ball first';
    case 'which suit':
      return 'Which suit';
    case 'key ball':
      return 'Which is the key ball';
    case 'whole order':
      return 'The whole order';
    case 'where to be':
      return 'Where to be';
    case 'which line':
      return 'Which line';
    case 'where on the cushion':
      return `Where on the ${termIn(vocabulary, 'cushion')}`;
    case 'which way to miss':
      return 'Which way to miss';
    case 'pot or safe':
      return 'Pot or safe';
    case 'what will be on':
      return 'What will be on after the break';
  }
}

export const DIFFICULTY_WORDS: Readonly<Record<Difficulty, string>> = {
  plain: 'Plain to see',
  fair: 'Fair',
  close: 'Close',
  'hair-fine': 'Hair-fine, some too close to call',
};

/** What the player is asked, in a sentence. */
export function questionWords(question: CallQuestion, vocabulary: Vocabulary): string {
  if (question.kind === BREAK_KIND) return breakQuestionWords(question, vocabulary);
  return 'target' in question
    ? kickQuestionWords(question, vocabulary)
    : potQuestionWords(question, vocabulary);
}

/** How a pick of a question is called on a button. */
export function pickWords(pick: string, kind: CallKind, vocabulary: Vocabulary): string {
  const pocket = kind === BREAK_KIND ? POCKET_NAMES.find((name) => name === pick) : undefined;
  return pocket === undefined ? pick : pocketWords(pocket, vocabulary);
}

function potQuestionWords(question: PotQuestion, vocabulary: Vocabulary): string {
  const pot = `The ${question.pot} goes into the ${pocketWords(question.pocket, vocabulary)} pocket`;
  switch (question.kind) {
    case 'in-off or not':
      return `${pot}. Does the cue ball fall?`;
    case 'does it pass':
      return `${pot}. Does the cue ball pass the ${question.obstacle.id}?`;
    case 'draw the path':
      return `${pot}. Tap the cue ball’s way from the hit to where it stops.`;
    case 'how long is the window':
      return `${pot}. For how much of the cue ball’s way is a team player on the ${question.next} into the ${pocketWords(question.nextPocket, vocabulary)} pocket?`;
    case 'which side of the plant':
      return `The ${question.first} is to send the ${question.pot} into the ${pocketWords(question.pocket, vocabulary)} pocket; ${
        question.gapMm === 0 ? 'they touch' : `they lie ${fineLength(question.gapMm / 1_000)} apart`
      }. On which side is the ${question.first} hit? ${vocabulary === 'pool' ? 'Centre ball' : 'Plain ball'}, medium pace.`;
    case 'which ball first':
      return 'Clear the table in any order. With which ball does a team player begin?';
    case 'which suit':
      return 'One suit and then the 8. Which suit does a team player clear more often, the lower or the higher one?';
    case 'key ball':
      return 'Clear the table in any order. Which ball costs a team player most when another one is played in its place?';
    case 'where to be':
      return `${pot}, then the ${question.after.join(' and the ')}. Tap where you want the cue ball, so that both follow.`;
    case 'whole order':
      return 'Clear the table. In which order does a team player clear it most often?';
  }
}

export function answerWords(answer: CallAnswer, kind: CallKind, vocabulary: Vocabulary): string {
  switch (answer.kind) {
    case 'verdict':
      return answer.verdict;
    case 'path':
      return `a way of ${answer.points.length} points`;
    case 'length':
      return shortLength(answer.metres);
    case 'side':
      return answer.side;
    case 'pick':
      // A line has a letter, a ball an article, and a choice is a word.
      if (kind === 'which line') return `line ${answer.pick}`;
      if (kind === BREAK_KIND) return `the ${pickWords(answer.pick, kind, vocabulary)} pocket`;
      return kind === 'pot or safe' ? answer.pick : `the ${answer.pick}`;
    case 'order':
      return answer.order.join(', ');
    case 'place':
      return 'the place that is marked';
  }
}

/** " by 35 mm"; nothing where no margin is known. */
const byWords = (marginMm: number | undefined, words: (mm: number) => string) =>
  marginMm === undefined ? '' : ` by ${words(marginMm)}`;

/** What is true, and why: shown with the reveal. */
export function explainCall(question: CallQuestion, vocabulary: Vocabulary): string {
  if (question.kind === BREAK_KIND) return explainBreak(question, vocabulary);
  return 'target' in question ? explainKick(question, vocabulary) : explainPot(question, vocabulary);
}

function explainPot(question: PotQuestion, vocabulary: Vocabulary): string {
  switch (question.kind) {
    case 'in-off or not': {
      const pocket =
        question.near === undefined ? 'any pocket' : `the ${pocketWords(question.near, vocabulary)} pocket`;
      const word = termIn(vocabulary, 'inOff');
      const share = `Of 200 strokes by a team player ${percent(question.share)} end in ${vocabulary === 'pool' ? 'a' : 'an'} ${word}.`;
      if (question.truth === 'too close') {
        return `Too close to call:${byWords(question.marginMm, inOffGapWords)} its way goes one way or the other at ${pocket}. ${share}`;
      }
      return question.truth === 'yes'
        ? `Yes: it falls into ${pocket}${byWords(question.marginMm, inOffGapWords)}. ${share}`
        : `No: it misses ${pocket}${byWords(question.marginMm, inOffGapWords)}. ${share}`;
    }
    case 'does it pass': {
      const share = `It passes in ${percent(question.share)} of 200 strokes by a team player.`;
      const ball = `the ${question.obstacle.id}`;
      if (question.truth === 'too close') {
        return `Too close to call: ${(question.marginMm ?? 0) >= 0 ? 'a gap of' : 'an overlap of'} ${gapWords(question.marginMm ?? 0)}. ${share}`;
      }
      return question.truth === 'yes'
        ? `Yes: it passes ${ball}${byWords(question.marginMm, gapWords)}. ${share}`
        : `No: it meets ${ball}; it would have to lie ${gapWords(question.marginMm ?? 0)} farther away. ${share}`;
    }
    case 'draw the path':
      return 'The line is the cue ball’s way as the simulator plays it.';
    case 'how long is the window':
      return `You are on the ${question.next} for ${shortLength(question.truth)} of the way.`;
    case 'which side of the plant': {
      const flip =
        question.flipMm === undefined
          ? `No gap up to ${tapeLength(0.012)} changes the side.`
          : `The side changes at a gap of about ${fineLength(question.flipMm / 1_000)}: nearer, the first ball pulls the second along; farther apart, it is sent off on a way of its own.`;
      return `Hit it on the ${question.truth}. ${flip}`;
    }
    case 'which ball first': {
      const [best, ...others] = question.worth;
      const rest = others.map(({ pick, value }) => `; with the ${pick} first, ${percent(value)}`).join('');
      return `Begin with the ${question.truth}, into the ${pocketWords(question.pocket, vocabulary)} pocket: a team player then clears ${percent(best?.value ?? 0)}${rest}.`;
    }
    case 'which suit': {
      const [best, other] = question.worth;
      return `Take the ${question.truth} one: a team player clears it ${percent(best?.value ?? 0)} of the time, the other one ${percent(other?.value ?? 0)}. The plan begins with the ${question.pot}.`;
    }
    case 'key ball':
      return `The ${question.truth}: the ${question.instead} in its place costs ${counted(Math.round(100 * (question.worth[0]?.value ?? 0)), 'point')} of a hundred. The plan: ${question.order.join(', ')}.`;
    case 'where to be':
      return `By the plan a team player clears the ${question.after.join(' and the ')} from the best places in ${Math.round(100 * question.best)} of a hundred tries; the darker the ground, the better the place.`;
    case 'whole order': {
      const [best, second] = question.worth;
      const next =
        second === undefined ? '' : `; next best ${second.order.join(', ')} with ${percent(second.value)}`;
      return `${question.truth.join(', ')}: a team player then clears ${percent(best?.value ?? 0)}${next}; the worst of all orders, ${percent(question.worth.at(-1)?.value ?? 0)}.`;
    }
  }
}
