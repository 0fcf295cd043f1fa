import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drillSchema, type Drill } from '../records/drill.ts';
import { attemptsOf, ballsOfAttempt, objectBalls, roundProgress } from './round.ts';
import { atStage } from './stage.ts';

const drillOf = (slug: string, stage = 1): Drill =>
  atStage(drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))), stage);

describe('the attempts of a round', () => {
  it.each([
    ['harbour-turn', 10],
    ['far-shores', 4],
    ['red-street', 5],
    ['one-bounce', 10],
    ['room-to-pass', 12],
    ['cast-and-clear', 10],
    ['tight-quarters', 8],
    ['frozen-pair', 10],
    ['replay', 6],
    ['nine-slow', 10],
    ['double-two', 12],
  ])('%s has %i', (slug, attempts) => {
    expect(attemptsOf(drillOf(slug))).toBe(attempts);
  });

  it.each(['break-the-ice', 'moored', 'after-the-break'])('%s ends by its own course', (slug) => {
    expect(attemptsOf(drillOf(slug))).toBeUndefined();
  });

  it('never go on beyond what is counted: one more changes no result', () => {
    for (const slug of ['frozen-pair', 'double-two', 'one-bounce', 'far-shores']) {
      const drill = drillOf(slug);
      const most = attemptsOf(drill) ?? 0;
      const attempt = { done: true, balls: 1, grade: 'full' as const };
      const of = (count: number) =>
        roundProgress(
          drill,
          1,
          Array.from({ length: count }, () => attempt),
        ).result;
      expect(of(most).complete, slug).toBe(true);
      expect(of(most - 1).complete, slug).toBe(false);
      expect(of(most + 1), slug).toEqual(of(most));
    }
  });
});

describe('the balls of an attempt that has fewer than the drill', () => {
  it('of two suits are one suit with the last ball', () => {
    const drill = drillOf('after-the-break');
    expect(objectBalls(drill)).toHaveLength(15);
    expect([...ballsOfAttempt(drill, 3)].sort()).toEqual(['1', '2', '8']);
    expect([...ballsOfAttempt(drill, 5)].sort()).toEqual(['1', '2', '3', '4', '8']);
  });

  it('are else the first of the text, and all where nothing is said', () => {
    const drill = drillOf('cast-and-clear');
    expect(ballsOfAttempt(drill, 4)).toEqual(['1', '2', '3', '4']);
    expect(ballsOfAttempt(drill, undefined)).toEqual(objectBalls(drill));
    expect(ballsOfAttempt(drill, 99)).toEqual(objectBalls(drill));
  });
});
