import type { Misplaced } from '../../core/camera/misplaced.ts';
import { shortLength } from './lengths.ts';

/** A ball in a sentence. */
export const ballInWords = (name: string) => (name === 'cue' ? 'the cue ball' : `the ${name}`);

/** A ball that is set wrong, for whoever sets it. */
export function misplacedWords({ ball: name, off }: Misplaced): string {
  const named = ballInWords(name).replace(/^t/, 'T');
  return off === undefined ? `${named} is not seen.` : `${named} lies ${shortLength(off)} beside its place.`;
}
