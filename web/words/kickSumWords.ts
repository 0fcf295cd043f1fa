import type { Replays } from '../../core/counting/replays.ts';
import type { KickTrait } from '../../core/scoring/kickSums.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';

const DISTANCE_WORDS: Readonly<Record<string, string>> = {
  near: 'less than a third of the table',
  middle: 'up to two thirds',
  far: 'farther',
};

/** "2 rails", "any way", "less than a third of the table" */
export function kickGroupWords(value: string, trait: KickTrait, vocabulary: Vocabulary): string {
  if (trait === 'distance') return DISTANCE_WORDS[value] ?? value;
  if (trait === 'side') return sideUsedWords(value, vocabulary);
  if (value === 'any') return 'any way';
  return `${value} ${termIn(vocabulary, 'cushion')}${value === '1' ? '' : 's'}`;
}

function sideUsedWords(value: string, vocabulary: Vocabulary): string {
  if (value === 'not said') return value;
  const side = termIn(vocabulary, 'side');
  return value === 'none' ? `no ${side}` : `${value} ${side}`;
}

/** Called misses, and where they go: "12 misses were called; they go left (7 of 9 that were told)." */
export function driftWords({ misses, drift }: Pick<Replays, 'misses' | 'drift'>): string {
  if (misses === 0) return '';
  const called = misses === 1 ? '1 miss was called' : `${misses} misses were called`;
  if (drift === undefined) return `${called}.`;
  const goes = drift.way === 'short' ? 'stop short' : `go ${drift.way}`;
  return `${called}; they ${goes} (${drift.count} of ${drift.told} that were told).`;
}
