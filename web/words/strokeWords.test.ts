import { describe, expect, it } from 'vitest';
import {
  cushionWords,
  nextWords,
  paceRange,
  pocketSideWords,
  strokeWords,
  sumUp,
  waitsWords,
  type SpokenStroke,
} from './strokeWords.ts';

const spoken = (over: Partial<SpokenStroke>, length: number): SpokenStroke => ({
  tip: { side: 0, height: 0 },
  kind: undefined,
  cushions: 0,
  on: 0.5,
  ...over,
  pace: {
    stops: [],
    less: -0.06,
    more: 0.14,
    softer: undefined,
    harder: undefined,
    length,
    entry: undefined,
    exit: undefined,
  },
});

describe('a stroke in words', () => {
  it('speaks the chosen vocabulary, and keeps running and check apart from left and right', () => {
    expect(strokeWords({ side: 0.1, height: 0.3 }, 'running', 'snooker')).toBe(
      'top with a touch of running side',
    );
    expect(strokeWords({ side: -0.25, height: -0.3 }, 'check', 'pool')).toBe('draw with check english');
    expect(strokeWords({ side: 0.4, height: 0 }, undefined, 'pool')).toBe(
      'stun with plenty of right-hand english',
    );
    expect(strokeWords({ side: 0.01, height: 0.3 }, 'running', 'pool')).toBe('follow');
  });

  it('counts cushions, and gives the range of pace on both sides', () => {
    expect([0, 1, 3].map((count) => cushionWords(count, 'pool'))).toEqual([
      'direct',
      'one rail',
      'three rails',
    ]);
    expect(paceRange({ less: -0.06, more: 0.14 })).toBe('−6 % / +14 %');
    expect(paceRange({ less: 0, more: 0 })).toBe('none');
  });

  it('says what waits beyond the range', () => {
    expect(waitsWords('in-off', 'pool')).toBe('a scratch');
    expect(waitsWords('in-off', 'snooker')).toBe('an in-off');
    expect(waitsWords('missed', 'pool')).toBe('a missed pot');
    expect(waitsWords(undefined, 'pool')).toBe('nothing within reach');
  });

  it('names the half of the pocket, as the object ball sees it', () => {
    expect(pocketSideWords(0.5)).toBe('left half of the pocket');
    expect(pocketSideWords(-0.25)).toBe('right half of the pocket');
    expect(pocketSideWords(0)).toBeUndefined();
  });

  it('sums two strokes up with their numbers', () => {
    const best = spoken({ tip: { side: 0.1, height: 0.3 }, kind: 'running', on: 0.61 }, 0.55);
    const other = spoken({ tip: { side: 0, height: -0.3 } }, 0.11);
    expect(sumUp(best, other, ['6'], 'snooker')).toBe(
      'Top with a touch of running side: you are on the 6 for 55 cm of the path, 61 % of the time; the direct screw crosses it in 11 cm.',
    );
    expect(sumUp(spoken({ cushions: 2 }, 0), undefined, ['1', '2'], 'pool')).toBe(
      'Stun, two rails: you are on one of 1, 2 50 % of the time.',
    );
    expect(nextWords(['6'])).toBe('the 6');
  });
});
