import { expect, it } from 'vitest';
import { DIFFICULTIES } from '../../core/judgement/kinds.ts';
import { LEVEL_GRID } from '../../core/statistics/levelFilter.ts';
import { LEVEL_KINDS } from '../../core/virtual/calls/virtualCall.ts';
import { callLevels } from './callLevels.ts';

const GAMES = ['pool', 'snooker'] as const;
/** Without suits and racks to be called. */
const POOL_ONLY = ['which suit', 'what will be on'];

it('virtual players of today’s physics and levels have called every kind that is asked, and better ones better', () => {
  const levels = callLevels();
  let [kinds, telling] = [0, 0];
  for (const kind of LEVEL_KINDS) {
    for (const game of GAMES) {
      if (game === 'snooker' && POOL_ONLY.includes(kind)) continue;
      for (const difficulty of DIFFICULTIES) {
        const expected = levels.expected({ kind, game, difficulty });
        expect([kind, game, expected?.length]).toEqual([kind, game, LEVEL_GRID.length]);
        const [low = 1, high = 0] = [expected?.[0], expected?.at(-1)];
        expect(high).toBeGreaterThanOrEqual(low);
        if (difficulty !== 'close') continue;
        kinds++;
        if (high - low > 0.1) telling++;
      }
    }
  }
  // Some kinds are called nearly alike by all.
  expect(telling / kinds).toBeGreaterThan(0.6);
});
