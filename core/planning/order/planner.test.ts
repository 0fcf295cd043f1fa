import { describe, expect, it } from 'vitest';
import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { executed } from '../../player/execute.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { createRandom } from '../../random/random.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { createAimer } from '../../shot/aim.ts';
import { isOnTable } from '../../shot/outcome.ts';
import type { PocketName } from '../../table/pockets.ts';
import { ball, cueBall, POOL } from '../../testing/balls.ts';
import { thrownTable } from '../../testing/thrownTable.ts';
import { bestPotChance } from '../bestPot.ts';
import { chanceAt, placeOnGrid } from '../grid.ts';
import { potLines } from '../potOptions.ts';
import type { OrderGame } from './nodes.ts';
import { planOrder } from './orderPlan.ts';
import { OrderPlanner } from './planner.ts';
import { playOut } from './playOut.ts';
import { joinShotTables } from './joinTables.ts';
import { shareOfShots } from './orderShots.ts';
import { COARSE } from './tableDetail.ts';

const TEAM = executionErrorOf('team', 'pool');

/** Balls of which some have to go, in any order or in theirs. */
function gameOf(
  wanted: readonly string[],
  there: readonly string[],
  inOrder = false,
): OrderGame<readonly string[]> {
  const left = (state: readonly string[]) => wanted.filter((id) => state.includes(id));
  return {
    start: there,
    key: (state) => state.join(),
    onTable: (state) => state,
    legal: (state) => (inOrder ? left(state).slice(0, 1) : left(state)),
    isCleared: (state) => left(state).length === 0,
    after: (state, potted) => state.filter((id) => id !== potted),
  };
}

function planOf(
  balls: readonly BallOnTable[],
  wanted = balls.map(({ id }) => id),
  inOrder = false,
  error = TEAM,
) {
  const game = gameOf(
    wanted,
    balls.map(({ id }) => id),
    inOrder,
  );
  return { game, planner: OrderPlanner.of({ table: POOL, balls, game, error, detail: COARSE })! };
}

/** A stroke at one of two balls. */
interface Stroke {
  readonly shot: Shot;
  readonly one: BallOnTable;
  readonly other: BallOnTable;
  readonly pocket: PocketName;
}

/** The mean chance of the other ball after executions of a stroke at the one; nothing where the stroke fails. */
function meanWorth({ shot, one, other, pocket }: Stroke, executions: number, seed: number): number {
  const random = createRandom(seed);
  const cue = shot.balls.find(({ id }) => id === 'cue')!;
  let sum = 0;
  for (let k = 0; k < executions; k++) {
    const { rest } = simulate(executed(shot, TEAM, random), { events: false });
    const at = (id: string) => rest.find((each) => each.id === id)!;
    if (at(one.id).pocket !== pocket || !isOnTable(at('cue')) || !isOnTable(at(other.id))) continue;
    const left = { ...other, x: at(other.id).x, y: at(other.id).y };
    sum += bestPotChance(POOL, { ...cue, x: at('cue').x, y: at('cue').y }, [left], [left.id], TEAM);
  }
  return sum / executions;
}

describe('a plan for two balls', () => {
  /** The best of a dense grid of strokes: pots of the first ball, played, by the chance of the second from there. */
  function exhaustive(cue: BallOnTable, [first, second]: readonly BallOnTable[]): number {
    const strokes: (Stroke & { readonly worth: number })[] = [];
    for (const [one, other] of [
      [first!, second!],
      [second!, first!],
    ] as const) {
      for (const { pocket, acceptance } of potLines(POOL, [one, other], [one.id], acceptanceOf)) {
        const aimer = createAimer(POOL, cue, one);
        for (const speed of [0.7, 0.9, 1.2, 1.6, 2.1, 2.8]) {
          for (const height of [-0.4, -0.2, 0, 0.2, 0.4]) {
            const plain = { ball: 'cue', speed, tip: { side: 0, height }, elevation: 0 };
            const shot = aimer.shot([cue, one, other], plain, acceptance.middle);
            if (shot === undefined) continue;
            const stroke = { shot, one, other, pocket };
            strokes.push({ ...stroke, worth: meanWorth(stroke, 6, 1) });
          }
        }
      }
    }
    const close = strokes
      .sort((a, b) => b.worth - a.worth)
      .slice(0, 12)
      .map((stroke) => ({ ...stroke, worth: meanWorth(stroke, 60, 2) }))
      .sort((a, b) => b.worth - a.worth);
    // The winner's worth from executions that did not choose it.
    return close[0] === undefined ? 0 : meanWorth(close[0], FRESH, 3);
  }

  const FRESH = 200;

  it('plays as well as an exhaustive search over strokes, and says what it is worth', () => {
    const tables = [1, 2, 3, 4].map((seed) => {
      const { cue, balls } = thrownTable(2, seed);
      const { game, planner } = planOf(balls);
      const stroke = planner.choose(game.start, cue, balls)!;
      const [one, other] = [true, false].map((is) => balls.find(({ id }) => (id === stroke.ball) === is)!);
      const played = { shot: stroke.shot, one: one!, other: other!, pocket: stroke.pocket };
      const came = meanWorth(played, FRESH, 3);
      return { loss: exhaustive(cue, balls) - came, excess: planner.judged(game.start, stroke).value - came };
    });
    const mean = (of: (table: (typeof tables)[number]) => number) =>
      tables.reduce((sum, table) => sum + of(table), 0) / tables.length;
    // Half of the widest scatter of a share of 200.
    expect(mean(({ loss }) => loss)).toBeLessThan(0.02);
    expect(Math.max(...tables.map(({ loss }) => loss))).toBeLessThan(0.06);
    expect(Math.abs(mean(({ excess }) => excess))).toBeLessThan(0.05);
    expect(Math.max(...tables.map(({ excess }) => Math.abs(excess)))).toBeLessThan(0.1);
  });
});

describe('what a place is worth', () => {
  const { balls } = thrownTable(3, 11);

  it('is never more for a ball that lies there besides', () => {
    const plain = planOf(balls);
    const extra = ball('x', 1.25, 0.62);
    const hindered = planOf(
      [...balls, extra],
      balls.map(({ id }) => id),
    );
    const [free, crowded] = [plain, hindered].map(({ game, planner }) => planner.mapOf(game.start)!.chances);
    expect(crowded!.every((value, i) => value <= free![i]! + 1e-6)).toBe(true);
    expect(crowded!.some((value, i) => value < free![i]! - 0.05)).toBe(true);
  });

  it('is more to a better player, nearly everywhere and on the whole', () => {
    const maps = (['regular', 'team', 'title'] as const).map((level) => {
      const { game, planner } = planOf(balls, undefined, false, executionErrorOf(level, 'pool'));
      return planner.mapOf(game.start)!.chances;
    });
    const mean = (values: Float32Array) => values.reduce((sum, value) => sum + value, 0) / values.length;
    expect(mean(maps[0]!)).toBeLessThan(mean(maps[1]!));
    expect(mean(maps[1]!)).toBeLessThan(mean(maps[2]!));
    const worse = maps[2]!.filter((value, i) => value < maps[1]![i]! - 0.05).length;
    expect(worse / maps[2]!.length).toBeLessThan(0.02);
  });

  it('is the same on the table in the mirror', () => {
    const mirrored = balls.map((each) => ({ ...each, y: POOL.width - each.y }));
    const [own, other] = [balls, mirrored].map((each) => {
      const { game, planner } = planOf(each);
      return planner.mapOf(game.start)!;
    });
    let off = 0;
    for (let i = 0; i < own!.chances.length; i++) {
      const { x, y } = placeOnGrid(own!, i);
      off += Math.abs(own!.chances[i]! - chanceAt(other!, { x, y: POOL.width - y }));
    }
    expect(off / own!.chances.length).toBeLessThan(0.01);
  });
});

describe('a plan for a table', () => {
  it('takes the one ball in order that can be reached, and finds nothing where its order is blocked', () => {
    // The second ball lies frozen behind a wall of two that have to wait.
    const balls = [
      ball('1', 1.6, 0.6),
      ball('2', 0.0286, 0.635),
      ball('3', 0.0858, 0.635),
      ball('4', 0.062, 0.688),
      ball('5', 0.062, 0.582),
    ];
    const wanted = ['1', '2'];
    const { game, planner } = planOf(balls, wanted, true);
    const cue = cueBall(1.2, 0.5);
    expect(planner.choose(game.start, cue, balls)?.ball).toBe('1');
    expect(planner.mapOf(game.start)!.chances.every((value) => value < 0.05)).toBe(true);
    const fromThere = balls.filter(({ id }) => id !== '1');
    expect(planner.choose(game.after(game.start, '1', 'foot-left'), cue, fromThere)).toBeUndefined();
  });

  it('proposes no stroke of which every execution breaks a condition', () => {
    const { cue, balls } = thrownTable(2, 1);
    const ids = balls.map(({ id }) => id);
    const asked = { table: POOL, balls, game: gameOf(ids, ids), error: TEAM, detail: COARSE };
    expect(OrderPlanner.of(asked)!.choose(ids, cue, balls)).toBeDefined();
    expect(OrderPlanner.of({ ...asked, allowed: () => false })!.choose(ids, cue, balls)).toBeUndefined();
  });

  it('has for its key ball the one that another in its place costs most', () => {
    const { cue, balls } = thrownTable(4, 33);
    const ids = balls.map(({ id }) => id);
    const question = { table: POOL, balls, game: gameOf(ids, ids), error: TEAM, detail: COARSE };
    const answer = planOrder({ ...question, cue, seed: 5, plays: 1 });
    if (answer.kind !== 'plan') throw new Error(answer.kind);
    const { keyBall, steps } = answer.plan;
    const costs = steps.map(({ alternative }) => alternative?.costs ?? 0);
    const most = Math.max(...costs);
    expect(most).toBeGreaterThan(0.02);
    expect(keyBall).toEqual({
      step: costs.indexOf(most),
      ball: steps[costs.indexOf(most)]?.ball,
      instead: steps[costs.indexOf(most)]?.alternative?.ball,
      costs: most,
    });
  });

  it('claims what fresh play-outs come to', () => {
    let [claimed, cleared, plays] = [0, 0, 0];
    for (const seed of [21, 22, 23, 24]) {
      const { cue, balls } = thrownTable(4, seed);
      const { game, planner } = planOf(balls);
      const question = { table: POOL, balls, game, error: TEAM, detail: COARSE };
      const random = createRandom(seed);
      const stroke = planner.choose(game.start, cue, balls);
      const claim = stroke === undefined ? 0 : planner.judged(game.start, stroke).value;
      for (let k = 0; k < 8; k++) {
        claimed += claim;
        const { end } = playOut(question, planner, { state: game.start, cue, balls }, random.fork(k));
        if (end === 'cleared') cleared++;
        plays++;
      }
    }
    // Four standard errors of the share, and five points.
    expect(Math.abs(claimed - cleared) / plays).toBeLessThan(4 * (0.4 / Math.sqrt(plays)) + 0.05);
    expect(cleared / plays).toBeGreaterThan(0.6);
  });

  it('has its steps in order, the same from the same seed, and a place for a cue ball in hand', () => {
    const { balls } = thrownTable(4, 31);
    const ids = balls.map(({ id }) => id);
    const request = {
      table: POOL,
      balls,
      game: gameOf(ids, ids, true),
      error: TEAM,
      detail: COARSE,
      cue: undefined,
      seed: 5,
      plays: 10,
    };
    const answer = planOrder(request);
    if (answer.kind !== 'plan') throw new Error(answer.kind);
    const { plan } = answer;
    expect(plan.steps.map(({ ball: id }) => id)).toEqual(ids);
    expect(plan.complete).toBe(true);
    expect(Object.values(plan.ends).reduce((sum, n) => sum + n, 0)).toBe(10);
    expect(plan.steps.every(({ chance, value }) => value <= chance + 1e-9)).toBe(true);
    // One ball is on at a time: none could go in another's place.
    expect(plan.keyBall).toBeUndefined();
    let from = plan.cue;
    for (const { landing, travel } of plan.steps) {
      // No way is shorter than the straight one.
      expect(travel).toBeGreaterThan(Math.hypot(landing.x - from.x, landing.y - from.y) - 0.001);
      from = landing;
    }
    expect(planOrder(request)).toEqual(answer);
    // Shots worked out elsewhere make the same plan.
    const shots = [1, 0].map((part) => shareOfShots(request, { part, of: 2 })!);
    expect(planOrder({ ...request, shots: joinShotTables(shots) })).toEqual(answer);
    // Held to two places it takes one of them.
    const places = [
      { x: 0.4, y: 0.4 },
      { x: 0.4, y: 0.9 },
    ];
    const held = planOrder({ ...request, places, plays: 1 });
    if (held.kind !== 'plan') throw new Error(held.kind);
    expect(places).toContainEqual(held.plan.cue);
  });
});
