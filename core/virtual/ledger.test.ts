import { describe, expect, it } from 'vitest';
import { blankDrill } from '../drill/draft.ts';
import { CUE_BALL } from '../drill/layout.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { executionErrorAt } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import { wilson } from '../statistics/wilson.ts';
import { buildTable } from '../table/table.ts';
import { carriesLedger, ledgerOf, type LedgerEntry } from './ledger.ts';
import { playClearance } from './playClearance.ts';

const table = buildTable('pool-9ft');
const { ballRadius, ballMass } = table.preset;
const ball = (id: string, x: number, y: number) => ({ id, x, y, radius: ballRadius, mass: ballMass });

/** A clearance of some balls in any order. */
const drill: Drill = {
  ...blankDrill('pool-9ft'),
  task: { kind: 'clear', order: { kind: 'any' } },
};
const shot = (change: Partial<LoggedShot>): LoggedShot => ({ ...BLANK_SHOT, ...change });
const playerAt = (rating: number) => ({ table, error: executionErrorAt(rating, 'pool') });
/** Works a ledger out; that it says beforehand whether there will be one is held each time. */
function work(
  rating: number,
  balls: readonly ReturnType<typeof ball>[],
  cue: { x: number; y: number } | undefined,
  shots: readonly LoggedShot[],
): LedgerEntry[] {
  const entries = [...ledgerOf(playerAt(rating), drill, balls, cue, shots)];
  expect(carriesLedger(drill, balls, cue, shots)).toBe(entries.length > 0);
  return entries;
}

describe('the ledger of an attempt', () => {
  // A ball in front of a corner pocket, the cue ball straight behind it.
  const hanger = ball('1', 0.12, 0.12);
  const behind = { x: 0.5, y: 0.5 };

  it('charges a miss of a certain ball to the pot, all of it', () => {
    const [entry, ...more] = work(90, [hanger], behind, [shot({ ball: '1', pocket: null })]);
    expect(more).toEqual([]);
    expect(entry?.before).toBeGreaterThan(0.95);
    expect(entry?.after).toBe(0);
    expect(entry?.choice).toBeCloseTo(0, 9);
    expect(entry?.pot).toBeCloseTo(entry?.before ?? NaN, 9);
  });

  it('of the last ball gives the chance of its pot, as playing it often does', () => {
    const far = ball('1', 2.2, 0.3);
    const cue = { x: 0.9, y: 0.7 };
    const [entry] = work(40, [far], cue, [shot({ ball: '1', potted: ['1'], landing: cue })]);
    let cleared = 0;
    const random = createRandom(9);
    const n = 150;
    for (let k = 0; k < n; k++) {
      const ends: Drill = { ...drill, faults: { ...drill.faults, missed: 'ends the attempt' } };
      const from = cueBallAt(table, cue, CUE_BALL);
      const { attempt } = playClearance({ ...playerAt(40), random }, ends, [far], from);
      if (attempt.over === 'cleared' && attempt.faults.length === 0) cleared++;
    }
    const other = wilson(cleared, n);
    // The plan's own figure comes from a hundred executions.
    expect(entry?.before).toBeGreaterThan(other.low - 0.08);
    expect(entry?.before).toBeLessThan(other.high + 0.08);
    // It fell: the pot won what was open, and nothing was left to position.
    expect(entry?.after).toBe(1);
    expect(entry?.position).toBeCloseTo(0, 9);
    expect(entry?.pot).toBeCloseTo((entry?.before ?? NaN) - 1, 9);
  });

  it('charges the choice of a hard ball, where an easy one was on, to the choice', () => {
    const hard = ball('2', 2.3, 1.1);
    const [entry] = work(30, [hanger, hard], behind, [shot({ ball: '2', pocket: 'middle-left' })]);
    expect(entry?.choice).toBeGreaterThan(0.05);
  });

  it('gives what is left after a shot as playing it out from there does', () => {
    const second = ball('2', 0.15, 1.12);
    const landing = { x: 0.6, y: 0.75 };
    const entries = work(60, [hanger, second], behind, [
      shot({ ball: '1', potted: ['1'], landing }),
      shot({ ball: '2', potted: ['2'], landing: { x: 0.5, y: 0.8 } }),
    ]);
    expect(entries.map((entry) => entry.shot)).toEqual([1, 2]);
    const ends: Drill = { ...drill, faults: { ...drill.faults, missed: 'ends the attempt' } };
    const random = createRandom(21);
    const n = 200;
    let cleared = 0;
    for (let k = 0; k < n; k++) {
      const from = cueBallAt(table, landing, CUE_BALL);
      const { attempt } = playClearance({ ...playerAt(60), random }, ends, [second], from);
      if (attempt.over === 'cleared' && attempt.faults.length === 0) cleared++;
    }
    const played = wilson(cleared, n);
    for (const share of [entries[0]?.after, entries[1]?.before]) {
      expect(share).toBeGreaterThan(played.low - 0.08);
      expect(share).toBeLessThan(played.high + 0.08);
    }
  });

  it('charges a bad place to the position', () => {
    // The second ball hangs too; the cue ball was left behind it, frozen in the far corner of the same cushion.
    const second = ball('2', 2.42, 0.12);
    const good = work(50, [hanger, second], behind, [
      shot({ ball: '1', potted: ['1'], landing: { x: 2.0, y: 0.5 } }),
    ])[0];
    const bad = work(50, [hanger, second], behind, [
      shot({ ball: '1', potted: ['1'], landing: { x: 0.06, y: 1.2 } }),
    ])[0];
    expect((bad?.position ?? 0) - (good?.position ?? 0)).toBeGreaterThan(0.1);
    expect(bad?.pot).toBeCloseTo(good?.pot ?? NaN, 9);
  });

  it('plans anew from where a shot is said to have moved a ball', () => {
    // The second ball is moved from a hanger to a place from which it is hard.
    const balls = [hanger, ball('2', table.length - 0.1, table.width - 0.1)];
    const landing = { x: 1.9, y: 0.9 };
    const potted = { ball: '1', potted: ['1'], landing };
    const far = { id: '2', x: 0.35, y: 0.63 };
    const still = work(60, balls, behind, [shot(potted), shot({ ball: '2' })]);
    const moved = work(60, balls, behind, [shot({ ...potted, moved: [far] }), shot({ ball: '2' })]);
    expect(still[1]?.before).toBeGreaterThan(0.85);
    expect(moved[1]?.before).toBeLessThan(0.8 * (still[1]?.before ?? NaN));
    // As it is from a table that was set so.
    const [set] = work(60, [ball('2', far.x, far.y)], landing, [shot({ ball: '2' })]);
    expect(moved[1]?.before).toBeCloseTo(set?.before ?? NaN, 1);
    // What the first shot cost is where it left the balls: the choice stays what it was.
    expect(moved[0]?.choice).toBeCloseTo(still[0]?.choice ?? NaN, 9);
    expect(moved[0]?.position).toBeGreaterThan(0.2);
  });

  it('begins with the second shot where the cue ball was in hand, and tells of it what one from there tells', () => {
    const balls = [ball('1', 0.12, 0.12), ball('2', 2.2, 0.4), ball('3', 1.4, 1.0)];
    const at = { x: 1.2, y: 0.5 };
    const after = { x: 0.7, y: 0.6 };
    const shots = [
      shot({ ball: '1', potted: ['1'], landing: at }),
      shot({ ball: '2', pocket: 'foot-right', potted: ['2'], landing: after }),
    ];
    const [second, ...more] = work(60, balls, undefined, shots);
    expect(more).toEqual([]);
    expect(second?.shot).toBe(2);
    const both = work(60, balls, { x: 0.5, y: 0.5 }, shots);
    expect(both.map((entry) => entry.shot)).toEqual([1, 2]);
    expect(second?.before).toBeCloseTo(both[1]?.before ?? NaN, 9);
    expect(second?.choice).toBeCloseTo(both[1]?.choice ?? NaN, 9);
  });

  it('ends where nobody marked the cue ball, and says nothing without a start', () => {
    const balls = [hanger, ball('2', 2.42, 0.12)];
    expect(work(50, balls, undefined, [shot({ ball: '1', potted: ['1'] })])).toEqual([]);
    expect(work(50, balls, behind, [shot({ ball: '1', potted: ['1'], landing: null })])).toEqual([]);
  });

  it('can be worked out from what a virtual player’s attempt is logged as', () => {
    const objects = [hanger, ball('2', 0.15, 1.12), ball('3', 1.27, 0.3)];
    const cue = cueBallAt(table, behind, CUE_BALL);
    const { shots } = playClearance(
      { ...playerAt(70), random: createRandom(4) },
      { ...drill, faults: { ...drill.faults, missed: 'ends the attempt' } },
      objects,
      cue,
    );
    const entries = work(
      70,
      objects,
      behind,
      shots.map((each) => shot({ ...each, potted: [...each.potted], broken: [...each.broken] })),
    );
    // One entry a shot, up to the first whose cue ball was not marked.
    const told = shots.findIndex(({ landing }) => landing === null);
    expect(entries.map((entry) => entry.shot)).toEqual(
      shots.slice(0, told < 0 ? shots.length : told + 1).map((_, i) => i + 1),
    );
  });
});
