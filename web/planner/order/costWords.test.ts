import { describe, expect, it } from 'vitest';
import { choiceWords, wantedWords } from './costWords.ts';
import { wishWords } from './planWords.ts';

const advice = [
  { ball: '2', pocket: 'foot-left', chance: 0.9, value: 0.7 },
  { ball: '5', pocket: 'head-left', chance: 0.8, value: 0.69 },
  { ball: '4', pocket: 'head-left', chance: 0.95, value: 0.64 },
] as const;
const played = (low: number, share: number, high: number) => ({ low, share, high, plays: 60 });

describe('what a choice cost', () => {
  it('is the chance given up against the best ball, nothing that could not be told', () => {
    expect(wantedWords(advice, 'pool')).toBe('the 2 to foot left');
    expect(choiceWords(advice, '2')).toBe('The 2 was the plan’s ball.');
    expect(choiceWords(advice, '4')).toBe('The 4 cost 6 points of a hundred; the plan played the 2.');
    expect(choiceWords(advice, '5')).toBe('The 5 is as good as the plan’s 2.');
  });

  it('is not told of a ball that the plan does not see, nor where it sees none', () => {
    expect(choiceWords(advice, '7')).toBe('The plan sees no way with the 7; it played the 2.');
    expect(choiceWords([], '7')).toBe('The plan sees no ball from there.');
    expect(wantedWords([], 'pool')).toBeUndefined();
  });
});

describe('what an order of one’s own costs', () => {
  it('is a tie while each lies in the other’s interval, and else the difference of the shares', () => {
    expect(wishWords(played(0.5, 0.6, 0.7), played(0.48, 0.58, 0.68))).toMatch(/They are a tie\.$/);
    expect(wishWords(played(0.7, 0.8, 0.87), played(0.57, 0.67, 0.76))).toBe(
      'Your way: 57 to 76 %; the plan: 70 to 87 %. It costs 13 points of a hundred.',
    );
    expect(wishWords(played(0.3, 0.4, 0.5), played(0.7, 0.8, 0.87))).toMatch(/It is 40 points better\.$/);
  });
});
