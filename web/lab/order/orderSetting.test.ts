import { describe, expect, it } from 'vitest';
import { POOL, SNOOKER } from '../../../core/testing/balls.ts';
import { firstTable, nextAfter, orderOf, ordersFor, orderSettingFrom } from './orderSetting.ts';

describe('how a table may be cleared in the lab', () => {
  it('goes by the balls that are there', () => {
    expect(ordersFor(['1', '2'])).toEqual(['any', 'rotation']);
    expect(ordersFor(['1', '9', '8'])).toEqual(['any', 'rotation', 'suits']);
    expect(ordersFor(['9', '8'])).toEqual(['any', 'rotation']);
    expect(ordersFor(['red', 'blue'])).toEqual(['any', 'red and colour']);
    expect(ordersFor(['blue'])).toEqual(['any']);
  });

  it('splits the numbers below and above the 8 into two suits', () => {
    expect(orderOf('suits', ['1', '9', '8', '7'])).toEqual({
      kind: 'suits',
      suits: [['1', '7'], ['9']],
      last: '8',
      both: false,
    });
    expect(orderOf('rotation', ['1'])).toEqual({ kind: 'rotation' });
  });

  it('says what may come next of an order that somebody taps, and where the rules do not allow it', () => {
    const ids = ['1', '9', '8', '10'];
    const suits = orderOf('suits', ids);
    expect(nextAfter(suits, ids, [])).toEqual(['1', '9', '10']);
    expect(nextAfter(suits, ids, ['9'])).toEqual(['10']);
    expect(nextAfter(suits, ids, ['9', '10', '8'])).toEqual([]);
    expect(nextAfter(suits, ids, ['9', '1'])).toBeUndefined();
  });

  it('takes from the address what these balls allow, and else the usual', () => {
    const from = (text: string, ids: readonly string[]) => orderSettingFrom(new URLSearchParams(text), ids);
    expect(from('order=rotation&level=title', ['1', '2'])).toEqual({ order: 'rotation', level: 'title' });
    expect(from('order=rotation&level=champion', ['red'])).toEqual({ order: 'any', level: 'team' });
  });

  it('begins with five balls and the cue ball on a pool table, none in another, and with reds and colours at snooker', () => {
    const { balls } = firstTable(POOL);
    expect(balls.map(({ id }) => id).sort()).toEqual(['1', '2', '3', '4', '5', 'cue']);
    for (const [i, a] of balls.entries()) {
      for (const b of balls.slice(i + 1)) {
        expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(2 * a.radius);
      }
    }
    expect(firstTable(SNOOKER).balls.map(({ id }) => id)).toContain('red');
  });
});
