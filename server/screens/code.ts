import { randomInt } from 'node:crypto';
import { SCREEN_LETTERS } from '../../core/records/screen.ts';

const LENGTH = 6;

/** Six letters that nobody guesses in an evening: there are some hundred and ninety millions. */
export function newScreenCode(): string {
  return Array.from({ length: LENGTH }, () => SCREEN_LETTERS[randomInt(SCREEN_LETTERS.length)]).join('');
}
