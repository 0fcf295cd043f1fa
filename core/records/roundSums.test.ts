import { describe, expect, it } from 'vitest';
import { roundSumsSchema, storedSumsSchema, type RoundSums } from './roundSums.ts';

const sums: RoundSums = {
  shots: 3,
  withSide: 1,
  rescues: 0,
  lucky: 0,
  causes: [{ cause: 'thin', count: 2 }],
  landings: { count: 2, along: -0.1, across: 0.2, alongSquared: 0.4, acrossSquared: 0.3 },
  breaks: [
    {
      cue: 'light',
      place: 'left',
      aim: null,
      pace: 'firm',
      rackBy: null,
      breaks: 2,
      good: 1,
      inOffs: 0,
      balls: 3,
      rack: 'tight',
      table: 'Table 1',
      speed: 8,
      dry: 1,
      followed: 2,
      runOuts: 0,
      wings: { in: 1, high: 0, low: 1, 'knocked away': 0 },
    },
  ],
  breakRests: Array.from({ length: 32 }, (_, k) => k % 3),
  kicks: [
    { cushions: 2, distance: 'far', side: 'left', kicks: 5, hits: 3, called: 2, left: 1, right: 0, short: 0 },
    { cushions: null, distance: 'near', kicks: 1, hits: 0, called: 0, left: 0, right: 0, short: 0 },
  ],
};

/** Every place of a document, as the names that lead to it. */
function placesOf(value: unknown, path: readonly (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [[...path]];
  const inner = Object.entries(value).flatMap(([name, each]) => placesOf(each, [...path, name]));
  return path.length === 0 ? inner : [[...path], ...inner];
}

function withAt(value: unknown, [name, ...rest]: readonly (string | number)[], put: unknown): unknown {
  if (name === undefined) return put;
  const entries = Object.entries(value ?? {}).map(([key, each]): [string, unknown] => [
    key,
    key === String(name) ? withAt(each, rest, put) : each,
  ]);
  return Array.isArray(value) ? entries.map(([, each]) => each) : Object.fromEntries(entries);
}

describe('kept sums', () => {
  it('are taken as they are', () => {
    expect(storedSumsSchema.validateSync(sums)).toEqual(sums);
    // Rounds that ended before kicks were summed up say nothing of them.
    const older: RoundSums = { ...sums };
    delete older.kicks;
    expect(storedSumsSchema.validateSync(older)).toEqual(older);
  });

  it('are refused by the quick look wherever the full one refuses them', () => {
    let refused = 0;
    for (const path of placesOf(sums)) {
      for (const put of [-1, 0.5, 'nobody', true, null, [], {}]) {
        const spoilt = withAt(sums, path, put);
        const full = roundSumsSchema.isValidSync(spoilt, { strict: true });
        const quick = storedSumsSchema.isValidSync(spoilt);
        if (!full) refused++;
        expect([path.join('.'), put, quick && !full]).toEqual([path.join('.'), put, false]);
      }
    }
    expect(refused).toBeGreaterThan(80);
  });
});
