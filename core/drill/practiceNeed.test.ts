import { describe, expect, it } from 'vitest';
import type { Skill } from '../records/drill.ts';
import { practiceNeeds, type PlayedRound } from './practiceNeed.ts';

const DAY = 86_400_000;
const NOW = 1_000 * DAY;
const drill = (slug: string, ...skills: Skill[]) => ({ slug, skills });
const round = (slug: string, share: number, daysAgo: number): PlayedRound => ({
  drill: slug,
  share,
  at: NOW - daysAgo * DAY,
});
const need = (rounds: readonly PlayedRound[], skills: readonly Skill[] = ['potting']) =>
  practiceNeeds([drill('a', ...skills), drill('b', 'potting')], rounds, NOW).get('a');

describe('what a player needs', () => {
  it.each([
    [0.2, 3],
    [0.5, 7],
    [0.9, 21],
  ])('a drill that went with %d comes again after %d days, not before', (share, days) => {
    expect(need([round('a', share, days - 0.01)])?.due).toBe(false);
    expect(need([round('a', share, days)])?.due).toBe(true);
  });

  it('the last round decides when, whatever the order in which they come', () => {
    const rounds = [round('a', 0.9, 1), round('a', 0.1, 40), round('a', 0.2, 10)];
    expect(need(rounds)).toEqual(need([...rounds].reverse()));
    expect(need(rounds)).toMatchObject({ due: false, last: { at: NOW - DAY, share: 0.9 } });
  });

  it('neither what always fails nor what always succeeds suits; the last three rounds tell', () => {
    expect(need([0.1, 0.2, 0.1].map((share, i) => round('a', share, 9 - i)))?.suits).toBe(false);
    expect(need([0.9, 1, 0.95].map((share, i) => round('a', share, 9 - i)))?.suits).toBe(false);
    const grown = [0, 0, 0, 0.6, 0.7, 0.5].map((share, i) => round('a', share, 9 - i));
    expect(need(grown)?.suits).toBe(true);
  });

  it('a new drill suits whoever does well enough in its skill, and is never due', () => {
    expect(need([])).toEqual({ due: false, suits: false, last: undefined });
    expect(need([round('b', 0.6, 2)])).toEqual({ due: false, suits: true, last: undefined });
    expect(need([round('b', 0.3, 2)])?.suits).toBe(false);
    expect(need([round('b', 0.6, 2)], ['kicking'])?.suits).toBe(false);
  });
});
