import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { blankDrill } from '../drill/draft.ts';
import { BLANK_SHOT } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import { ball, POOL } from '../testing/balls.ts';
import { ledgerOf, type LedgerEntry } from './ledger.ts';
import { originOfTrouble } from './troubleOrigin.ts';

const entry = (shot: number, costs: Partial<LedgerEntry>): LedgerEntry => ({
  shot,
  ball: String(shot),
  pocket: 'foot-left',
  before: 0.5,
  after: 0.5,
  choice: 0,
  pot: 0,
  position: 0,
  kind: undefined,
  ...costs,
});

describe('the origin of trouble', () => {
  it('is the shot that gave away most, a pot that fell being nobody’s trouble', () => {
    const entries = [
      entry(1, { choice: 0.05, pot: -0.1, position: 0.1 }),
      entry(2, { choice: 0.02, pot: -0.05, position: 0.3 }),
      entry(3, { pot: 0.25 }),
    ];
    expect(originOfTrouble(entries)).toMatchObject({ entry: { shot: 2 }, lost: 0.32 });
  });

  it('is the miss itself where nothing before it cost more', () => {
    const entries = [entry(1, { choice: 0.05, position: 0.1 }), entry(2, { pot: 0.6 })];
    expect(originOfTrouble(entries)).toMatchObject({ entry: { shot: 2 }, lost: 0.6 });
    expect(originOfTrouble([])).toBeUndefined();
    expect(originOfTrouble([entry(1, { position: -0.1 })])).toBeUndefined();
  });

  it('of a cue ball that rolled behind another ball is the shot that sent it there', () => {
    const drill: Drill = { ...blankDrill('pool-9ft'), task: { kind: 'clear', order: { kind: 'rotation' } } };
    const balls = [ball('1', 2.3, 0.9), ball('2', 0.5, 0.35), ball('3', 1.3, 0.635)];
    const player = { table: POOL, error: executionErrorOf('match', 'pool') };
    // From above the 3 the 2 is hidden.
    const shots = [
      {
        ...BLANK_SHOT,
        ball: '1',
        pocket: 'foot-left' as const,
        potted: ['1'],
        landing: { x: 1.42, y: 0.678 },
      },
      { ...BLANK_SHOT, ball: '2' },
    ];
    const entries = [...ledgerOf(player, drill, balls, { x: 1.9, y: 0.8 }, shots)];
    expect(entries).toHaveLength(2);
    const origin = originOfTrouble(entries);
    expect(origin?.entry.shot).toBe(1);
    expect(origin?.entry.position).toBeGreaterThan(0.2);
  });
});
