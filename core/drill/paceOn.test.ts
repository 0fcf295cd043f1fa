import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import { drillSchema } from '../records/drill.ts';
import { completeDrill } from '../records/drillText/complete.ts';
import { aimToPot } from '../shot/aim.ts';
import { buildTable, type Table } from '../table/table.ts';
import { CUE_BALL, layOut } from './layout.ts';
import { paceOn, strokeOf } from './paceOn.ts';
import { isPositionDrill, type PositionDrill } from './positionDrill.ts';
import { atStage } from './stage.ts';

const DRILLS = readdirSync('library')
  .map((name) =>
    atStage(drillSchema.validateSync(completeDrill(JSON.parse(readFileSync(`library/${name}`, 'utf8')))), 1),
  )
  .filter(isPositionDrill);

/** The drill's own table with another cloth: so much of its rolling friction. */
const withCloth = (drill: PositionDrill, share: number): Table => {
  const own = buildTable(drill.table);
  return buildTable(drill.table, { rollingFriction: own.parameters.rollingFriction * share });
};

/** Where the cue ball stops, metres. */
function endOn(drill: PositionDrill, table: Table, speed: number) {
  const aim = aimToPot(
    table,
    layOut(drill, table.preset),
    strokeOf(drill.plan, speed),
    drill.task.pot,
    drill.task.pocket,
  );
  if (aim.kind !== 'pots') return undefined;
  return simulate(aim.shot).rest.find(({ id }) => id === CUE_BALL);
}

describe('the planned pace', () => {
  it('is that of the drill on the table that it was made for', () => {
    for (const drill of DRILLS)
      expect(paceOn(drill, buildTable(drill.table)), drill.slug).toBe(drill.plan.speed);
  });

  it.each([0.7, 1.4])(
    'follows a cloth of %s times the friction, and ends nearer to where it should',
    (share) => {
      let before = 0;
      let after = 0;
      for (const drill of DRILLS) {
        const wanted = endOn(drill, buildTable(drill.table), drill.plan.speed);
        const table = withCloth(drill, share);
        const pace = paceOn(drill, table);
        const as = endOn(drill, table, drill.plan.speed);
        const now = endOn(drill, table, pace);
        if (wanted === undefined || as === undefined || now === undefined) continue;
        expect(distance(now, wanted), drill.slug).toBeLessThanOrEqual(distance(as, wanted) + 1e-9);
        before += distance(as, wanted);
        after += distance(now, wanted);
      }
      expect(before).toBeGreaterThan(1);
      expect(after).toBeLessThan(before / 3);
    },
  );

  it('is harder on a slow cloth and softer on a fast one, where the ball rolls out', () => {
    const slower = DRILLS.map((drill) => paceOn(drill, withCloth(drill, 1.4)) - drill.plan.speed);
    const faster = DRILLS.map((drill) => paceOn(drill, withCloth(drill, 0.7)) - drill.plan.speed);
    expect(slower.filter((change) => change > 0).length).toBeGreaterThan(0.8 * DRILLS.length);
    expect(faster.filter((change) => change < 0).length).toBeGreaterThan(0.8 * DRILLS.length);
  });
});
