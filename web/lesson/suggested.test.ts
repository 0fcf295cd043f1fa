import { describe, expect, it } from 'vitest';
import { blankDrill } from '../../core/drill/draft.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { suggestions, type Known } from './suggested.ts';

const drill = (slug: string, favourite = false): ListedDrill => ({
  revision: 1,
  own: false,
  archived: false,
  favourite,
  document: { ...blankDrill('pool-9ft'), slug },
});
const DRILLS = [drill('a'), drill('b', true), drill('c'), drill('d', true), drill('e'), drill('f')];
const told = (known: Partial<Known>) =>
  suggestions(DRILLS, { planned: [], played: [], proposed: [], ...known }).map(
    ({ entry, reason, stage }) => `${entry.document.slug} ${reason} ${String(stage)}`,
  );

describe('the drills that are likely the next ones', () => {
  it('come from the plan first, each once, with its stage', () => {
    expect(
      told({
        planned: [{ drill: 'b', stage: 2 }],
        played: [
          { drill: 'b', stage: 1 },
          { drill: 'a', stage: 3 },
        ],
        proposed: [
          { drill: 'a', stage: 1 },
          { drill: 'e', stage: 2 },
        ],
      }),
    ).toEqual(['b planned 2', 'a played last undefined', 'e proposed 2', 'd favourite undefined']);
  });

  it('are three of each reason, and none that is no longer there', () => {
    const played = ['gone', 'a', 'c', 'e', 'f'].map((slug) => ({ drill: slug }));
    expect(told({ played })).toEqual([
      'a played last undefined',
      'c played last undefined',
      'e played last undefined',
      'b favourite undefined',
      'd favourite undefined',
    ]);
    expect(told({})).toHaveLength(2);
  });
});
