import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { checkShot } from '../motion/validate.ts';
import { chanceAt } from '../planning/grid.ts';
import { positionWindow } from '../planning/window.ts';
import { drillSchema, FAMILIES, type PlaceText } from '../records/drill.ts';
import { COUNTING_METHODS } from '../records/drillText/counting.ts';
import { reviewLanding } from '../scoring/landing.ts';
import { zonePoints } from '../scoring/zonePoints.ts';
import { mostPoints } from '../counting/bands.ts';
import { ball } from '../testing/balls.ts';
import { buildTable } from '../table/table.ts';
import { layOut } from './layout.ts';
import { planShot, UnplayableDrillError, type PlannedShot } from './plannedShot.ts';
import { isPositionDrill, onRoute, type PositionDrill } from './positionDrill.ts';
import { ballsOfSetUp, setUp } from './setUp.ts';
import { atStage, tablesOf } from './stage.ts';

const FOLDER = path.resolve('library');
const drills = readdirSync(FOLDER).map((name) => ({
  name,
  drill: drillSchema.validateSync(JSON.parse(readFileSync(path.join(FOLDER, name), 'utf8'))),
}));

const stages = drills.flatMap(({ drill }) =>
  drill.stages.map((stage, i) => ({
    title: `${drill.slug}, ${stage.title}`,
    drill: atStage(drill, i + 1),
    stage,
  })),
);
const positions = stages.flatMap(({ title, drill, stage }) =>
  isPositionDrill(drill) ? [{ title, drill, stage }] : [],
);

const planned = new Map<string, PlannedShot>();

/** A drill's plan on its own table: stages that differ by their bands alone have the same one. */
function planOf(drill: PositionDrill): PlannedShot {
  const key = JSON.stringify({ ...drill, stages: [] });
  const plan = planned.get(key) ?? planShot(drill, buildTable(drill.table));
  planned.set(key, plan);
  return plan;
}

describe('the library', () => {
  it('has at least 48 drills, some of every family, for every game', () => {
    expect(drills.length).toBeGreaterThanOrEqual(48);
    for (const family of FAMILIES) {
      expect(drills.filter(({ drill }) => drill.family === family).length, family).toBeGreaterThanOrEqual(4);
    }
    for (const id of ['pool-9ft', 'eight-7ft', 'snooker-12ft'] as const) {
      expect(drills.filter(({ drill }) => tablesOf(drill).includes(id)).length, id).toBeGreaterThanOrEqual(8);
    }
    expect(new Set(drills.map(({ drill }) => drill.title)).size).toBe(drills.length);
    const methods = new Set(drills.map(({ drill }) => drill.scoring.method));
    expect([...methods].sort()).toEqual([...COUNTING_METHODS].sort());
  });

  it.each(drills)('$name is named as it says, and its parts fit together', ({ name, drill }) => {
    expect(name).toBe(`${drill.slug}.drill.json`);
    const { task } = drill;
    expect(drill.stages.length).toBeGreaterThanOrEqual(drill.family === 'break' ? 1 : 2);
    // What is scored by the window needs its bands, what is not has none.
    for (const { bands } of drill.stages) {
      const byWindow = drill.scoring.method === 'zone-points' && drill.task.kind !== 'land';
      expect(bands.length > 0).toBe(byWindow);
    }
    // Points for landing need targets to land in.
    if (task.kind === 'land') {
      expect(drill.targets.length).toBeGreaterThan(0);
    }
  });

  it.each(stages)(
    '$title can be set on every table that it is for, also thrown again and again',
    ({ drill }) => {
      for (const id of tablesOf(drill)) {
        const table = buildTable(id);
        for (let seed = 1; seed <= (drill.thrown === null ? 1 : 40); seed++) {
          const balls = ballsOfSetUp(setUp(drill, table.preset, seed));
          const struck = balls[0];
          if (struck === undefined) continue;
          const strike = {
            ball: struck.id,
            speed: 1,
            direction: 0,
            tip: { side: 0, height: 0 },
            elevation: 0,
          };
          expect(() => checkShot({ table, balls, strike })).not.toThrow();
        }
      }
    },
  );

  it('throws the same layout from the same seed, and another from another', () => {
    const { drill } = drills.find((each) => each.drill.thrown !== null)!;
    const { preset } = buildTable(drill.table);
    expect(setUp(drill, preset, 5)).toEqual(setUp(drill, preset, 5));
    expect(setUp(drill, preset, 5)).not.toEqual(setUp(drill, preset, 6));
  });

  it.each(positions.filter(({ drill }) => drill.routes.length > 0))(
    '$title: its other routes earn points too, by another stroke',
    ({ drill, stage }) => {
      drill.routes.forEach((route, i) => {
        expect(route.plan).not.toEqual(drill.plan);
        const plan = planOf(onRoute(drill, i + 1));
        expect(zonePoints('potted', plan.landing, plan.window, stage.bands)).toBeGreaterThan(0);
      });
      expect(() => onRoute(drill, drill.routes.length + 1)).toThrow(RangeError);
    },
  );

  it.each(positions)(
    '$title: its stroke pots the ball and ends in the best band at an angle',
    ({ drill, stage }) => {
      const plan = planOf(drill);
      expect(plan.result.rest.find((ball) => ball.id === drill.task.pot)?.pocket).toBe(drill.task.pocket);
      expect(zonePoints('potted', plan.landing, plan.window, stage.bands)).toBe(mostPoints(stage.bands));
      const { angle, along, pace } = reviewLanding(plan, plan.landing);
      expect(Math.abs(angle.degrees)).toBeGreaterThan(8);
      expect(angle.verdict).toBe('right side');
      expect(along).toBeCloseTo(0, 12);
      expect(pace).toEqual({ kind: 'right' });
    },
  );

  it('says why a drill cannot be played', () => {
    const { drill } = positions.find((each) => each.drill.slug === 'harbour-turn')!;
    const impossible = { ...drill, task: { ...drill.task, pocket: 'head-right' as const } };
    expect(() => planShot(impossible, buildTable('pool-9ft'))).toThrow(UnplayableDrillError);
    const at = (place: PlaceText) => ({ balls: [{ id: 'cue', at: place }] });
    const { preset: snooker } = buildTable('snooker-12ft');
    expect(() => layOut(at({ diamonds: { along: 1, across: 1 } }), snooker)).toThrow('no diamonds');
    expect(() => layOut(at({ spot: 'black' }), buildTable('pool-9ft').preset)).toThrow('no such spot');
    expect(() => layOut(at({ beside: '1', towardsDeg: 0, gapMm: 0 }), snooker)).toThrow('placed before');
  });

  it('reads a drill of the first version as what it was', () => {
    const old = JSON.parse(readFileSync(path.join(FOLDER, 'harbour-turn.drill.json'), 'utf8')) as object;
    expect(old).toMatchObject({ version: 1, task: { pot: '1' } });
    expect(drillSchema.validateSync(old)).toMatchObject({
      version: 2,
      task: { kind: 'position', pot: '1' },
      skills: ['cue-ball control'],
      faults: { missed: 'ends the attempt' },
    });
  });

  it.each([
    [
      'a pocket that is none',
      { task: { kind: 'position', pot: '1', pocket: 'left', next: { ball: '2', pocket: 'head-left' } } },
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
    const { drill } = positions[0]!;
    expect(() => drillSchema.validateSync({ ...drill, ...change })).toThrow(named);
  });
});

describe('the window of the next ball', () => {
  it('is read off the grid exactly on its points and between its neighbours elsewhere', () => {
    const table = buildTable('pool-9ft');
    const window = positionWindow(table, ball('object', 0.8, 0.7), 'head-left', 'team');
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
