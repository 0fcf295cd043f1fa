import { describe, expect, it } from 'vitest';
import { measurePlace } from '../../core/table/place.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { placingWords } from './placingWords.ts';
import { placeInDiamonds, placeByTape, pocketWords } from './places.ts';
import { alongAndAcross, counted, ordinalNumber } from './units.ts';

describe('words', () => {
  it.each([
    [0.21, 0, '21 cm long, on line'],
    [-0.08, 0.02, '8 cm short, 2 cm left'],
    [0.01, -0.3, '30 cm right'],
    [0.005, 0.01, 'on the spot'],
  ])('say %s m along and %s m across as “%s”', (along, across, said) => {
    expect(alongAndAcross(along, across)).toBe(said);
  });

  it('name the ends of the table as its players do', () => {
    expect(pocketWords('head-left', 'pool')).toBe('head left');
    expect(pocketWords('head-left', 'snooker')).toBe('baulk left');
    expect(pocketWords('foot-right', 'snooker')).toBe('top right');
    expect(pocketWords('middle-right', 'snooker')).toBe('middle right');
  });

  it('counts things, one in the singular', () => {
    expect([0, 1, 2].map((count) => counted(count, 'point'))).toEqual(['0 points', '1 point', '2 points']);
  });

  it('write ranks', () => {
    expect([1, 2, 3, 4, 11, 12, 13, 21, 70, 93, 100].map(ordinalNumber)).toEqual([
      '1st',
      '2nd',
      '3rd',
      '4th',
      '11th',
      '12th',
      '13th',
      '21st',
      '70th',
      '93rd',
      '100th',
    ]);
  });

  it('place a round among the levels', () => {
    const of = 'team' as const;
    expect(placingWords({ reached: 'team', next: 'match', of, percentile: 70.2 })).toBe(
      'Between team and match, 70th percentile of team.',
    );
    expect(placingWords({ reached: 'title', next: undefined, of: 'title', percentile: 51 })).toBe(
      'Title level, 51st percentile of title.',
    );
    expect(
      placingWords({ reached: undefined, next: 'first season', of: 'first season', percentile: 12 }),
    ).toBe('Below first season, 12th percentile of first season.');
  });

  it('tell a place in the chosen vocabulary', () => {
    const pool = measurePlace(TABLE_PRESETS['pool-9ft'], { x: 0.635, y: 0.9525 });
    expect(placeByTape(pool, 'pool')).toBe('635 mm from the head rail, 318 mm from the left');
    expect(placeInDiamonds(pool)).toBe('2 along, 3 across');
    const black = measurePlace(TABLE_PRESETS['snooker-12ft'], { x: 3.245, y: 0.889 });
    expect(placeByTape(black, 'snooker')).toBe(
      'on the black spot (324 mm from the top cushion, 889 mm from the right)',
    );
    expect(placeInDiamonds(black)).toBeUndefined();
  });
});
