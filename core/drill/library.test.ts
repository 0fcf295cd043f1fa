import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { distanceToSegment } from '../math/point.ts';
import { chanceAt, positionWindow } from '../planning/window.ts';
import { drillSchema } from '../records/drill.ts';
import { reviewLanding } from '../scoring/landing.ts';
import { mostPoints, zonePoints } from '../scoring/zonePoints.ts';
import { buildTable, pocketNamed } from '../table/table.ts';
import { resolvePlace } from './layout.ts';
import { planShot, UnplayableDrillError } from './plannedShot.ts';

const FOLDER = path.resolve('library');
const drills = readdirSync(FOLDER).map((name) => ({
  name,
  drill: drillSchema.validateSync(JSON.parse(readFileSync(path.join(FOLDER, name), 'utf8'))),
}));

describe('the library', () => {
  it('has a stop, a follow and a draw for each table', () => {
    const kinds = drills.map(({ drill }) => `${drill.table} ${drill.technique}`).sort();
    expect(kinds).toEqual(
      ['pool-9ft', 'snooker-12ft'].flatMap((table) =>
        ['draw', 'follow', 'stop'].map((kind) => `${table} ${kind}`),
      ),
    );
  });

  it.each(drills)(
    '$name: its stroke pots the ball and ends in the best band at an angle',
    ({ name, drill }) => {
      expect(name).toBe(`${drill.slug}.drill.json`);
      const plan = planShot(drill, buildTable(drill.table));
      expect(plan.result.rest.find((ball) => ball.id === drill.task.pot)?.pocket).toBe(drill.task.pocket);
      for (const { bands } of drill.stages) {
        expect(zonePoints('potted', plan.landing, plan.window, bands)).toBe(mostPoints(bands));
      }
      const { angle, along, pace } = reviewLanding(plan, plan.landing);
      expect(Math.abs(angle.degrees)).toBeGreaterThan(10);
      expect(angle.verdict).toBe('right side');
      expect(along).toBeCloseTo(0, 12);
      expect(pace).toEqual({ kind: 'right' });
    },
  );

  it.each(drills.filter(({ drill }) => drill.technique === 'follow'))(
    '$name: a follow’s target lies clear of the pocket’s line',
    ({ drill }) => {
      const table = buildTable(drill.table);
      const plan = planShot(drill, table);
      const object = plan.shot.balls.find((ball) => ball.id === drill.task.pot)!;
      const { mouth } = pocketNamed(table, drill.task.pocket);
      expect(distanceToSegment(plan.landing, object, mouth)).toBeGreaterThan(6 * table.preset.ballRadius);
    },
  );

  it('says why a drill cannot be played', () => {
    const { drill } = drills.find(({ name }) => name.startsWith('harbour'))!;
    const impossible = { ...drill, task: { ...drill.task, pocket: 'head-right' as const } };
    expect(() => planShot(impossible, buildTable('pool-9ft'))).toThrow(UnplayableDrillError);
    expect(() =>
      resolvePlace({ diamonds: { along: 1, across: 1 } }, buildTable('snooker-12ft').preset),
    ).toThrow('no diamonds');
    expect(() => resolvePlace({ spot: 'black' }, buildTable('pool-9ft').preset)).toThrow('no black spot');
  });

  it.each([
    [
      'a pocket that is none',
      { task: { pot: '1', pocket: 'left', next: { ball: '2', pocket: 'head-left' } } },
      'task.pocket',
    ],
    ['no stages', { stages: [] }, 'stages'],
    [
      'bands that fall',
      {
        stages: [
          {
            title: 'x',
            bands: [
              { chance: 0.8, points: 1 },
              { chance: 0.7, points: 2 },
            ],
          },
        ],
      },
      'bands',
    ],
    ['a field that nobody knows', { colour: 'red' }, 'colour'],
    [
      'a place of two kinds',
      { balls: ['cue', '1', '2'].map((id) => ({ id, at: { x: 1, y: 1, spot: 'head' } })) },
      'balls[0]',
    ],
  ])('refuses a drill with %s and names it', (_, change, named) => {
    const { drill } = drills[0]!;
    expect(() => drillSchema.validateSync({ ...drill, ...change })).toThrow(named);
  });
});

describe('the window of the next ball', () => {
  it('is read off the grid exactly on its points and between its neighbours elsewhere', () => {
    const table = buildTable('pool-9ft');
    const window = positionWindow(table, { x: 0.8, y: 0.7 }, 'head-left', 'team');
    for (const [i, j] of [
      [0, 0],
      [31, 17],
      [window.columns - 1, window.rows - 1],
    ] as const) {
      const at = { x: window.x0 + i * window.dx, y: window.y0 + j * window.dy };
      expect(chanceAt(window, at)).toBeCloseTo(window.chances[j * window.columns + i]!, 6);
    }
    const middle = { x: window.x0 + 40.5 * window.dx, y: window.y0 + 20 * window.dy };
    const [left, right] = [40, 41].map((i) => window.chances[20 * window.columns + i]!);
    expect(chanceAt(window, middle)).toBeCloseTo((left! + right!) / 2, 6);
    expect(Math.max(...window.chances)).toBeLessThanOrEqual(1);
    expect(Math.min(...window.chances)).toBeGreaterThanOrEqual(0);
  });
});
