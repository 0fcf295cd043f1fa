import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../../player/levels.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { POOL, SNOOKER } from '../../testing/balls.ts';
import { clothLinesOf } from '../../table/markings.ts';
import { breakMap, mapStrokes } from './breakMap.ts';
import { studyBreak, type BreakQuestion } from './breakStudy.ts';

const QUESTION: BreakQuestion = {
  table: POOL,
  rack: { kind: 'nine', quality: RACK_QUALITIES.tight },
  stroke: FROM_THE_RAIL,
  error: executionErrorOf('title', 'pool'),
  breaks: 8,
  seed: 3,
};

describe('a map of breaks', () => {
  const shares: number[] = [];
  const map = breakMap(QUESTION, (share) => shares.push(share));

  it('has in each cell what breaking from there at that pace comes to', () => {
    expect(shares.at(-1)).toBe(1);
    expect(map.cells.length % map.columns).toBe(0);
    for (const cell of [map.cells[0]!, map.cells[map.best]!]) {
      const study = studyBreak({
        ...QUESTION,
        stroke: { ...QUESTION.stroke, from: cell.from, speed: cell.speed },
      });
      expect(cell.study.made).toEqual(study.made);
      const worths = study.played.map(({ foul, down, next }) => (foul || down.length === 0 ? 0 : next));
      expect(cell.worth).toBeCloseTo(worths.reduce((sum, each) => sum + each, 0) / worths.length, 12);
    }
  });

  it('is told roughly before it is told, as fewer breaks of each cell have it', () => {
    const question = { ...QUESTION, breaks: 10, rack: { ...QUESTION.rack, kind: 'nine' as const } };
    const told: (typeof map)[] = [];
    const whole = breakMap(question, (_, first) => first !== undefined && told.push(first));
    expect(told).toEqual([map]);
    expect(whole.cells.map(({ from }) => from)).toEqual(map.cells.map(({ from }) => from));
    expect(whole.cells[0]?.study.made).toEqual(
      studyBreak({
        ...question,
        stroke: { ...question.stroke, from: map.cells[0]!.from, speed: map.cells[0]!.speed },
      }).made,
    );
  });

  it('finds the best cell, and tells how many may be as good', () => {
    const worths = map.cells.map(({ worth }) => worth);
    expect(worths[map.best]).toBe(Math.max(...worths));
    expect(map.asGood).toBeGreaterThanOrEqual(0);
    expect(map.asGood).toBeLessThan(map.cells.length);
  });

  it('is better near the rail than from the middle with a tight rack, on both sides of the table', () => {
    const nearWing = (row: number) =>
      map.cells
        .slice(row * map.columns, (row + 1) * map.columns)
        .reduce((sum, { study }) => sum + study.near.in, 0) / map.columns;
    const rows = map.cells.length / map.columns;
    expect(nearWing(0)).toBeGreaterThan(nearWing((rows - 1) / 2) + 0.4);
    expect(nearWing(rows - 1)).toBeGreaterThan(nearWing((rows - 1) / 2) + 0.4);
  });

  it('of a break-off stays in the D, on the side from which it is played', () => {
    const { acrossAt, dRadius = 0 } = clothLinesOf(SNOOKER.preset);
    const from = { x: acrossAt, y: SNOOKER.width / 2 + 0.1 };
    for (const { from: at, speed } of mapStrokes(SNOOKER, 'reds', { from }).flat()) {
      expect(at.y).toBeGreaterThan(SNOOKER.width / 2);
      expect(at.y).toBeLessThan(SNOOKER.width / 2 + dRadius);
      expect(speed).toBeLessThan(4);
    }
  });
});
