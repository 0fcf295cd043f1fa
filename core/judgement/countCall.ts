import type { CallAnswer, CallQuestion } from './question.ts';
import { scoreCall } from './score.ts';

/** A drawn way, a length, an order or a place counts as right from this score on; verdicts and sides are right or wrong. */
export const NEAR_ENOUGH = 0.7;

/** A call as a round counts it: what was called against what was computed; nothing was played. */
export interface CountedCall {
  readonly called: string;
  readonly computed: string;
  readonly played: null;
}

function truthOf(question: CallQuestion): string {
  switch (question.kind) {
    case 'in-off or not':
    case 'does it pass':
    case 'which side of the plant':
    case 'which ball first':
    case 'which suit':
    case 'key ball':
    case 'which line':
    case 'which way to miss':
    case 'pot or safe':
    case 'what will be on':
      return question.truth;
    case 'draw the path':
    case 'how long is the window':
    case 'whole order':
    case 'where to be':
    case 'where on the cushion':
      return 'near enough';
  }
}

/**
 * An answer as a round of calls counts it: the called outcome against the computed one. Drawn ways, lengths, orders and places, which are
 * never quite right, are "near enough" or "off".
 * @throws RangeError for an answer of another kind than the question asks for
 */
export function countedCall(question: CallQuestion, answer: CallAnswer): CountedCall {
  const computed = truthOf(question);
  const score = scoreCall(question, answer);
  const called =
    answer.kind === 'verdict'
      ? answer.verdict
      : answer.kind === 'side'
        ? answer.side
        : answer.kind === 'pick'
          ? answer.pick
          : score >= NEAR_ENOUGH
            ? computed
            : 'off';
  return { called, computed, played: null };
}
