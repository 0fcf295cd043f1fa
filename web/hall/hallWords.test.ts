import { describe, expect, it } from 'vitest';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { standardCard } from '../../core/table/card.ts';
import { cardInWords, roomInWords, valueInWords } from './cardWords.ts';
import { conditionsInWords } from '../words/conditionWords.ts';
import { chooseState, currentState, tablesFor } from '../table/tableChoice.ts';

const card = standardCard('pool-9ft');
const DAMP = { air: 'damp', warmth: 'ordinary', balls: 'dirty' } as const;

function table(id: string, change: Partial<ClubTable> = {}): ClubTable {
  return {
    id,
    hallId: null,
    name: id,
    preset: 'pool-9ft',
    archived: false,
    state: {
      revision: 3,
      card: { ...card, measured: [] },
      conditions: {
        id: 'note',
        conditions: DAMP,
        note: '',
        by: 'M',
        notedAt: '2026-11-24T18:00:00Z',
        holdsUntil: '2026-11-25T06:00:00Z',
        withdrawn: false,
      },
    },
    ...change,
  };
}

describe('a table in words', () => {
  it('says what is not ordinary, and how much was measured', () => {
    expect(cardInWords(card, 'pool')).toBe('9-ft pool, ordinary in everything.');
    const other = {
      ...card,
      clothSpeed: 'fast' as const,
      clothAge: 'new' as const,
      cushions: 'dull' as const,
      measured: [{ name: 'noseHeight' as const, value: 0.036, source: 'rule' }],
    };
    expect(cardInWords(other, 'pool')).toBe('9-ft pool, fast, new cloth, dull rails; 1 number measured.');
    expect(cardInWords(other, 'snooker')).toContain('dull cushions');
  });

  it('writes numbers in the units of the trade', () => {
    expect(valueInWords('ballDiameter', 0.05715)).toBe('57.15 mm');
    expect(valueInWords('ballMass', 0.17)).toBe('170.0 g');
    expect(valueInWords('rollingFriction', 0.01)).toBe('0.0100');
  });

  it('names the walls, and nothing where there are none', () => {
    expect(roomInWords(card.room, 'pool')).toBeUndefined();
    expect(roomInWords({ ...card.room, head: 0.8, left: 1.25 }, 'snooker')).toBe(
      'Room for the cue ends 0.80 m behind the baulk cushion, 1.25 m behind the left cushion.',
    );
  });

  it('names what is not ordinary tonight', () => {
    expect(conditionsInWords(DAMP)).toBe('damp air, dirty balls');
    expect(conditionsInWords({ air: 'ordinary', warmth: 'ordinary', balls: 'ordinary' })).toBe('ordinary');
  });
});

describe('the table to play on', () => {
  it('has tonight’s conditions until they hold no more', () => {
    const before = currentState(table('a'), Date.parse('2026-11-25T05:59:00Z'));
    expect(before.conditions?.conditions).toEqual(DAMP);
    const after = currentState(table('a'), Date.parse('2026-11-25T06:01:00Z'));
    expect(after).toEqual({ revision: 3, card, conditions: null });
    expect(chooseState('a', before).ref).toEqual({ id: 'a', revision: 3, conditionsId: 'note' });
    expect(chooseState('a', after)).toEqual({
      ref: { id: 'a', revision: 3, conditionsId: null },
      on: { card, conditions: null },
    });
  });

  it('is one of the drill’s own kind first, never an archived one', () => {
    const tables = [
      table('seven', { preset: 'pool-7ft' }),
      table('old', { archived: true }),
      table('nine'),
      table('snooker', { preset: 'snooker-12ft' }),
    ];
    expect(tablesFor(tables, ['pool-9ft', 'pool-7ft']).map((each) => each.id)).toEqual(['nine', 'seven']);
  });
});
