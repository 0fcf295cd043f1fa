import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { atStage } from '../drill/stage.ts';
import { ballsOfSetUp, setUp } from '../drill/setUp.ts';
import { blankDrill } from '../drill/draft.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { drillSchema, type Drill } from '../records/drill.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { POOL } from '../testing/balls.ts';
import { thrownTable } from '../testing/thrownTable.ts';
import { clearancePlans } from './clearancePlan.ts';
import { playClearance } from './playClearance.ts';
import type { VirtualPlayer } from './player.ts';

const CLEARING: Drill = { ...blankDrill('pool-9ft'), task: { kind: 'clear', order: { kind: 'any' } } };
const BREAK_THE_ICE = drillSchema.validateSync(
  JSON.parse(readFileSync('library/break-the-ice.drill.json', 'utf8')),
);
const playerWho = (looksAhead: number | undefined, seed = 1): VirtualPlayer => ({
  table: POOL,
  error: executionErrorOf('team', 'pool'),
  random: createRandom(77).fork(seed),
  looksAhead,
});

const stateOf = (balls: readonly BallOnTable[]) => ({
  onTable: balls.map(({ id }) => id),
  last: undefined,
  suit: undefined,
  step: 0,
  lastPocket: undefined,
});

describe('a virtual player at a clearance', () => {
  it('of the same hand clears more the farther it looks', () => {
    const [pot, one, all] = [0, 1, Infinity].map((looksAhead) => {
      let cleared = 0;
      for (const table of [1, 2, 3, 4]) {
        const { cue, balls } = thrownTable(6, table);
        const plans = clearancePlans(playerWho(looksAhead), CLEARING);
        for (let seed = 0; seed < 8; seed++) {
          const player = playerWho(looksAhead, seed);
          if (playClearance(player, CLEARING, balls, cue, plans).attempt.over === 'cleared') cleared++;
        }
      }
      return cleared;
    });
    // Of 32, by the same luck.
    expect(one! - pot!).toBeGreaterThan(3);
    expect(all!).toBeGreaterThan(one! - 2);
    expect(all! - pot!).toBeGreaterThan(4);
  });

  it('plans nothing who looks one ball ahead, but for pots by a cushion, which nobody chooses at a glance', () => {
    const { balls } = thrownTable(3, 1);
    expect(clearancePlans(playerWho(undefined), CLEARING)(stateOf(balls), balls)).toBeUndefined();
    expect(clearancePlans(playerWho(2), CLEARING)(stateOf(balls), balls)).toBeDefined();
    const kicked: Drill = { ...CLEARING, conditions: ['cushion first'] };
    const [one] = balls;
    expect(clearancePlans(playerWho(0), kicked)(stateOf([one!]), [one!])).toBeDefined();
  });

  it('of some of the balls plays one of these, though it has planned them all before', () => {
    const { cue, balls } = thrownTable(3, 1);
    const plans = clearancePlans(playerWho(Infinity), CLEARING);
    const stroke = plans(stateOf(balls), balls)!.choose(stateOf(balls), cue)!;
    const left = balls.filter(({ id }) => id !== stroke.ball);
    const next = plans(stateOf(left), left)!.choose(stateOf(left), cue);
    expect(next?.ball).not.toBe(stroke.ball);
  });

  it('puts a cue ball in hand where the drill allows it', () => {
    const { balls } = thrownTable(3, 2);
    const plan = clearancePlans(playerWho(Infinity), CLEARING)(stateOf(balls), balls)!;
    const area = { from: { along: 0.1, across: 0.1 }, to: { along: 0.2, across: 0.4 } };
    const { x, y } = plan.place({ start: 'in the area', area })!;
    expect(x / POOL.length).toBeGreaterThanOrEqual(0.1);
    expect(x / POOL.length).toBeLessThanOrEqual(0.2);
    expect(y / POOL.width).toBeGreaterThanOrEqual(0.1);
    expect(y / POOL.width).toBeLessThanOrEqual(0.4);
  });

  it('opens a cluster while another ball waits, not when it is the last that is left', () => {
    const drill = atStage(BREAK_THE_ICE, 1);
    const player: VirtualPlayer = { ...playerWho(Infinity), error: executionErrorOf('title', 'pool') };
    const plans = clearancePlans(player, drill);
    const balls = ballsOfSetUp(setUp(drill, POOL.preset, 1));
    let cleared = 0;
    for (let seed = 0; seed < 10; seed++) {
      const random = createRandom(50).fork(seed);
      const { attempt } = playClearance({ ...player, random }, drill, balls, undefined, plans);
      if (attempt.over === 'cleared') cleared++;
    }
    // Without opening it on purpose one in four.
    expect(cleared).toBeGreaterThanOrEqual(5);
  });
});
