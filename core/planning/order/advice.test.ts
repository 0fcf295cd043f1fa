import { expect, it } from 'vitest';
import { executionErrorOf } from '../../player/levels.ts';
import { ball, cueBall, POOL } from '../../testing/balls.ts';
import { adviceAt, costOfChoice } from './advice.ts';
import { anyOrder } from './anyOrder.ts';
import { OrderPlanner } from './planner.ts';
import { COARSE } from './tableDetail.ts';

it('has each ball that can be played once, the best first, and costs a choice by what it is behind', () => {
  const balls = [ball('1', 0.12, 0.12), ball('2', 2.3, 1.22), ball('3', 1.8, 0.4)];
  const cue = cueBall(0.5, 0.5);
  const game = anyOrder(balls.map(({ id }) => id));
  const error = executionErrorOf('team', 'pool');
  const planner = OrderPlanner.of({ table: POOL, balls, game, error, detail: COARSE })!;
  const advice = adviceAt(planner, game.start, cue, balls);
  const named = advice.map((each) => each.ball);
  expect(new Set(named).size).toBe(named.length);
  const values = advice.map(({ value }) => value);
  expect(values).toEqual([...values].sort((a, b) => b - a));
  expect(costOfChoice(advice, named[0]!)).toBe(0);
  for (const { ball: id, value } of advice)
    expect(costOfChoice(advice, id)).toBeCloseTo(values[0]! - value, 12);
  expect(costOfChoice(advice, '7')).toBeUndefined();
  expect(costOfChoice([], '1')).toBeUndefined();
});
