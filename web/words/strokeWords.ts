import type { Tip } from '../../core/motion/shot.ts';
import { techniqueOf } from '../../core/planning/routes.ts';
import type { PaceWindow, StopState } from '../../core/planning/stops.ts';
import type { CushionSide } from '../../core/shot/sideSpin.ts';
import { percent } from './units.ts';
import { shortLength } from './lengths.ts';
import { capital, termIn, type Vocabulary } from './vocabulary.ts';

/** Less side than this is a touch, more than the other plenty, ball radii. */
const TOUCH = 0.16;
const PLENTY = 0.32;
/** Less than this is none. */
const NONE = 0.03;

function sideWords({ side }: Tip, kind: CushionSide | undefined, vocabulary: Vocabulary): string | undefined {
  const size = Math.abs(side);
  if (size < NONE) return undefined;
  const word = termIn(vocabulary, 'side');
  const which = kind ?? (side > 0 ? 'right-hand' : 'left-hand');
  const much = size < TOUCH ? 'a touch of ' : size > PLENTY ? 'plenty of ' : '';
  return `with ${much}${which} ${word}`;
}

/** A stroke by its technique and side: "follow with a touch of running english". */
export function strokeWords(tip: Tip, kind: CushionSide | undefined, vocabulary: Vocabulary): string {
  const technique = techniqueOf(tip);
  const name = technique === 'stun' ? 'stun' : termIn(vocabulary, technique);
  return [name, sideWords(tip, kind, vocabulary)].filter((part) => part !== undefined).join(' ');
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];

/** "direct", "one cushion", "three cushions". */
export function cushionWords(count: number, vocabulary: Vocabulary): string {
  if (count === 0) return 'direct';
  const word = termIn(vocabulary, 'cushion');
  return `${COUNTS[count] ?? String(count)} ${word}${count === 1 ? '' : 's'}`;
}

/** The range of pace on both sides: "−6 % / +14 %". */
export function paceRange({ less, more }: Pick<PaceWindow, 'less' | 'more'>): string {
  if (less === 0 && more === 0) return 'none';
  return `−${Math.round(-100 * less)} % / +${Math.round(100 * more)} %`;
}

/** What a stroke meets that is just too soft or too hard. */
export function waitsWords(state: StopState | undefined, vocabulary: Vocabulary): string {
  switch (state) {
    case undefined:
      return 'nothing within reach';
    case 'in-off':
      return `${vocabulary === 'pool' ? 'a' : 'an'} ${termIn(vocabulary, 'inOff')}`;
    case 'lost':
      return 'a ball off the table';
    case 'missed':
      return 'a missed pot';
    case 'less likely':
      return 'the next ball gets harder';
    default:
      return 'no next ball';
  }
}

/** A stroke as the summing-up needs it. */
export interface SpokenStroke {
  readonly tip: Tip;
  readonly kind: CushionSide | undefined;
  readonly cushions: number;
  readonly pace: PaceWindow;
  /** Share of executions that pot and leave the next ball on. */
  readonly on: number;
}

/** What a window is called: the ball, or "a ball" of several. */
export function nextWords(next: readonly string[]): string {
  return next.length === 1 ? `the ${next[0] ?? ''}` : `one of ${next.join(', ')}`;
}

/**
 * Two strokes summed up in a sentence: "Follow with a touch of running side: you are on the 6 for 55 cm of the path, 61 %
 * of the time; the direct draw crosses it in 11 cm."
 */
export function sumUp(
  best: SpokenStroke,
  other: SpokenStroke | undefined,
  next: readonly string[],
  vocabulary: Vocabulary,
): string {
  const how = capital(strokeWords(best.tip, best.kind, vocabulary));
  const way = best.cushions === 0 ? '' : `, ${cushionWords(best.cushions, vocabulary)}`;
  const share = `${percent(best.on)} of the time`;
  const along =
    best.pace.length > 0
      ? `you are on ${nextWords(next)} for ${shortLength(best.pace.length)} of the path, ${share}`
      : `you are on ${nextWords(next)} ${share}`;
  const against =
    other === undefined || other.pace.length === 0
      ? ''
      : `; the ${cushionWords(other.cushions, vocabulary)} ${strokeWords(other.tip, undefined, vocabulary)} ${
          other.pace.length < 0.6 * best.pace.length ? 'crosses it in' : 'is on for'
        } ${shortLength(other.pace.length)}`;
  return `${how}${way}: ${along}${against}.`;
}

/** Nearer to the middle than this a side of the pocket is not spoken of. */
const MIDDLE = 0.2;

/** The part of the pocket to aim at, as seen from the object ball; undefined for its middle. */
export function pocketSideWords(pocketSide: number): string | undefined {
  if (Math.abs(pocketSide) < MIDDLE) return undefined;
  return `${pocketSide > 0 ? 'left' : 'right'} half of the pocket`;
}
