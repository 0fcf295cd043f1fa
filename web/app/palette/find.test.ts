import { describe, expect, it } from 'vitest';
import { found } from './find.ts';
import { pagesFor, type Place } from './places.ts';

const place = (name: string, about = ''): Place => ({ to: `/${name}`, name, about });
const names = (places: readonly Place[], typed: string) => found(places, typed).map(({ name }) => name);

describe('what is found', () => {
  const places = [
    place('Long pier', 'position, long pot'),
    place('Harbour turn', 'position'),
    place('The harbour', 'order'),
    place('Off the bank', 'a clearance near the harbour'),
  ];

  it('is what begins with the words first, then what holds them, then what is told by them', () => {
    expect(names(places, 'harb')).toEqual(['Harbour turn', 'The harbour', 'Off the bank']);
    expect(names(places, 'arbour')).toEqual(['Harbour turn', 'The harbour', 'Off the bank']);
  });

  it('needs every word, in any order, whatever the case', () => {
    expect(names(places, 'POT long')).toEqual(['Long pier']);
    expect(names(places, 'harbour turn x')).toEqual([]);
  });

  it('is also what answers by its advice, last of all', () => {
    const advised: Place = { to: '/x', name: 'Anchor drop', about: 'drill', also: 'Turn the harbour light.' };
    expect(names([advised, ...places], 'harbour')).toEqual([
      'Harbour turn',
      'The harbour',
      'Anchor drop',
      'Off the bank',
    ]);
  });

  it('takes letters with accents for those without', () => {
    expect(names([place('André Élan')], 'andre elan')).toEqual(['André Élan']);
  });

  it('is the beginning of all where nothing is typed, and never more than a dozen', () => {
    const many = Array.from({ length: 40 }, (_, i) => place(`Drill ${i}`));
    expect(names(many, '')).toEqual(many.slice(0, 12).map(({ name }) => name));
    expect(names(many, 'drill')).toHaveLength(12);
  });
});

describe('the pages', () => {
  it('of a student leave out what only coaches may see', () => {
    const coach = pagesFor({ role: 'coach' }).map(({ to }) => to);
    const player = pagesFor({ role: 'player' }).map(({ to }) => to);
    expect(coach).toContain('/players/records');
    expect(player).not.toContain('/players/records');
    for (const to of ['/drills/new', '/lesson/evening']) expect(player).not.toContain(to);
    expect(player).toContain('/lab/break');
    expect(new Set(coach).size).toBe(coach.length);
    for (const to of player) expect(coach).toContain(to);
  });
});
