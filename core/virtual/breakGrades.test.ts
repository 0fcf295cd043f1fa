import { describe, expect, it } from 'vitest';
import { buildTable } from '../table/table.ts';
import { ball, cueBall } from '../testing/balls.ts';
import { gradeBreak } from './breakGrades.ts';

describe('a break on a pool table', () => {
  const table = buildTable('pool-9ft');
  /** Two balls near pockets of their own, nothing in the way. */
  const easy = [ball('1', 2.3, 0.2), ball('9', 2.3, 1.07)];

  it('is controlled when the next ball is easy from where the cue ball rests, whatever else lies there', () => {
    const near = gradeBreak(table, 'nine', cueBall(1.9, 0.4), easy);
    expect(near.control).toBe(3);
    // In rotation the lowest is next: an easy nine is no help where the one is far and thin.
    const far = gradeBreak(table, 'nine', cueBall(2.45, 0.15), [ball('1', 0.4, 0.7), ball('9', 2.3, 1.07)]);
    expect(far.control).toBeLessThan(near.control);
    // Any ball is next where any may be potted.
    const any = gradeBreak(table, 'eight', cueBall(1.9, 0.9), [ball('1', 0.4, 0.7), ball('9', 2.3, 1.07)]);
    expect(any.control).toBe(3);
  });

  it('has no control left when the cue ball is lost, and the layout still counts', () => {
    const grades = gradeBreak(table, 'nine', undefined, easy);
    expect(grades.control).toBe(0);
    expect(grades.layout).toBeGreaterThan(0);
  });

  it('leaves a better layout where balls lie open than where they are clustered', () => {
    const open = Array.from({ length: 4 }, (_, i) =>
      ball(String(i + 1), 0.5 + 0.45 * i, i % 2 === 0 ? 0.2 : 1.05),
    );
    const clustered = Array.from({ length: 4 }, (_, i) => ball(String(i + 1), 1.27 + 0.058 * i, 0.635));
    const at = cueBall(0.4, 0.635);
    expect(gradeBreak(table, 'nine', at, open).layout).toBeGreaterThan(
      gradeBreak(table, 'nine', at, clustered).layout,
    );
  });
});

describe('a break-off at snooker', () => {
  const table = buildTable('snooker-12ft');
  const reds = [ball('red 1', 2.7, 0.9, table), ball('red 2', 2.76, 0.86, table)];

  it('is back the nearer the cue ball is to the baulk cushion', () => {
    const control = (x: number) => gradeBreak(table, 'reds', cueBall(x, 0.5, table), reds).control;
    expect([0.06, 0.4, 0.7, 1.2].map(control)).toEqual([3, 2, 1, 0]);
  });

  it('leaves nothing where no red can be potted, and something where one hangs over a pocket', () => {
    const cue = cueBall(0.1, 0.5, table);
    const hanging = [...reds, ball('red 3', 3.5, 1.7, table)];
    expect(gradeBreak(table, 'reds', cue, reds).layout).toBeGreaterThan(
      gradeBreak(table, 'reds', cue, hanging).layout,
    );
  });

  it('is worth nothing when the cue ball goes in', () => {
    expect(gradeBreak(table, 'reds', undefined, reds)).toEqual({ control: 0, layout: 0 });
  });
});
