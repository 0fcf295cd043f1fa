import { describe, expect, it } from 'vitest';
import { drillSchema } from '../records/drill.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { layOut } from './layout.ts';
import { drillFromOrder } from './orderDrill.ts';
import { problemsOf } from './problems.ts';

describe('a drill made of a table that was planned', () => {
  const balls = Array.from({ length: 9 }, (_, i) => ball(String(i + 1), 0.5 + 0.2 * i, 0.3 + 0.1 * (i % 5)));
  const cleared = { table: POOL, balls, order: { kind: 'any' }, conditions: ['no cushion'] } as const;
  const plan = balls.map(({ id }) => ({ ball: id, pocket: 'foot-left' as const }));
  const make = (cue: ReturnType<typeof cueBall> | undefined) =>
    drillFromOrder({ ...cleared, conditions: [...cleared.conditions], cue }, plan, () => 'the far corner');

  it('sets every ball within half a millimetre of where it lay, and asks for what was asked', () => {
    const drill = make(cueBall(1.2345, 0.9876));
    const set = new Map(layOut(drill, POOL.preset).map(({ id, x, y }) => [id, { x, y }]));
    for (const each of [...balls, cueBall(1.2345, 0.9876)]) {
      const at = set.get(each.id)!;
      expect(Math.hypot(at.x - each.x, at.y - each.y)).toBeLessThan(0.0005);
    }
    expect(drill.task).toEqual({ kind: 'clear', order: { kind: 'any' } });
    expect(drill.conditions).toEqual(['no cushion']);
    expect(drill.advice).toHaveLength(3);
    expect(drill.advice.join(' ').match(/the \d to the far corner/g)).toHaveLength(9);
  });

  it('can be stored as it is, with the cue ball in hand as well', () => {
    for (const drill of [make(cueBall(1.9, 1)), make(undefined)]) {
      expect(drillSchema.validateSync(drill)).toEqual(drill);
      expect(problemsOf(drill)).toEqual([]);
    }
    expect(make(undefined).cueBall.start).toBe('in hand');
  });
});
