import { describe, expect, it } from 'vitest';
import { gradeOfHit } from '../../core/counting/gradeOfHit.ts';
import { leaveGrade } from '../../core/counting/leaveGrade.ts';
import { atStage } from '../../core/drill/stage.ts';
import { readLibrary } from '../testing/library.ts';
import { countingLines } from './countingWords.ts';

const LIBRARY = readLibrary();
const linesOf = (slug: string, stage = 1) => {
  const drill = LIBRARY.find((each) => each.slug === slug);
  if (drill === undefined) throw new Error(`${slug} is not in the library`);
  return countingLines(atStage(drill, stage), drill.stages[stage - 1] ?? { bands: [] });
};

describe('how it counts', () => {
  it('is said for every drill of the library, each line once', () => {
    for (const drill of LIBRARY) {
      for (const [i, stage] of drill.stages.entries()) {
        const lines = countingLines(atStage(drill, i + 1), stage);
        expect(lines.length, drill.slug).toBeGreaterThan(0);
        expect(new Set(lines.map((line) => line.join(' '))).size, drill.slug).toBe(lines.length);
        for (const line of lines) expect(line.join(' '), drill.slug).not.toMatch(/undefined|NaN|\b1 points/);
      }
    }
  });

  it('says of a window how good the next pot has to be for its points, the best first', () => {
    const lines = linesOf('harbour-turn');
    const shares = lines.flatMap(([, means]) => /(\d+) % of the time/.exec(means)?.[1] ?? []).map(Number);
    expect(shares.length).toBeGreaterThan(1);
    expect(shares).toEqual(shares.toSorted((a, b) => b - a));
    expect(lines.at(-1)).toEqual([
      'Nothing',
      'the pot is missed, the cue ball is lost, or it stops elsewhere',
    ]);
  });

  it('has the limits by which it is graded', () => {
    const kick = LIBRARY.find(({ scoring }) => scoring.method === 'kick');
    const lines = new Map(linesOf(kick?.slug ?? ''));
    const share = (text: string | undefined) => Number(/(\d+) %/.exec(text ?? '')?.[1]) / 100;
    const full = share(lines.get('Full'));
    expect(gradeOfHit({ before: [], covered: full }, 0)).toBe('full');
    expect(gradeOfHit({ before: [], covered: full - 0.01 }, 0)).toBe('thick');
    const thin = share(lines.get('Thin'));
    expect(gradeOfHit({ before: [], covered: thin - 0.01 }, 0)).toBe('thin');
    expect(gradeOfHit({ before: [], covered: thin }, 0)).toBe('thick');
    expect(leaveGrade(share(lines.get('Wide open')))).toBe('wide open');
    expect(leaveGrade(share(lines.get('Nothing on')) - 0.01)).toBe('nothing on');
  });
});
