import type { Misplaced } from '../../core/camera/misplaced.ts';
import { shortLength } from './lengths.ts';

/** A ball in a sentence. */
export const ballInWords = (name: string) => (name === 'cue' ? 'the cue ball' : `the ${name}`);

function misplacedWords({ ball: name, off }: Misplaced): string {
  const named = ballInWords(name).replace(/^t/, 'T');
  return off === undefined ? `${named} is not seen.` : `${named} lies ${shortLength(off)} beside its place.`;
}

/** So many balls are told one by one. */
const TOLD = 3;

/** Balls that are set wrong, for whoever sets them: a sentence each, and how many more there are. */
export function besideWords(beside: readonly Misplaced[]): readonly string[] {
  const told = beside.slice(0, TOLD).map(misplacedWords);
  const more = beside.length - told.length;
  if (more === 0) return told;
  return [
    ...told,
    more === 1 ? 'One more is not in its place.' : `${String(more)} more are not in their places.`,
  ];
}
