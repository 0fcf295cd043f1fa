import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { atStage } from '../drill/stage.ts';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import { drillSchema } from '../records/drill.ts';
import { buildTable } from '../table/table.ts';
import { landingPlanOf } from './landingPlan.ts';

const drillOf = (slug: string, stage: number) =>
  atStage(drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))), stage);
const table = buildTable('pool-9ft');
const buoys = drillOf('five-buoys', 1);

it('pots the ball and stops within a drawn ring; played again it does the same', () => {
  const plan = landingPlanOf(buoys, table, 'team', 3);
  if (plan === undefined) throw new Error('no stroke');
  const again = simulate(plan.shot);
  expect(again.rest.find(({ id }) => id === '1')).toMatchObject({ pocket: 'foot-left' });
  const cue = again.rest.find(({ id }) => id === 'cue');
  expect(cue).toMatchObject({ x: plan.landing.x, y: plan.landing.y });
  // A ring's points by hand: rings are written in balls' widths around a place in diamonds.
  const width = 2 * table.preset.ballRadius;
  const inner = buoys.targets.flatMap((target) =>
    target.kind === 'rings' && 'diamonds' in target.at
      ? [
          {
            at: {
              x: (target.at.diamonds.along / 8) * table.length,
              y: (target.at.diamonds.across / 4) * table.width,
            },
            reach: Math.max(...target.rings.map(({ radius }) => radius)) * width,
          },
        ]
      : [],
  );
  expect(inner.some(({ at, reach }) => distance(at, plan.landing) <= reach)).toBe(true);
  expect(plan.planned).toBeGreaterThan(0);
});

it('a better player makes more of it, and nobody more than there is', () => {
  const means = (['first season', 'team', 'title'] as const).map(
    (level) => landingPlanOf(buoys, table, level, 3)?.mean ?? NaN,
  );
  expect(means).toEqual([...means].sort((a, b) => a - b));
  expect(means.at(-1)).toBeLessThanOrEqual(2);
  expect((means[2] ?? 0) - (means[0] ?? 0)).toBeGreaterThan(0.3);
});

it('a drill with a next ball has a window, and no such stroke', () => {
  expect(landingPlanOf(drillOf('harbour-turn', 1), table, 'team', 1)).toBeUndefined();
});
