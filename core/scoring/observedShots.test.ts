import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { playOnce } from '../planning/cloud.ts';
import { executed } from '../player/execute.ts';
import { fitExecution } from '../player/fitExecution.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { drillSchema } from '../records/drill.ts';
import { buildTable } from '../table/table.ts';
import { observedShots } from './observedShots.ts';

const drill = drillSchema.validateSync(JSON.parse(readFileSync('library/harbour-turn.drill.json', 'utf8')));
if (!isPositionDrill(drill)) throw new Error('harbour-turn is a position drill');
const planned = planShot(drill, buildTable(drill.table));

describe('what a player’s rounds tell about the errors', () => {
  it('is a player nearer to the one who played them than the level that was assumed', () => {
    const real = executionErrorOf('match', 'pool');
    const assumed = executionErrorOf('regular', 'pool');
    const random = createRandom(12);
    const task = { object: drill.task.pot, pocket: drill.task.pocket };
    const played = Array.from({ length: 200 }, () => {
      const { outcome, landing } = playOnce(executed(planned.shot, real, random), task);
      // A coach notes a ball that left the table as a lost cue ball.
      return { landing, outcome: outcome === 'lost' ? ('in-off' as const) : outcome };
    });
    const { error, shots, landings } = fitExecution(observedShots(drill, planned, played), assumed);
    expect(shots).toBe(200);
    expect(landings).toBeGreaterThan(100);
    for (const part of ['directionDeg', 'speed'] as const) {
      expect(Math.abs(Math.log(error[part] / real[part]))).toBeLessThan(
        Math.abs(Math.log(assumed[part] / real[part])),
      );
    }
  });

  it('leaves out landings after another hit, and those that were not marked', () => {
    const far = {
      x: planned.landing.x > 1 ? planned.landing.x - 1 : planned.landing.x + 1,
      y: planned.landing.y,
    };
    const seen = observedShots(drill, planned, [
      { outcome: 'potted', landing: planned.landing },
      { outcome: 'potted', landing: far },
      { outcome: 'potted', landing: null },
      { outcome: 'missed', landing: planned.landing },
      { outcome: 'in-off', landing: null },
    ]);
    expect(seen.map(({ potted }) => potted)).toEqual([true, true, true, false, false]);
    expect(seen.map(({ landing }) => landing !== undefined)).toEqual([true, false, false, false, false]);
  });
});
