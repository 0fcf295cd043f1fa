import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { drillSchema } from '../records/drill.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { buildTable } from '../table/table.ts';
import { layOut } from './layout.ts';
import { mirrorDrill } from './mirror.ts';
import { planShot } from './plannedShot.ts';
import { isPositionDrill } from './positionDrill.ts';

const drills = readdirSync('library').map((name) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${name}`, 'utf8'))),
);

it('every drill in the mirror has each ball on the other side of the middle line, and is valid', () => {
  for (const drill of drills) {
    const preset = TABLE_PRESETS[drill.table];
    const mirrored = mirrorDrill(drill, preset.width);
    expect(drillSchema.isValidSync(mirrored), drill.slug).toBe(true);
    const there = layOut(mirrored, preset);
    layOut(drill, preset).forEach((ball, i) => {
      expect(there[i]!.x).toBeCloseTo(ball.x, 9);
      expect(there[i]!.y, `${drill.slug} ${ball.id}`).toBeCloseTo(preset.width - ball.y, 9);
    });
    const twice = layOut(mirrorDrill(mirrored, preset.width), preset);
    layOut(drill, preset).forEach((ball, i) => expect(twice[i]!.y).toBeCloseTo(ball.y, 9));
  }
});

it('a planned stroke in the mirror ends at the mirrored place, whatever its side', () => {
  for (const slug of ['slipway', 'three-rails-round', 'harbour-turn', 'centre-to-pink']) {
    const drill = drills.find((each) => each.slug === slug)!;
    const table = buildTable(drill.table);
    const mirrored = mirrorDrill(drill, table.width);
    if (!isPositionDrill(drill) || !isPositionDrill(mirrored)) throw new Error(slug);
    const [plain, other] = [planShot(drill, table), planShot(mirrored, table)];
    expect(other.landing.x).toBeCloseTo(plain.landing.x, 5);
    expect(other.landing.y).toBeCloseTo(table.width - plain.landing.y, 5);
  }
});

it('turns the side of every route round, and back', () => {
  const drill = drills.filter(isPositionDrill)[0]!;
  const { width } = TABLE_PRESETS[drill.table];
  const routes = [
    { title: 'With side', plan: { ...drill.plan, tip: { side: 0.25, height: 0.1 } } },
    { title: 'Without', plan: { ...drill.plan, tip: { side: 0, height: -0.2 } } },
  ];
  const mirrored = mirrorDrill({ ...drill, routes }, width);
  expect(mirrored.routes.map(({ plan }) => plan.tip)).toEqual([
    { side: -0.25, height: 0.1 },
    { side: -0, height: -0.2 },
  ]);
  expect(mirrorDrill(mirrored, width).routes).toEqual(routes);
});
