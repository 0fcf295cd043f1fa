import { describe, expect, it } from 'vitest';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import { POOL } from '../testing/balls.ts';
import { drillFromOrder } from '../drill/orderDrill.ts';
import { ball, cueBall } from '../testing/balls.ts';
import { planMoments } from './planMoments.ts';

const BALLS = [ball('1', 1.5, 0.7), ball('2', 2.1, 0.9), ball('3', 1.9, 0.35)];
const drill = (cue = true) =>
  drillFromOrder(
    {
      table: POOL,
      balls: BALLS,
      cue: cue ? cueBall(1, 0.5) : undefined,
      order: { kind: 'any' },
      conditions: [],
    },
    [],
    (pocket) => pocket,
  );
const log = (shots: readonly Partial<LoggedShot>[]) => ({
  seed: null,
  set: null,
  places: null,
  shots: shots.map((shot) => ({ ...BLANK_SHOT, ...shot })),
});

describe('the moments of a clearance at which a plan is asked', () => {
  it('are before each shot and after the last, with the cue ball where it was marked', () => {
    const landing = { x: 1.2, y: 0.6 };
    const shots = [
      { ball: '2', potted: ['2'], landing },
      { ball: '1', potted: ['1'] },
    ];
    const moments = planMoments(drill(), POOL, log(shots), 1);
    expect(moments.map(({ state }) => [...state.onTable])).toEqual([['1', '2', '3'], ['1', '3'], ['3']]);
    expect(moments.map(({ balls }) => balls.map(({ id }) => id))).toEqual([
      ['1', '2', '3'],
      ['1', '3'],
      ['3'],
    ]);
    expect(moments.map(({ played }) => played)).toEqual(['2', '1', undefined]);
    expect(moments[0]?.cue).toMatchObject({ id: 'cue' });
    expect(moments[1]?.cue).toMatchObject(landing);
    expect(moments[2]?.cue).toBeUndefined();
  });

  it('have balls where a shot is said to have moved them', () => {
    const moved = [{ id: '3', x: 0.5, y: 0.4 }];
    const moments = planMoments(drill(), POOL, log([{ ball: '2', potted: ['2'], moved }]), 1);
    expect(moments[0]?.balls.at(-1)?.x).toBeCloseTo(1.9, 3);
    expect(moments[1]?.balls.at(-1)).toMatchObject({ id: '3', x: 0.5, y: 0.4 });
  });

  it('have only the balls with which the attempt began', () => {
    const [moment] = planMoments(drill(), POOL, { ...log([]), set: ['3', '1'] }, 1);
    expect(moment?.balls.map(({ id }) => id)).toEqual(['1', '3']);
    expect([...(moment?.state.onTable ?? [])].sort()).toEqual(['1', '3']);
  });

  it('end with the attempt, and begin in hand where the drill gives no place', () => {
    const moments = planMoments(drill(false), POOL, log([{ ball: '1', potted: [] }]), 1);
    expect(moments).toHaveLength(1);
    expect(moments[0]?.cue).toBe('in hand');
  });
});
