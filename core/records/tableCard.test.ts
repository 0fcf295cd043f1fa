import { expect, it } from 'vitest';
import { ValidationError } from 'yup';
import { standardCard } from '../table/card.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { cardText, tableCardSchema } from './tableCard.ts';
import { tableChangeSchema } from './clubTable.ts';

function refusal(card: unknown): { path: string | undefined; message: string } {
  try {
    tableChangeSchema.validateSync({ name: 'one', archived: false, basedOn: 1, card });
  } catch (error) {
    if (error instanceof ValidationError) return { path: error.path, message: error.message };
    throw error;
  }
  throw new Error('the card was taken');
}

it.each(PRESET_IDS)('the card of %s as it ships is valid', (id) => {
  expect(tableCardSchema.isValidSync(standardCard(id))).toBe(true);
});

it.each([
  ['a speed that no cloth has', { clothSpeed: 'icy' }, 'card.clothSpeed', 'slow, medium, fast'],
  ['balls of another game', { ballSet: 'equal balls' }, 'card.ballSet', 'ballSet'],
  [
    'a number out of bounds',
    { measured: [{ name: 'rollingFriction', value: 1, source: 'slip' }] },
    'card.measured[0].value',
    'rollingFriction must be from 0.002 to 0.05',
  ],
  [
    'a number without a source',
    { measured: [{ name: 'rollingFriction', value: 0.01, source: ' ' }] },
    'card.measured[0].source',
    'missing',
  ],
  [
    'a number twice',
    {
      measured: [
        { name: 'rollingFriction', value: 0.01, source: 'one' },
        { name: 'rollingFriction', value: 0.02, source: 'two' },
      ],
    },
    'card.measured',
    'twice',
  ],
  [
    'mouths that no ball passes',
    {
      measured: [
        { name: 'middleMouth', value: 0.071, source: 'rule' },
        { name: 'ballDiameter', value: 0.063, source: 'calliper' },
      ],
    },
    'card.measured',
    'the mouths must be at least 72 mm',
  ],
  [
    'a wall in the cushion',
    { room: { head: 0, foot: null, right: null, left: null } },
    'card.room.head',
    '0.1',
  ],
  ['an unknown field', { colour: 'blue' }, 'card', 'colour'],
] as const)('refuses %s and names the field', (_what, change, path, words) => {
  const { path: named, message } = refusal({ ...standardCard('pool-9ft'), ...change });
  expect(named).toBe(path);
  expect(message).toContain(words);
});

it('cards with the same content are the same, whatever the order of what was measured', () => {
  const a = { name: 'noseHeight', value: 0.036, source: 'rule' } as const;
  const b = { name: 'endMass', value: 0.02, source: 'scale' } as const;
  const card = standardCard('pool-9ft');
  expect(cardText({ ...card, measured: [a, b] })).toBe(cardText({ ...card, measured: [b, a] }));
  expect(cardText({ ...card, measured: [a] })).not.toBe(cardText({ ...card, measured: [b] }));
  expect(cardText({ ...card, room: { ...card.room, left: 1 } })).not.toBe(cardText(card));
});
