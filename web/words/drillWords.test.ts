import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drillSchema, type Drill } from '../../core/records/drill.ts';
import { marksInWords, rulesInWords, scoringInWords, taskInWords } from './drillWords.ts';

const drills = new Map<string, Drill>(
  readdirSync('library').map((name) => {
    const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${name}`, 'utf8')));
    return [drill.slug, drill];
  }),
);
function drillOf(slug: string): Drill {
  const drill = drills.get(slug);
  if (drill === undefined) throw new Error(slug);
  return drill;
}

describe('the coach’s marks', () => {
  it('are told from the lowest level up, whatever their order in the file', () => {
    expect(
      marksInWords([
        { level: 'match', score: 24 },
        { level: 'regular', score: 12.5 },
      ]),
    ).toBe('The coach’s marks for a round: regular 12.5, match 24.');
    expect(marksInWords([])).toBeUndefined();
  });
});

describe('a drill in words', () => {
  it.each([
    ['harbour-turn', 'Pot the 1 and come on to the 2.', 'Points by where the cue ball stops, 10 shots.'],
    ['two-fleets', 'Clear one suit, then the other, the 8 last.', 'Balls before the fault, over 3 trials.'],
    [
      'after-the-break',
      'Clear one suit of your choice, then the 8.',
      'A ladder of 3, 4, 5, 7 balls: 2 of 3 racks move up.',
    ],
    [
      'purser',
      'Clear the table, the 9 after every other ball; it comes back until it is the last.',
      'The longest run in 6 attempts.',
    ],
    ['key-and-lock', 'Clear the table, the 1 and 2, then the 8.', 'How many of 10.'],
    ['three-bounces', 'Hit the 1 by 3 rails.', 'Points by how the ball is hit, 10 stations.'],
    ['round-the-mast', 'Hit the 1 by a way of your own.', 'How many of 10.'],
    ['soft-and-firm', 'Pot the 1 by 1 rail.', 'How many of 12.'],
    [
      'cast-and-clear',
      'Clear the table in rotation, the lowest number first.',
      'From 3 balls: a clear adds one, a miss goes down one; 10 attempts.',
    ],
  ])('%s', (slug, task, scoring) => {
    expect(taskInWords(drillOf(slug), 'pool')).toBe(task);
    expect(scoringInWords(drillOf(slug))).toBe(scoring);
  });

  it('speaks the chosen vocabulary', () => {
    expect(taskInWords(drillOf('three-bounces'), 'snooker')).toBe('Hit the 1 by 3 cushions.');
  });

  it('names where the cue ball starts, the conditions, and what is only noted', () => {
    expect(rulesInWords(drillOf('moored'))).toEqual([
      'Cue ball in hand.',
      'Missed: the attempt goes on, with ball in hand.',
    ]);
    expect(rulesInWords(drillOf('tight-quarters'))).toEqual([
      'Condition: no cushion.',
      'Condition: no second ball.',
      'Condition: no plants or doubles.',
    ]);
    expect(rulesInWords(drillOf('cast-and-clear'))).toContain('6 balls are thrown at random.');
  });

  it('is a whole sentence for every drill that ships', () => {
    for (const drill of drills.values()) {
      for (const sentence of [taskInWords(drill, 'pool'), scoringInWords(drill)]) {
        expect(sentence).toMatch(/^[A-Z0-9].*\.$/);
        expect(sentence).not.toMatch(/undefined|NaN|null/);
      }
    }
  });
});
