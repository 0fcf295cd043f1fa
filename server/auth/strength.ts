import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import * as common from '@zxcvbn-ts/language-common';
import { Refusal } from '../http/errors.ts';

const estimator = new ZxcvbnFactory({
  dictionary: { ...common.dictionary },
  graphs: common.adjacencyGraphs,
});

/** Of 0…4, as the package counts: below this fewer than a million guesses are enough. */
const LEAST_SCORE = 2;

/** A person's words, alone and run together: "Wren Sallow" is wren, sallow, wrensallow and wren sallow. */
function wordsOf(texts: readonly string[]): string[] {
  return texts.flatMap((text) => {
    const words = text.toLowerCase().split(/[\s@.,'-]+/);
    return [...words.filter((word) => word.length > 2), words.join(''), words.join(' '), text.toLowerCase()];
  });
}

/**
 * Refuses a password that is among the common ones, or is little more than what everybody knows of its owner.
 * @param known their name, e-mail address and club
 * @throws Refusal 400 with the field
 */
export function requireStrong(password: string, known: readonly string[]): void {
  if (estimator.check(password, wordsOf(known)).score >= LEAST_SCORE) return;
  throw new Refusal(
    400,
    'password is easy to guess: it is a common one, or made of your name. Three or four words that do not belong together are better',
    'password',
  );
}
