import { describe, expect, it } from 'vitest';
import { buildTable } from '../../core/table/table.ts';
import { aimsWords, alongWords, markWords, passingWords, ruleWords, thirdsWords } from './thumbWords.ts';

const pool = buildTable('pool-9ft');
const snooker = buildTable('snooker-12ft');
const aim = (along: number) => ({
  at: { x: along, y: pool.width },
  cushion: 'left',
  along,
  share: along / pool.length,
});

describe('words for rules of thumb', () => {
  it('name the rule and its way, in both vocabularies', () => {
    const two = { question: { rule: 'equal angles', cushions: ['left', 'foot'] } } as const;
    expect(ruleWords(two, 'pool')).toBe('Equal angles by the left and the foot rail');
    const round = { question: { rule: 'far mark', round: { first: 'left', second: 'head' } } } as const;
    expect(ruleWords(round, 'snooker')).toBe('One far mark by the left, the baulk and the right cushion');
  });

  it('say how the ball passes, and whether that meets it', () => {
    const at = { x: 0, y: 0 };
    expect(passingWords({ passing: { miss: 0.034, at }, hits: true })).toBe(
      'Meets the ball, 34 mm long of its middle.',
    );
    expect(passingWords({ passing: { miss: -0.21, at }, hits: false })).toBe(
      'Misses the ball: passes 210 mm short of its middle.',
    );
    expect(passingWords({ passing: undefined, hits: false })).toBe('It does not come round.');
  });

  it('say where the rule aims and where to aim instead', () => {
    expect(aimsWords({ aim: aim(1.27), right: aim(0.635) }, pool.preset, 'pool')).toBe(
      'It says: aim at diamond 4.00 of the left rail. On this table: aim at diamond 2.00 of the left rail.',
    );
    expect(aimsWords({ aim: aim(1.27), right: undefined }, pool.preset, 'pool')).toContain('No aim near it');
  });

  it('count in sights where there are some, in millimetres elsewhere', () => {
    expect(alongWords(pool.length / 2, pool.preset)).toBe('4.0');
    expect(alongWords(1.5, snooker.preset)).toBe('1500 mm');
  });

  it('say where the far mark is, and what is to be added to the thirds', () => {
    const figures = { speed: 4, mark: { x: 3.74, y: 2.77 }, shift: 1, constant: pool.length / 2 };
    expect(markWords(figures, { first: 'left', second: 'foot' }, pool, 'pool')).toBe(
      'a mark 1.50 m out beyond the left rail and 1.20 m past the foot end',
    );
    const near = { ...figures, mark: { x: 2.34, y: 2.77 } };
    expect(markWords(near, { first: 'right', second: 'head' }, pool, 'snooker')).toBe(
      'a mark 1.50 m out beyond the right cushion and 0.20 m before the baulk end',
    );
    expect(thirdsWords(figures, pool.preset)).toBe(
      'twice the start less the arrival, divided by three, plus 4.0',
    );
  });
});
