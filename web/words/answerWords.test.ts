import { describe, expect, it } from 'vitest';
import { POOL } from '../../core/testing/balls.ts';
import {
  answerAimWords,
  answerName,
  answerWorth,
  missAdvice,
  outcomesWords,
  replayWords,
  worthWords,
} from './answerWords.ts';

describe('an answer in words', () => {
  it('tells what it is worth in parts of a hundred, or in points at snooker', () => {
    expect(worthWords(-0.214, 'nine-ball')).toBe('−21 of 100');
    expect(worthWords(0.4, 'eight-ball')).toBe('+40 of 100');
    expect(worthWords(-4.25, 'snooker')).toBe('−4.3 points');
  });

  it('tells the chance of the frame where the frame counts', () => {
    expect(answerWorth({ worth: -4.25, frame: 0.312 }, 'snooker').replace(/\s/g, ' ')).toBe(
      '31 % of the frame',
    );
    expect(answerWorth({ worth: -4.25, frame: undefined }, 'snooker')).toBe('−4.3 points');
  });

  it('says where to aim and how far it may be off', () => {
    const tolerance = { left: 0.0175, right: 0.0349, softer: 0.12, harder: 0.5 };
    const words = (aim: Partial<Parameters<typeof answerAimWords>[0]>) =>
      answerAimWords(
        { aim: undefined, covered: undefined, ends: 'nothing on', tolerance, ...aim },
        POOL.preset,
        'pool',
      ).replace(/\s/g, ' ');
    expect(words({ covered: 0.45 })).toBe(
      'cover 45 % of the ball. Planned: nothing left on; that holds up to 1.0° to the left and 2.0° to the right, 12 % softer and 50 % harder.',
    );
    const aim = { at: { x: 0.635, y: 1.27 }, cushion: 'left', along: 0.635, share: 0.25 };
    expect(words({ aim })).toMatch(/^aim at diamond 2\.00 of the left rail\./);
    expect(words({})).toMatch(/^no ball is met\./);
  });

  it('says that a foul is meant, and which ball it meets', () => {
    expect(answerName({ name: 'foul', ball: '', cushions: [] }, 'pool')).toBe(
      'Foul on purpose, meeting nothing',
    );
    expect(answerName({ name: 'jump', ball: '3', cushions: [] }, 'pool')).toBe('Jump to the 3');
    expect(answerName({ name: 'swerve', ball: 'blue', cushions: [] }, 'snooker')).toBe('Swerve to the blue');
    expect(answerName({ name: 'foul', ball: 'blue', cushions: [] }, 'snooker')).toBe(
      'Foul on purpose: meet the blue first',
    );
  });

  it('is named in the player’s own words', () => {
    const kick = { name: 'kick', ball: '3', cushions: ['left', 'foot'] } as const;
    expect(answerName(kick, 'pool')).toBe('Kick at the 3, by the left and the foot rail');
    expect(answerName({ ...kick, ball: 'red 1' }, 'snooker')).toBe(
      'Escape to the red 1, by the left and the top cushion',
    );
    expect(answerName({ name: 'thin hit', ball: '3', cushions: [] }, 'pool')).toBe('Thin off the 3');
  });

  it('names the three likeliest ends, the likeliest first', () => {
    const ended = (kind: 'pot' | 'foul' | 'wide open' | 'nothing on', share: number) => ({
      kind,
      share,
      worth: 0,
      example: [],
    });
    expect(
      outcomesWords([
        ended('pot', 0.1),
        ended('nothing on', 0.5),
        ended('wide open', 0.35),
        ended('foul', 0.05),
      ]),
    ).toBe('nothing left on 50 %, left wide open 35 %, pot 10 %');
  });

  it('advises the cheaper side only where it makes a difference', () => {
    expect(
      missAdvice({ line: { below: -0.5, above: -0.2 }, pace: { below: -0.3, above: -0.1 } }, 'nine-ball'),
    ).toEqual([
      'If you miss, miss to the right: −20 of 100 there, −50 of 100 to the left.',
      'Err hard: too hard is −10 of 100, too soft −30 of 100.',
    ]);
    expect(missAdvice({ line: { below: -0.21, above: -0.2 }, pace: undefined }, 'nine-ball')).toEqual([]);
    expect(missAdvice({ line: undefined, pace: { below: -3, above: -6.5 } }, 'snooker')).toEqual([
      'Err soft: too soft is −3.0 points, too hard −6.5 points.',
    ]);
  });

  it('says what called misses cost, and nothing where none is called', () => {
    expect(replayWords({ replays: undefined })).toBeUndefined();
    expect(replayWords({ replays: { missed: 0.25, misses: 1 / 3, points: 4 / 3 } })).toBe(
      'The best answer misses 25 %: if every miss is called and played again, 0.3 misses and 1.3 points before it hits.',
    );
  });
});
