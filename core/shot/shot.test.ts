import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { normalCdf } from '../math/normal.ts';
import { landingCloud } from '../planning/cloud.ts';
import { executionErrorOf, LEVEL_NAMES } from '../player/levels.ts';
import type { Table } from '../table/table.ts';
import { ball, cueBall, POOL, SMALL, SNOOKER } from '../testing/balls.ts';
import { acceptanceOf, fullAcceptanceOf } from './acceptance.ts';
import { aimToPot } from './aim.ts';
import { contactPlace, cutTo } from './cut.ts';
import { potChance } from './potChance.ts';

const R = POOL.preset.ballRadius;

/** A player who errs in the line alone, degrees. */
const lineOnly = (directionDeg: number) => ({ directionDeg, speed: 0, tip: 0, elevationDeg: 0 });

describe('a cut', () => {
  it.each([
    [0, 'full'],
    [14.5, 'three-quarter'],
    [30, 'half'],
    [48.6, 'quarter'],
    [75, 'thin'],
  ] as const)('of %s° is %s', (degrees, thickness) => {
    const object = { x: 1, y: 0.6 };
    const target = { x: 2, y: 0.6 };
    const contact = contactPlace(object, target, R, R);
    for (const side of [1, -1]) {
      const from = toRadians(-side * degrees);
      const cue = { x: contact.x - 0.5 * Math.cos(from), y: contact.y - 0.5 * Math.sin(from) };
      const cut = cutTo(cue, object, target, R, R);
      expect(cut.degrees).toBeCloseTo(side * degrees, 9);
      expect(cut.thickness).toBe(thickness);
    }
  });
});

describe('the pocket’s acceptance', () => {
  it('seen straight into a corner is what lies between the points, less a ball, within a degree', () => {
    const from = { x: POOL.length - 0.9, y: 0.9 };
    const { low, high, middle } = acceptanceOf(POOL, from, 'foot-right')!;
    expect(middle).toBeCloseTo(-Math.PI / 4, 3);
    const away = Math.hypot(0.9, 0.9) - 0.117 / 2;
    const free = 2 * Math.atan((0.117 / 2 - R) / away);
    expect(Math.abs(high - low - free)).toBeLessThan(toRadians(1));
  });

  it('is nothing along a cushion past a middle pocket', () => {
    expect(acceptanceOf(POOL, { x: 0.3, y: R + 0.001 }, 'middle-right')).toBeUndefined();
  });
});

describe('aim', () => {
  const stroke = { ball: 'cue', speed: 2, tip: { side: 0, height: 0 }, elevation: 0 };

  it.each([
    [POOL, 'foot-left', { x: 1, y: 0.3 }, { x: 1.9, y: 0.8 }],
    [POOL, 'middle-right', { x: 1.4, y: 1 }, { x: 1.3, y: 0.5 }],
    [SNOOKER, 'foot-right', { x: 1.8, y: 0.9 }, { x: 2.9, y: 0.5 }],
  ] as const)(
    'pots the ball at every pace and with side, throw compensated',
    (table, pocket, cue, object) => {
      const balls = [ball('cue', cue.x, cue.y, table), ball('1', object.x, object.y, table)];
      const directions: number[] = [];
      for (const speed of [1.2, 2, 3.5]) {
        for (const side of [-0.3, 0, 0.3]) {
          const aim = aimToPot(table, balls, { ...stroke, speed, tip: { side, height: 0 } }, '1', pocket);
          if (aim.kind !== 'pots') throw new Error(aim.reason);
          expect(aim.result.rest[1]!.pocket).toBe(pocket);
          directions.push(aim.shot.strike.direction);
        }
      }
      // Throw differs with side and pace, so the directions must too, by up to a few degrees.
      expect(Math.max(...directions) - Math.min(...directions)).toBeGreaterThan(toRadians(0.05));
    },
  );

  it('says why it cannot: too thin, blocked', () => {
    const object = ball('1', 1.6, 0.6);
    const behind = aimToPot(POOL, [ball('cue', 2.2, 0.3), object], stroke, '1', 'foot-left');
    expect(behind).toEqual({ kind: 'no-way', reason: 'too-thin' });
    const wall = [ball('cue', 0.6, 0.6), object, ball('2', 1.75, 0.705)];
    expect(aimToPot(POOL, wall, stroke, '1', 'foot-left')).toEqual({ kind: 'no-way', reason: 'blocked' });
  });

  it('refuses a ball that is not there', () => {
    expect(() => aimToPot(POOL, [ball('cue', 1, 1)], stroke, '9', 'foot-left')).toThrow('no ball 9');
  });
});

/** A straight pot: object ball `toPocket` from the corner's mouth on its diagonal, cue ball `toBall` behind it. */
function straightPot(table: Table, toBall: number, toPocket: number) {
  const mouth = table.pockets.find((pocket) => pocket.name === 'foot-left')!.mouth;
  const d = Math.SQRT1_2;
  const object = { x: mouth.x - d * toPocket, y: mouth.y - d * toPocket };
  return { object, cue: { x: object.x - d * toBall, y: object.y - d * toBall } };
}

describe('the chance of a pot', () => {
  it('of a straight shot is the closed form of acceptance, distance and error', () => {
    const { object, cue } = straightPot(POOL, 0.5, 0.5);
    const acceptance = acceptanceOf(POOL, object, 'foot-left')!;
    const half = (acceptance.high - acceptance.low) / 2;
    for (const error of [0.1, 0.35, 0.8]) {
      // Sent off by ε from d away, the cue ball turns the line of centres by (d − 2R)·ε / 2R against its own way.
      const scatter = (toRadians(error) * (0.5 - 2 * R)) / (2 * R);
      const closedForm = 2 * normalCdf(half / scatter) - 1;
      expect(
        Math.abs(potChance(POOL, cue, { object, acceptance }, lineOnly(error)) - closedForm),
      ).toBeLessThan(0.04);
    }
  });

  it('is at least that of the bare mouth: jaws turn a ball in that touches them, by up to a third more', () => {
    for (const toPocket of [0.5, 0.9, 1.3]) {
      const { object } = straightPot(POOL, 0.3, toPocket);
      const { low, high } = acceptanceOf(POOL, object, 'foot-left')!;
      const mouth = 2 * Math.atan((0.117 / 2 - R) / toPocket);
      expect((high - low) / mouth).toBeGreaterThan(1);
      expect((high - low) / mouth).toBeLessThan(1.33);
    }
  });

  it.each([
    [POOL, 'foot-left', { x: 1.5, y: 0.7 }, { x: 2.1, y: 0.9 }],
    [POOL, 'foot-right', { x: 0.9, y: 0.7 }, { x: 1.9, y: 0.6 }],
    [SNOOKER, 'foot-right', { x: 2.2, y: 0.8 }, { x: 3.0, y: 0.5 }],
    [SMALL, 'foot-right', { x: 0.9, y: 0.5 }, { x: 1.5, y: 0.25 }],
    [SMALL, 'foot-left', { x: 0.5, y: 0.3 }, { x: 1.4, y: 0.55 }],
  ] as const)('agrees with a thousand shots played out, %#', (table, pocket, cue, object) => {
    const acceptance = fullAcceptanceOf(table, object, pocket)!;
    const rolling = { ball: 'cue', speed: 2.2, tip: { side: 0, height: 0.4 }, elevation: 0 };
    const balls = [cueBall(cue.x, cue.y, table), ball('1', object.x, object.y, table)];
    const aim = aimToPot(table, balls, rolling, '1', pocket);
    if (aim.kind !== 'pots') throw new Error(aim.reason);
    for (const level of ['first season', 'team'] as const) {
      const error = executionErrorOf(level, table.preset.game);
      const cloud = landingCloud(aim.shot, { object: '1', pocket }, error, 1000, 77);
      // A pot that loses the cue ball is a pot all the same.
      const potted = cloud.filter((each) => each.outcome === 'potted').length / cloud.length;
      const chance = potChance(table, cue, { object, acceptance }, error, rolling);
      expect(Math.abs(potted - chance)).toBeLessThan(0.04);
    }
  });

  it.each([-0.4, -0.2, 0.2, 0.4])('is aimed with side %s under a raised butt too, round its bend', (side) => {
    const { object, cue } = straightPot(POOL, 0.8, 0.5);
    for (const elevation of [0.3, 0.7]) {
      for (const speed of [1.5, 2.5]) {
        const bent = { ball: 'cue', speed, tip: { side, height: 0 }, elevation };
        const balls = [cueBall(cue.x, cue.y), ball('1', object.x, object.y)];
        expect(aimToPot(POOL, balls, bent, '1', 'foot-left').kind).toBe('pots');
      }
    }
  });

  it('falls with distance and grows with the level', () => {
    const chances = [0.4, 0.8, 1.2].map((toBall) => {
      const { object, cue } = straightPot(POOL, toBall, 0.6);
      const target = { object, acceptance: acceptanceOf(POOL, object, 'foot-left')! };
      return LEVEL_NAMES.map((level) => potChance(POOL, cue, target, executionErrorOf(level, 'pool')));
    });
    for (const byLevel of chances) {
      expect([...byLevel].sort((a, b) => a - b)).toEqual(byLevel);
    }
    expect(chances[0]![0]).toBeGreaterThan(chances[1]![0]!);
    expect(chances[1]![0]).toBeGreaterThan(chances[2]![0]!);
  });

  it('of a ball in the jaws is nearly certain from wherever it can be hit', () => {
    const { mouth } = POOL.pockets.find(({ name }) => name === 'foot-left')!;
    const object = { x: mouth.x - 0.015, y: mouth.y - 0.015 };
    const target = { object, acceptance: fullAcceptanceOf(POOL, object, 'foot-left')! };
    for (const cue of [
      { x: 1.2, y: 0.3 },
      { x: 2, y: 0.4 },
      { x: 1.6, y: 0.9 },
    ]) {
      expect(potChance(POOL, cue, target, executionErrorOf('team', 'pool'))).toBeGreaterThan(0.97);
    }
  });

  it('close to a ball whose pocket is far hangs on the side of the tip, which throws it', () => {
    const { object, cue } = straightPot(POOL, 2 * R + 0.03, 1.6);
    const target = { object, acceptance: fullAcceptanceOf(POOL, object, 'foot-left')! };
    const regular = executionErrorOf('regular', 'pool');
    expect(potChance(POOL, cue, target, { ...regular, tip: 0 })).toBeGreaterThan(0.98);
    expect(potChance(POOL, cue, target, regular)).toBeLessThan(0.7);
  });

  it('knows that a raised butt swerves, and that a stroke too soft never gets there', () => {
    const { object, cue } = straightPot(POOL, 1, 0.6);
    const target = { object, acceptance: fullAcceptanceOf(POOL, object, 'foot-left')! };
    const team = executionErrorOf('team', 'pool');
    const tip = { side: 0, height: 0 };
    const level = potChance(POOL, cue, target, team, { tip, elevation: 0 });
    expect(potChance(POOL, cue, target, team, { tip, elevation: 0.5 })).toBeLessThan(0.6 * level);
    expect(potChance(POOL, cue, target, team, { tip, elevation: 0, speed: 0.5 })).toBeLessThan(0.02);
  });

  it('is none from behind the ball, or from inside it', () => {
    const { object } = straightPot(POOL, 0.5, 0.5);
    const target = { object, acceptance: acceptanceOf(POOL, object, 'foot-left')! };
    expect(potChance(POOL, { x: object.x + 0.2, y: object.y + 0.2 }, target, lineOnly(0.1))).toBe(0);
    expect(potChance(POOL, { x: object.x + 0.01, y: object.y }, target, lineOnly(0.1))).toBe(0);
  });
});
