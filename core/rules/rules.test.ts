import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drillSchema } from '../records/drill.ts';
import { foulCost } from './foulCost.ts';
import { gameOf } from '../drill/gameOf.ts';

describe('what a foul costs', () => {
  it.each([
    [{ on: 'red' }, 4],
    [{ on: 'yellow', firstHit: 'green' }, 4],
    [{ on: 'red 3', firstHit: 'blue' }, 5],
    [{ on: 'blue', firstHit: 'red 2' }, 5],
    [{ on: 'red', firstHit: 'red 4', potted: ['black'] }, 7],
    [{ on: 'pink', firstHit: 'pink', potted: ['green', 'red 1'] }, 6],
  ])('at snooker is the highest of four and the balls concerned: %j costs %d', (foul, points) => {
    expect(foulCost('snooker', foul)).toEqual({ kind: 'points', points });
  });

  it('elsewhere is the cue ball in hand, or two visits', () => {
    expect(foulCost('nine-ball')).toEqual({ kind: 'ball in hand' });
    expect(foulCost('eight-ball')).toEqual({ kind: 'ball in hand' });
    expect(foulCost('small-table eight-ball')).toEqual({ kind: 'visits', visits: 2 });
  });

  it('refuses a ball that is not of the set', () => {
    expect(() => foulCost('snooker', { on: 'orange' })).toThrow('orange');
  });
});

describe('the game of a drill', () => {
  const gameOfFile = (slug: string) =>
    gameOf(drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))));

  it.each([
    ['eight-head', 'eight-ball'],
    ['two-fleets', 'small-table eight-ball'],
    ['cast-and-clear', 'nine-ball'],
    ['red-street', 'snooker'],
    ['harbour-turn', undefined],
    ['over-the-bar', 'nine-ball'],
  ])('%s is %s', (slug, game) => {
    expect(gameOfFile(slug)).toBe(game);
  });

  it('is the small table’s on the small table', () => {
    const games = readdirSync('library')
      .map((name) => drillSchema.validateSync(JSON.parse(readFileSync(`library/${name}`, 'utf8'))))
      .filter((drill) => drill.table === 'eight-7ft' && drill.family !== 'position')
      .map(gameOf);
    expect(games.length).toBeGreaterThan(0);
    expect(new Set(games.filter((game) => game !== undefined))).toEqual(new Set(['small-table eight-ball']));
  });
});
