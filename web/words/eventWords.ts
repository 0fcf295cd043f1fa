import type { Mark } from '../../core/motion/marks.ts';
import { pocketWords } from './places.ts';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { capital, termIn, type Vocabulary } from './vocabulary.ts';

function ballWord(id: string): string {
  return id === CUE_BALL ? 'the cue ball' : `the ${id}`;
}

/** "the left rail at 2.3 diamonds". */
function cushionWord(mark: Mark, vocabulary: Vocabulary): string {
  if (mark.event.kind !== 'ball-cushion') return '';
  const side = mark.event.cushion.split('-')[0] ?? '';
  const name =
    side === 'head'
      ? termIn(vocabulary, 'headEnd')
      : side === 'foot'
        ? termIn(vocabulary, 'footEnd')
        : `${side}-hand`;
  const at = mark.sight === undefined ? '' : ` at ${mark.sight.toFixed(1)} diamonds`;
  return `the ${name} ${termIn(vocabulary, 'cushion')}${at}`;
}

/** What happened, as a sentence without its time. */
export function eventWords(mark: Mark, vocabulary: Vocabulary): string {
  const { event } = mark;
  if (event.kind === 'ball-ball') {
    return `${capital(ballWord(event.ids[0]))} and ${ballWord(event.ids[1])} meet`;
  }
  const ball = capital(ballWord(event.id));
  switch (event.kind) {
    case 'ball-cushion':
      return `${ball} hits ${cushionWord(mark, vocabulary)}`;
    case 'pocket':
      return `${ball} falls into the ${pocketWords(event.pocket, vocabulary)} pocket`;
    case 'rolling':
      return `${ball} begins to roll`;
    case 'rest':
      return `${ball} stops`;
    case 'off-table':
      return `${ball} leaves the table`;
    case 'hop':
      return `${ball} leaves the cloth`;
    case 'bounce':
      return `${ball} comes down`;
  }
}

const PACES = [
  [0.9, 'very soft'],
  [1.6, 'soft'],
  [2.6, 'medium'],
  [4, 'firm'],
  [6, 'hard'],
] as const;

/** A pace in a word. @param speed m/s */
export function paceWord(speed: number): string {
  return PACES.find(([below]) => speed < below)?.[1] ?? 'break pace';
}
