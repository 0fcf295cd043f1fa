import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { mirrorDrill } from '../drill/mirror.ts';
import { drillSchema, type Target } from '../records/drill.ts';
import { POOL, SNOOKER, ball } from '../testing/balls.ts';
import { targetPoints } from './targetPoints.ts';

const { preset } = POOL;
const BALL = 2 * preset.ballRadius;
const earns = (x: number, y: number, ...targets: Target[]) => targetPoints({ x, y }, targets, preset, []);
const at = (along: number, across: number) => ({ along, across });

const RINGS: Target = {
  kind: 'rings',
  at: { spot: 'foot' },
  rings: [
    { radius: 1, points: 3 },
    { radius: 2, points: 2 },
    { radius: 4, points: 1 },
  ],
};
const foot = { x: 0.75 * preset.length, y: 0.5 * preset.width };

describe('points of targets', () => {
  it('of rings fall with the distance, in ball widths of the table, and end at the last', () => {
    for (const [widths, points] of [
      [0, 3],
      [0.99, 3],
      [1.01, 2],
      [1.99, 2],
      [2.01, 1],
      [3.99, 1],
      [4.01, 0],
    ] as const) {
      for (const angle of [0, 1, 2.5, 4]) {
        const x = foot.x + widths * BALL * Math.cos(angle);
        expect(earns(x, foot.y + widths * BALL * Math.sin(angle), RINGS)).toBe(points);
      }
    }
  });

  it('of rings beside a ball go with the ball, and rings on a spot need the spot', () => {
    const beside: Target = { ...RINGS, at: { beside: '1', towardsDeg: 90, gapMm: 0 } };
    const one = ball('1', 1, 0.5);
    const above = { x: 1, y: 0.5 + BALL };
    expect(targetPoints(above, [beside], preset, [one])).toBe(3);
    expect(() => targetPoints(above, [RINGS], SNOOKER.preset, [])).toThrow('no such spot');
  });

  it('of a rectangle count between its corners, whichever come first', () => {
    const rectangle: Target = { kind: 'rectangle', from: at(0.5, 0.2), to: at(0.75, 0.6), points: 2 };
    const turned: Target = { ...rectangle, from: rectangle.to, to: rectangle.from };
    for (const target of [rectangle, turned]) {
      expect(earns(0.6 * preset.length, 0.5 * preset.width, target)).toBe(2);
      expect(earns(0.6 * preset.length, 0.61 * preset.width, target)).toBe(0);
      expect(earns(0.49 * preset.length, 0.5 * preset.width, target)).toBe(0);
    }
  });

  it('of a polygon agree with a sum of angles about the place, also where it is not convex', () => {
    const corners = [at(0.2, 0.2), at(0.8, 0.3), at(0.45, 0.5), at(0.7, 0.9), at(0.1, 0.7)];
    const polygon: Target = { kind: 'polygon', corners, points: 1 };
    const random = createRandom(5);
    for (let k = 0; k < 2_000; k++) {
      const [x, y] = [random.uniform() * preset.length, random.uniform() * preset.width];
      const turns = corners.reduce((sum, corner, i) => {
        const next = corners[(i + 1) % corners.length]!;
        const angle = ({ along, across }: { along: number; across: number }) =>
          Math.atan2(across * preset.width - y, along * preset.length - x);
        const turn = angle(next) - angle(corner);
        return sum + turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
      }, 0);
      expect(earns(x, y, polygon)).toBe(Math.abs(turns) > Math.PI ? 1 : 0);
    }
  });

  it('of a stretch of a way count as far to its sides and past its ends as it has room', () => {
    const way: Target = { kind: 'way', from: at(0.25, 0.5), to: at(0.5, 0.5), room: 1, points: 4 };
    const [x0, x1, y] = [0.25 * preset.length, 0.5 * preset.length, 0.5 * preset.width];
    expect(earns((x0 + x1) / 2, y + 0.99 * BALL, way)).toBe(4);
    expect(earns((x0 + x1) / 2, y + 1.01 * BALL, way)).toBe(0);
    expect(earns(x1 + 0.99 * BALL, y, way)).toBe(4);
    expect(earns(x0 - 1.01 * BALL, y, way)).toBe(0);
  });

  it('the best of several counts; cushions and thickness are judged otherwise', () => {
    const rectangle: Target = { kind: 'rectangle', from: at(0.7, 0.4), to: at(0.8, 0.6), points: 5 };
    expect(earns(foot.x, foot.y, RINGS, rectangle)).toBe(5);
    expect(earns(foot.x, foot.y, { kind: 'cushion', side: 'foot', from: 0, to: 1 })).toBe(0);
    expect(earns(foot.x, foot.y, { kind: 'thickness', ball: '1', from: 0, to: 1 })).toBe(0);
  });

  it('in the mirror a place earns what its image earned', () => {
    const targets: readonly Target[] = [
      { ...RINGS, at: { share: at(0.4, 0.3) } },
      { kind: 'rectangle', from: at(0.1, 0.1), to: at(0.3, 0.2), points: 2 },
      { kind: 'polygon', corners: [at(0.5, 0.6), at(0.9, 0.7), at(0.7, 0.95)], points: 1 },
      { kind: 'way', from: at(0.6, 0.1), to: at(0.9, 0.4), room: 2, points: 4 },
    ];
    const drill = drillSchema.validateSync({
      format: 'jolly-rail/drill',
      version: 2,
      slug: 'x',
      title: 'x',
      family: 'position',
      skills: ['cue-ball control'],
      table: 'pool-9ft',
      purpose: 'x',
      task: { kind: 'land', pot: null },
      targets,
      faults: {},
      scoring: { method: 'zone-points', shots: 5, windowLevel: 'team' },
      stages: [{ title: 'x' }],
    });
    const mirrored = mirrorDrill(drill, preset.width);
    const random = createRandom(9);
    for (let k = 0; k < 1_000; k++) {
      const [x, y] = [random.uniform() * preset.length, random.uniform() * preset.width];
      expect(earns(x, preset.width - y, ...mirrored.targets)).toBe(earns(x, y, ...targets));
    }
  });
});
