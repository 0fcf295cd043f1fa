import { describe, expect, it } from 'vitest';
import { CONTACT_GRADES } from '../../core/counting/gradedContact.ts';
import { attemptSign, attemptWords } from './attemptWords.ts';

describe('an attempt in words', () => {
  it.each([
    [{ done: true, points: 3 }, '3 points'],
    [{ done: false, points: 0 }, 'missed'],
    // A pot outside of every band is no miss.
    [{ done: true, points: 0 }, '0 points'],
    [{ done: true }, 'made'],
    [{ done: false }, 'missed'],
    [{ done: false, balls: 4, points: 0, penalty: 0 }, '4 made'],
    [{ done: true, balls: 6, points: 27, penalty: 0 }, 'cleared, 27 points'],
    [{ done: false, balls: 2, points: 8, penalty: 4 }, '2 made, 8 points, 4 given away'],
    [{ done: false, balls: 1, target: 'red 3' }, 'the red 3: missed'],
    [{ done: true, balls: 1, target: '5' }, 'the 5: done'],
  ])('%j is %s', (attempt, words) => {
    expect(attemptWords(attempt)).toBe(words);
  });

  it('of a break says what fell and how it lies', () => {
    const opening = { balls: 2, control: 1, layout: 3, inOff: false };
    expect(attemptWords({ done: true, opening })).toBe('2 down, control 1, layout 3');
    expect(attemptWords({ done: false, opening: { ...opening, inOff: true } })).toContain('cue ball lost');
  });

  it('of a kick says how it was hit, how often it was played again, and what it leaves', () => {
    const kick = { hit: true, legal: true, repeats: 0, leave: 'nothing on' } as const;
    expect(attemptWords({ done: true, kick })).toBe('hit, leaves nothing on');
    expect(attemptWords({ done: true, grade: 'thin', kick: { ...kick, repeats: 2 } })).toBe(
      'thin, after 2 called misses, leaves nothing on',
    );
    const missed = { left: 1, right: 0, short: 0 };
    expect(attemptWords({ done: true, kick: { ...kick, repeats: 1, missed } })).toBe(
      'hit, after 1 called miss (1 left), leaves nothing on',
    );
    expect(
      attemptWords({ done: true, kick: { ...kick, repeats: 4, missed: { left: 2, right: 0, short: 1 } } }),
    ).toContain('after 4 called misses (2 left, 1 short)');
  });
});

describe('an attempt as a sign', () => {
  const sign = (counted: Parameters<typeof attemptSign>[0]['counted']) =>
    attemptSign({ counted, outcome: counted.done ? 'potted' : 'missed' });

  it('of a clearance is a tick, its points where it has some, or the balls before the fault', () => {
    expect(sign({ done: true, balls: 3, points: 0, penalty: 0 })).toBe('✓');
    expect(sign({ done: true, balls: 6, points: 27 })).toBe('27');
    expect(sign({ done: false, balls: 2, points: 0 })).toBe('2');
  });

  it('of a landing is its points, also when a pot earned none', () => {
    expect(sign({ done: true, points: 0 })).toBe('0');
    expect(sign({ done: false, points: 0 })).toBe('×');
  });

  it('tells every way of meeting a ball from every other', () => {
    const signs = CONTACT_GRADES.map((grade) => sign({ done: grade !== 'miss', grade }));
    expect(new Set(signs).size).toBe(CONTACT_GRADES.length);
  });
});
