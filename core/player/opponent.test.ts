import { expect, it } from 'vitest';
import { executionErrorOf } from './levels.ts';
import { opponentError, opponentLevel } from './opponent.ts';

it('the opponent is a team player unless the drill names another, whoever plays', () => {
  expect(opponentLevel({})).toBe('team');
  expect(opponentLevel({ opponent: 'title' })).toBe('title');
  expect(opponentError({}, 'snooker')).toEqual(executionErrorOf('team', 'snooker'));
  expect(opponentError({ opponent: 'regular' }, 'pool')).toEqual(executionErrorOf('regular', 'pool'));
});
