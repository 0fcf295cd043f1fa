import { describe, expect, it } from 'vitest';
import { onAfterPot, onForOpponent } from './turns.ts';

describe('the ball that is on', () => {
  it.each([
    ['nine-ball', ['2'], '2', ['9', '10', '3'], ['3']],
    ['nine-ball', ['2'], '9', ['2', '5'], ['2']],
    ['eight-ball', ['1', '4'], '1', ['4', '8', '9'], ['4']],
    ['eight-ball', ['4'], '4', ['8', '9'], ['8']],
    ['eight-ball', ['1', '9'], '9', ['1', '10', '8'], ['10']],
    ['snooker', ['red 1', 'red 2'], 'red 1', ['red 2', 'blue', 'black'], ['blue', 'black']],
    ['snooker', ['blue'], 'blue', ['red 2', 'blue'], ['red 2']],
    ['snooker', ['yellow'], 'yellow', ['black', 'green', 'pink'], ['green']],
  ] as const)('at %s, %j on and the %s potted, is of %j: %j', (game, on, potted, left, next) => {
    expect(onAfterPot(game, on, potted, left)).toEqual(next);
  });

  it.each([
    ['nine-ball', ['2'], ['5', '2'], ['2']],
    ['eight-ball', ['1', '4'], ['1', '4', '8', '9', '11'], ['9', '11']],
    ['eight-ball', ['9'], ['8', '9'], ['8']],
    ['eight-ball', ['1', '9'], ['1', '9', '8'], ['1', '9']],
    ['eight-ball', ['8'], ['3', '8'], ['3']],
    ['snooker', ['red 1'], ['black', 'red 1', 'red 2'], ['red 1', 'red 2']],
    ['snooker', ['blue'], ['blue', 'black', 'red 4'], ['red 4']],
    ['snooker', ['brown'], ['brown', 'black'], ['brown']],
  ] as const)('for the opponent at %s, %j on, is of %j: %j', (game, on, left, theirs) => {
    expect(onForOpponent(game, on, left)).toEqual(theirs);
  });
});
