import { CUE_BALL } from '../../core/drill/layout.ts';
import type { Attempt } from '../../core/drill/rules.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';

/** Letters of the balls without numbers; the ones of the other keys are left alone. */
const LETTERS: Readonly<Record<string, string>> = {
  red: 'd',
  yellow: 'y',
  green: 'g',
  brown: 'o',
  blue: 'l',
  pink: 'p',
  black: 'k',
};

/** Keys of the numbers from 10 on. */
const BEYOND_NINE = ['0', 'w', 's', 'd', 'g', 'h'];

export interface BallKey {
  readonly id: string;
  readonly key: string;
  /** "the red" for any of the reds. */
  readonly name: string;
}

/** A key for each ball that may be played: its number, or a letter of its colour; of all reds one. */
export function keyOfBall(legal: readonly string[]): readonly BallKey[] {
  const red = legal.find((id) => id.startsWith('red'));
  const others = legal.filter((id) => !id.startsWith('red'));
  const keys = others.map((id): BallKey => {
    const number = Number(id);
    const key = number <= 9 ? id : (BEYOND_NINE[number - 10] ?? LETTERS[id] ?? '?');
    return { id, key, name: `the ${id}` };
  });
  return red === undefined ? keys : [{ id: red, key: 'd', name: 'a red' }, ...keys];
}

/** What is next, in a sentence: the cue ball, what comes back, what may be played. */
export function clearanceHint(attempt: Attempt, settingUp: 'balls' | 'places' | undefined): string {
  if (settingUp === 'balls') return 'Tap the balls that are down already; tap again to bring one back.';
  if (settingUp === 'places') return 'Tap where each thrown ball lies, the lowest first.';
  const cue = {
    'as the drill starts': '',
    'where it stopped': '',
    'in hand': 'Cue ball in hand. ',
    'where it was planned': 'Cue ball back to where it was planned. ',
  }[attempt.cueBall];
  const back = attempt.respot.length === 0 ? '' : `Respot ${attempt.respot.join(' and ')}. `;
  return `${cue}${back}Tap the ball that fell; then, if you like, its pocket and where the cue ball stopped.`;
}

/** Which ball is asked for. @param ball undefined while nobody has said which */
export function movedHint(ball: string | undefined, byHand: boolean): string {
  if (ball === undefined) return 'Which ball was moved? Tap it.';
  const why = byHand ? '' : `The ${ball} was probably moved. `;
  return `${why}Tap where the ${ball} lies now.`;
}

/** Why balls at rest tell no shot; undefined where they do. */
export function notAShot(before: readonly BallOnTable[], after: readonly BallOnTable[]): string | undefined {
  const strange = after.find(({ id }) => id !== CUE_BALL && before.every((ball) => ball.id !== id));
  if (strange !== undefined) return `The ${strange.id} was not on the table.`;
  return after.some(({ id }) => id === CUE_BALL)
    ? undefined
    : 'The cue ball is not there: say so at the pad if it fell.';
}
