import { describe, expect, it } from 'vitest';
import { moving, ball } from '../testing/balls.ts';
import { simulateMotion } from '../motion/simulate.ts';
import { clothLinesOf, sightsOf, spotsOf } from './markings.ts';
import { PRESET_IDS } from './preset.ts';
import { TABLE_PRESETS } from './presets.ts';
import { buildTable } from './table.ts';

describe.each(PRESET_IDS)('%s', (id) => {
  const table = buildTable(id);
  const { preset } = table;

  it('is about twice as long as wide, with six pockets that let a ball through and not two', () => {
    expect(preset.length / preset.width).toBeCloseTo(2, 1);
    expect(table.pockets).toHaveLength(6);
    for (const shape of [preset.corner, preset.middle]) {
      expect(shape.mouth).toBeGreaterThan(2 * preset.ballRadius * 1.4);
      expect(shape.mouth).toBeLessThan(2 * preset.ballRadius * 2.4);
    }
  });

  it('leaves the noses as far apart at a pocket as its mouth is wide, or the curves', () => {
    const nose = (name: string) => table.cushions.find((cushion) => cushion.name === name)!;
    const [a, b] = [nose('right-head'), nose('right-foot')];
    const between = b.noseFrom.x - a.noseTo.x;
    const { middle } = preset;
    const curves = middle.jaw.kind === 'curve' ? 2 * middle.jaw.radius : 0;
    expect(between - curves).toBeCloseTo(middle.mouth, 12);
    if (a.jawFrom.kind === 'curve') {
      const head = nose('head');
      const other = head.jawTo.kind === 'curve' ? head.jawTo : a.jawFrom;
      const apart = Math.hypot(a.jawFrom.centre.x - other.centre.x, a.jawFrom.centre.y - other.centre.y);
      expect(apart - 2 * a.jawFrom.radius).toBeCloseTo(preset.corner.mouth, 12);
    }
  });

  it('takes a ball rolled straight at each pocket', () => {
    for (const pocket of table.pockets) {
      const middle = pocket.name.startsWith('middle');
      const from = {
        x: middle ? pocket.mouth.x : pocket.mouth.x + (pocket.mouth.x < preset.length / 2 ? 0.4 : -0.4),
        y: pocket.mouth.y + (pocket.mouth.y < preset.width / 2 ? 0.4 : -0.4),
      };
      const direction = Math.atan2(pocket.mouth.y - from.y, pocket.mouth.x - from.x);
      const at = ball('o', from.x, from.y, table);
      const { rest } = simulateMotion(table, [
        moving(at, { vx: 1.2 * Math.cos(direction), vy: 1.2 * Math.sin(direction) }),
      ]);
      expect(rest[0]!.pocket).toBe(pocket.name);
    }
  });

  it('has its spots and lines on the cloth, and sights only where pool is played with them', () => {
    for (const { at } of spotsOf(preset)) {
      expect(at.x).toBeGreaterThan(0);
      expect(at.x).toBeLessThan(preset.length);
      expect(Math.abs(at.y - preset.width / 2)).toBeLessThan(preset.width / 4);
    }
    const { acrossAt, dRadius } = clothLinesOf(preset);
    expect(acrossAt).toBeLessThan(0.26 * preset.length);
    expect(dRadius === undefined).toBe(preset.markings === 'head string');
    expect(sightsOf(preset)).toHaveLength(preset.sights ? 18 : 0);
  });
});

it('a baulk table of another size has its line at a fifth, its D a sixth of the width, its black an eleventh', () => {
  const ten = TABLE_PRESETS['snooker-10ft'];
  expect(clothLinesOf(ten).acrossAt).toBeCloseTo(ten.length / 5, 12);
  expect(clothLinesOf(ten).dRadius).toBeCloseTo(ten.width / 6, 12);
  const black = spotsOf(ten).find((spot) => spot.name === 'black')!;
  expect(ten.length - black.at.x).toBeCloseTo(ten.length / 11, 12);
});

it('the small-table game is played with a smaller and lighter cue ball', () => {
  const { ballRadius, ballMass, cueBallRadius, cueBallMass } = TABLE_PRESETS['eight-7ft'];
  expect([2000 * ballRadius, 1000 * ballMass, 2000 * cueBallRadius, 1000 * cueBallMass]).toEqual([
    50.8, 118, 47.6, 97,
  ]);
});
