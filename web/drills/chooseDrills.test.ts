import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drillSchema } from '../../core/records/drill.ts';
import { chooseDrills, type DrillChoice } from './chooseDrills.ts';

const FAVOURITE = 'two-fleets';
const OWN = 'moored';
const AWAY = 'slipway';

const entries = readdirSync('library').map((name) => {
  const document = drillSchema.validateSync(JSON.parse(readFileSync(`library/${name}`, 'utf8')));
  return {
    revision: 1,
    document,
    own: document.slug === OWN,
    favourite: document.slug === FAVOURITE,
    archived: document.slug === AWAY,
  };
});
const ANY: DrillChoice = {
  words: '',
  family: undefined,
  skill: undefined,
  table: undefined,
  minutes: undefined,
  balls: undefined,
  only: [],
};
const slugs = (choice: Partial<DrillChoice>) =>
  chooseDrills(entries, { ...ANY, ...choice }).map((entry) => entry.document.slug);

describe('choosing a drill', () => {
  it('without a wish shows all, by title', () => {
    expect(slugs({})).toHaveLength(entries.length - 1);
    const titles = chooseDrills(entries, ANY).map((entry) => entry.document.title);
    expect([...titles].sort()).toEqual(titles);
  });

  it('finds by words anywhere in the text, in any case, and all of them', () => {
    expect(slugs({ words: 'QUAY cues' })).toEqual(['back-to-the-quay']);
    expect(slugs({ words: 'massé wall' })).toEqual(['over-the-bar']);
    expect(slugs({ words: 'no-such-word' })).toEqual([]);
  });

  it.each([
    ['clearance', 'far-shores'],
    ['run-out', 'far-shores'],
    ['long pot', 'long-pier'],
    ['escapes', 'one-bounce'],
    ['snooker', 'two-bounces'],
    ['masse', 'over-the-bar'],
    ['combination', 'plant-and-stay'],
    ['bank', 'soft-and-firm'],
    ['break-off', 'safe-opening'],
    ['lives', 'moored'],
    ['9-ft', 'harbour-turn'],
  ])('finds by the word that practitioners use: %s', (words, slug) => {
    expect(slugs({ words })).toContain(slug);
    expect(slugs({ words }).length).toBeLessThan(entries.length - 1);
  });

  it('takes a word from its beginning: “ail” is not in “rail”', () => {
    expect(slugs({ words: 'rail' }).length).toBeGreaterThan(0);
    expect(slugs({ words: 'ail' })).toEqual([]);
  });

  it('takes every wish at once, and other kinds of table on which a drill makes sense', () => {
    expect(slugs({ family: 'kick', table: 'snooker-10ft' }).sort()).toEqual(['replay', 'two-bounces']);
    for (const { document } of chooseDrills(entries, { ...ANY, skill: 'break', minutes: 20 })) {
      expect(document.skills).toContain('break');
      expect(document.minutes).toBeLessThanOrEqual(20);
    }
    expect(slugs({ family: 'break', minutes: 10 })).toEqual([]);
  });

  it('by how many balls must be set: a rack and what is thrown count too', () => {
    const few = chooseDrills(entries, { ...ANY, balls: 2 });
    expect(few.length).toBeGreaterThan(5);
    for (const { document } of few) {
      expect(document.rack).toBeNull();
      expect(document.balls.filter(({ id }) => id !== 'cue').length).toBeLessThanOrEqual(2);
    }
    expect(slugs({ balls: 14 })).not.toContain('eight-head');
    expect(slugs({ balls: 15 })).toContain('eight-head');
  });

  it('by marks: own, favourites, and what is put away only when it is asked for', () => {
    expect(slugs({ only: ['favourites'] })).toEqual([FAVOURITE]);
    expect(slugs({ only: ['our own'] })).toEqual([OWN]);
    expect(slugs({ only: ['favourites', 'our own'] })).toEqual([]);
    expect(slugs({})).not.toContain(AWAY);
    expect(slugs({ only: ['put away'] })).toEqual([AWAY]);
  });

  it('by what a player needs, as the rounds say', () => {
    const needs = new Map([
      ['moored', { due: true, suits: false, last: undefined }],
      ['two-fleets', { due: true, suits: true, last: undefined }],
    ]);
    const chosen = (only: DrillChoice['only']) =>
      chooseDrills(entries, { ...ANY, only }, needs).map((entry) => entry.document.slug);
    expect([...chosen(['due'])].sort()).toEqual(['moored', 'two-fleets']);
    expect(chosen(['due', 'suits'])).toEqual(['two-fleets']);
    expect(slugs({ only: ['due'] })).toEqual([]);
  });
});
