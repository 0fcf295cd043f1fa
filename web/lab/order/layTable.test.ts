import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { atStage } from '../../../core/drill/stage.ts';
import { planFileText, readPlanText } from '../../../core/formats/planFileSchema.ts';
import { distance } from '../../../core/math/point.ts';
import { drillSchema } from '../../../core/records/drill.ts';
import { completeDrill } from '../../../core/records/drillText/complete.ts';
import { standardCard } from '../../../core/table/card.ts';
import { POOL, SMALL, SNOOKER } from '../../../core/testing/balls.ts';
import { shotWith } from '../../table/labShot.ts';
import { brokenOn, laidDrill, racksOf, thrownOn } from './layTable.ts';

const libraryDrill = (slug: string) =>
  drillSchema.validateSync(completeDrill(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))));

const NOW = { shot: thrownOn(POOL, 3, 1), chosen: undefined };

describe('the table of the bench', () => {
  it.each([POOL, SMALL, SNOOKER])(
    'throws as many balls as are asked for, and a cue ball of its own size',
    (table) => {
      const { balls } = thrownOn(table, 15, 7);
      expect(balls).toHaveLength(16);
      const cue = balls.find(({ id }) => id === 'cue');
      expect([cue?.radius, cue?.mass]).toEqual([table.preset.cueBallRadius, table.preset.cueBallMass]);
      for (const [i, a] of balls.entries()) {
        for (const b of balls.slice(i + 1)) expect(distance(a, b)).toBeGreaterThan(a.radius + b.radius);
      }
    },
  );

  it('breaks the racks that its spots allow', () => {
    expect(racksOf(POOL).map(({ kind }) => kind)).toEqual(['eight', 'nine']);
    expect(racksOf(SMALL).map(({ kind }) => kind)).toEqual(['eight on the spot']);
    expect(racksOf(SNOOKER).map(({ kind }) => kind)).toEqual(['reds']);
    expect(brokenOn(POOL, 'nine', 5).balls.map(({ id }) => id)).toContain('9');
  });

  it('takes a drill over at a stage, on the table that is there or on its own', () => {
    const far = libraryDrill('far-shores');
    const here = laidDrill(NOW, far, 1, 1);
    expect(here.shot.table).toBe(POOL);
    expect(new Set(here.shot.balls.map(({ id }) => id))).toEqual(
      new Set(['cue', ...atStage(far, 1).balls.map(({ id }) => id)]),
    );
    const snooker = laidDrill(NOW, libraryDrill('three-red-break'), 1, 1);
    expect(snooker.shot.table.preset.id).toBe('snooker-12ft');
    expect(snooker.chosen?.key).toBe('snooker-12ft');
    expect(snooker.shot.balls.some(({ id }) => id === 'cue')).toBe(true);
  });

  it('puts a cue ball in hand where no ball lies', () => {
    const there = { id: '1', x: 0.2 * POOL.length, y: 0.5 * POOL.width, radius: 0.028575, mass: 0.17 };
    const { balls } = shotWith(POOL, [there]);
    const cue = balls.find(({ id }) => id === 'cue') ?? there;
    expect(distance(cue, there)).toBeGreaterThan(2 * 0.028);
  });

  it('as a file comes back as it was', () => {
    const { balls } = thrownOn(POOL, 9, 3);
    const cue = balls.find(({ id }) => id === 'cue');
    const objects = balls.filter((each) => each !== cue);
    const order = { kind: 'listed', balls: ['2', '1'] } as const;
    for (const table of ['pool-9ft', standardCard('pool-9ft')] as const) {
      const read = readPlanText(planFileText({ balls: objects, cue, order }, table, 'team'));
      expect(read).toEqual({ table: POOL, balls: objects, cue, order });
    }
    expect(() => readPlanText('{"format":"jolly-rail/plan"}')).toThrow('player is missing');
  });
});
