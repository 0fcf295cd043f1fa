import { describe, expect, it } from 'vitest';
import { blankDrill } from '../drill/draft.ts';
import { executionErrorOf } from '../player/levels.ts';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { ledgerOf, ledgerPlanner, type LedgerEntry } from './ledger.ts';
import { ledgerByKind, ledgerByMonth, ledgerSum } from './ledgerSums.ts';
import { potKindOf } from './potKind.ts';

const entry = (costs: Partial<LedgerEntry>): LedgerEntry => ({
  shot: 1,
  ball: '1',
  pocket: 'foot-left',
  before: 0.5,
  after: 0.5,
  choice: 0,
  pot: 0,
  position: 0,
  kind: 'cut',
  ...costs,
});

describe('what clearances gave away', () => {
  const some = [
    entry({ choice: 0.1, pot: -0.2, position: 0.05, kind: 'long' }),
    entry({ choice: -0.01, pot: 0.4, kind: 'long' }),
    entry({ position: 0.1, kind: 'straight' }),
    entry({ kind: undefined, choice: 0.3 }),
  ];

  it('is summed without what other shots won', () => {
    const { shots, choice, pot, position } = ledgerSum(some);
    expect(shots).toBe(4);
    expect([choice, pot, position].map((lost) => Math.round(100 * lost))).toEqual([40, 40, 15]);
  });

  it('is split by the kind of pot, the dearest a shot first, what is not known left out', () => {
    expect(ledgerByKind(some).map(({ kind, shots }) => [kind, shots])).toEqual([
      ['long', 2],
      ['straight', 1],
    ]);
    expect(ledgerByKind([])).toEqual([]);
  });

  it('is split by months, the earliest first, and comes to the same altogether', () => {
    const months = ledgerByMonth([
      { month: '2026-11', entries: some.slice(0, 2) },
      { month: '2026-09', entries: some.slice(2, 3) },
      { month: '2026-11', entries: some.slice(3) },
    ]);
    expect(months.map(({ month, attempts, shots }) => [month, attempts, shots])).toEqual([
      ['2026-09', 1, 1],
      ['2026-11', 2, 3],
    ]);
    expect(months.reduce((sum, { choice }) => sum + choice, 0)).toBeCloseTo(ledgerSum(some).choice, 12);
  });
});

describe('the kind of a pot', () => {
  const kindFrom = (x: number, y: number) =>
    potKindOf(POOL, cueBall(x, y), ball('1', 2.24, 0.97), 'foot-left');

  it('goes by the cut, and by the way of both balls', () => {
    // The ball lies on the line through the corner at 45 degrees, 0.42 m before it.
    expect(kindFrom(1.74, 0.47)).toBe('straight');
    expect(kindFrom(2.24, 0.3)).toBe('cut');
    expect(kindFrom(2.4, 0.6)).toBe('thin');
    expect(kindFrom(0.6, 0.2)).toBe('long');
  });

  it('is told with each shot of a ledger, and a plan that is there already tells the same', () => {
    const drill: Drill = { ...blankDrill('pool-9ft'), task: { kind: 'clear', order: { kind: 'any' } } };
    const balls = [ball('1', 2.24, 0.97), ball('2', 0.3, 0.3)];
    const player = { table: POOL, error: executionErrorOf('team', 'pool') };
    const shot = (change: Partial<LoggedShot>): LoggedShot => ({ ...BLANK_SHOT, ...change });
    const shots = [
      shot({ ball: '1', pocket: 'foot-left', potted: ['1'], landing: { x: 1.2, y: 0.6 } }),
      shot({ ball: '2', pocket: 'head-right', potted: ['2'], landing: { x: 0.6, y: 0.5 } }),
    ];
    const cue = { x: 1.74, y: 0.47 };
    const entries = [...ledgerOf(player, drill, balls, cue, shots)];
    expect(entries.map(({ kind }) => kind)).toEqual(['straight', 'cut']);
    const planner = ledgerPlanner(player, drill, balls);
    expect([...ledgerOf(player, drill, balls, cue, shots, planner)]).toEqual(entries);
  });
});
