import { describe, expect, it } from 'vitest';
import { toRadians, wrapAngle } from '../math/angle.ts';
import { bearing, distance } from '../math/point.ts';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { aimToPot } from '../shot/aim.ts';
import { contactFor } from '../shot/cut.ts';
import { ball, cueBall, POOL, SMALL } from '../testing/balls.ts';
import { aftermathOf, assess, leftOnTable, type Aims, type Aftermath } from './aftermath.ts';
import { gridOver } from './grid.ts';
import { missSides } from './missSide.ts';
import { potLines, roughChance, viewOf } from './potOptions.ts';
import { ribbonOf } from './ribbon.ts';
import { paceWindow, type Stop } from './stops.ts';
import { chanceAt } from './grid.ts';
import { cueBallAt, windowAmong } from './windowAmong.ts';

const team = executionErrorOf('team', 'pool');
const centre = { ball: 'cue', speed: 2, tip: { side: 0, height: 0 }, elevation: 0 };

function aimsOf(balls: readonly BallOnTable[], next: readonly string[]): Aims {
  const others = balls.filter(({ id }) => id !== 'cue' && id !== '1');
  const lines = potLines(POOL, others, next, acceptanceOf);
  return {
    task: { object: '1', pocket: 'foot-left' },
    wanted: { balls: next },
    window: windowAmong(POOL, lines, others, team, { step: 0.05 }),
    error: team,
    confidence: 0.7,
  };
}

function solved(balls: readonly BallOnTable[], over: Partial<typeof centre> = {}): Shot {
  const aim = aimToPot(POOL, balls, { ...centre, ...over }, '1', 'foot-left');
  if (aim.kind !== 'pots') throw new Error(aim.reason);
  return aim.shot;
}

describe('the place of a hit', () => {
  it('is one sum of both radii behind the ball, for unlike balls too', () => {
    for (const table of [POOL, SMALL]) {
      const { cueBallRadius, ballRadius } = table.preset;
      const object = { x: 1, y: 0.5 };
      const contact = contactFor(object, toRadians(30), cueBallRadius, ballRadius);
      expect(bearing(contact, object)).toBeCloseTo(toRadians(30), 12);
      // Balls of unlike size touch above or below their middles: a little nearer in plan than the radii add up to.
      const reach = Math.sqrt((cueBallRadius + ballRadius) ** 2 - (cueBallRadius - ballRadius) ** 2);
      expect(distance(contact, object)).toBeCloseTo(reach, 12);
    }
  });
});

describe('a grid over the table', () => {
  it('reaches from cushion to cushion in steps no wider than asked, and gives back what it was given', () => {
    const grid = gridOver(POOL, 0.1, ({ x, y }) => x + 10 * y);
    expect(grid.dx).toBeLessThanOrEqual(0.1);
    expect(grid.x0).toBeCloseTo(POOL.preset.cueBallRadius, 12);
    expect(grid.x0 + (grid.columns - 1) * grid.dx).toBeCloseTo(POOL.length - POOL.preset.cueBallRadius, 9);
    for (const place of [
      { x: 0.4, y: 0.3 },
      { x: 2.1, y: 1.1 },
    ]) {
      expect(chanceAt(grid, place)).toBeCloseTo(place.x + 10 * place.y, 4);
    }
  });
});

describe('the rough chance of a pot', () => {
  it('sorts pots as the real one does, and is never short of it by more than the window allows for', () => {
    const object = ball('2', 1.7, 0.85);
    const [line] = potLines(POOL, [object], ['2'], acceptanceOf, ['foot-left']);
    const random = createRandom(3);
    const spread = toRadians(team.directionDeg);
    for (let k = 0; k < 200; k++) {
      const cue = cueBallAt(POOL, { x: 0.1 + 1.5 * random.uniform(), y: 0.1 + 1.05 * random.uniform() });
      const view = viewOf(POOL, cue, line!, [], team);
      if (view.why === 'on') expect(view.chance - roughChance(cue, line!, spread)).toBeLessThan(0.08);
    }
    expect(roughChance(cueBallAt(POOL, { x: 2.2, y: 1.1 }), line!, spread)).toBe(0);
  });
});

describe('what a stroke leaves', () => {
  const balls = [cueBall(1.1, 0.55), ball('1', 1.85, 0.9), ball('2', 1.5, 0.25)];
  const aims = aimsOf(balls, ['2']);

  it('is nothing after a miss or an in-off, and the window’s chance after a clean pot', () => {
    const shot = solved(balls);
    const potted = aftermathOf(shot, aims);
    expect(potted).toMatchObject({ outcome: 'potted', disturbed: false });
    expect(potted.next).toBeCloseTo(chanceAt(aims.window, potted.landing), 12);
    const missed = aftermathOf(
      { ...shot, strike: { ...shot.strike, direction: shot.strike.direction + 0.02 } },
      aims,
    );
    expect(missed).toMatchObject({ outcome: 'missed', next: 0 });
    expect(() => aftermathOf(shot, { ...aims, task: { object: '9', pocket: 'foot-left' } })).toThrow(
      RangeError,
    );
  });

  it('is looked at anew when another ball was moved', () => {
    // A ball on the cue ball's way after the hit: it is pushed, and the window of before says nothing any more.
    const shot = solved(balls);
    const { paths, events, duration } = simulate(shot, { paths: true });
    const hit = events.find(({ kind }) => kind === 'ball-ball')!.t;
    const on = positionAt(paths![0]!, hit + 0.4 * (duration - hit));
    const between = ball('7', on.x, on.y);
    const pushed = aftermathOf({ ...shot, balls: [...balls, between] }, aims);
    expect(pushed).toMatchObject({ outcome: 'potted', disturbed: true });
  });

  it('keeps the balls that are still on the table, where they lie', () => {
    const shot = solved(balls);
    const { rest } = simulate(shot);
    const left = leftOnTable(balls, rest);
    expect(left.map(({ id }) => id)).toEqual(['cue', '2']);
    expect(left[0]).toMatchObject({ x: rest[0]!.x, y: rest[0]!.y, radius: balls[0]!.radius });
  });

  it('adds up: shares of outcomes, and a mean with its standard error', () => {
    const at = (outcome: Aftermath['outcome'], next: number, disturbed = false): Aftermath => ({
      outcome,
      landing: { x: 0, y: 0 },
      next,
      disturbed,
    });
    const sum = assess([at('potted', 0.9), at('potted', 0.5, true), at('missed', 0), at('in-off', 0)], 0.7);
    expect(sum).toMatchObject({ executions: 4, chance: 0.35 });
    expect([sum.potted, sum.inOff, sum.on, sum.disturbed].map(({ share }) => share)).toEqual([
      0.5, 0.25, 0.25, 0.25,
    ]);
    // Variance of 0.9, 0.5, 0, 0 with n − 1: 0.19; over four its root is 0.218.
    expect(sum.chanceError).toBeCloseTo(Math.sqrt(0.57 / 3 / 4), 12);
  });
});

describe('the ribbon of stops', () => {
  const balls = [cueBall(1.1, 0.55), ball('1', 1.85, 0.9), ball('2', 1.5, 0.25), ball('3', 0.6, 1.0)];
  const objects = balls.slice(2);
  const shot = solved(balls, { tip: { side: 0, height: -0.2 } });
  const aims = aimsOf(balls, ['2', '3']);
  const lines = potLines(POOL, objects, ['2', '3'], acceptanceOf);
  const { stops } = paceWindow(shot, aims);

  it('goes without gaps from the softest pace to the hardest', () => {
    const ribbon = ribbonOf(POOL, stops, lines, objects, aims);
    expect(ribbon[0]!.from).toBeCloseTo(0.4, 9);
    expect(ribbon.at(-1)!.to).toBeCloseTo(1.8, 9);
    ribbon.forEach((piece, i) => {
      if (i > 0) expect(piece.state).not.toBe(ribbon[i - 1]!.state);
      expect(piece.to).toBeGreaterThanOrEqual(piece.from);
    });
  });

  it('tells the ball that is named first from another, the rest from the hand, and hidden from off', () => {
    const stopAt = (x: number, y: number, state: Stop['state'] = 'on'): Stop => ({
      factor: 1,
      at: { x, y },
      state,
      next: 0.8,
    });
    const stateOf = (stop: Stop, of = aims, on = lines, among: readonly BallOnTable[] = objects) =>
      ribbonOf(POOL, [stop], on, among, of)[0]!.state;
    const near2 = stopAt(1.3, 0.45);
    expect(stateOf(near2)).toBe('on');
    const on2 = lines.filter((line) => line.ball === '2');
    expect(stateOf(near2, { ...aims, wanted: { balls: ['3', '2'] } }, on2)).toBe('backup ball');
    expect(stateOf(stopAt(1, 1, 'in-off'))).toBe('in-off');
    expect(stateOf(stopAt(1, 1, 'missed'))).toBe('missed');
    expect(stateOf(near2, { ...aims, confidence: 1.01 })).toBe('off');
    const only2 = potLines(POOL, [objects[0]!], ['2'], acceptanceOf, ['foot-right']);
    const wall = [objects[0]!, ball('8', 1.08, 0.37), ball('9', 1.06, 0.44)];
    expect(stateOf(stopAt(0.8, 0.5), aims, only2, wall)).toBe('hidden');
  });
});

describe('the safe side to miss', () => {
  const balls = [cueBall(0.6, 0.35), ball('1', 1.9, 0.85)];
  const aims = aimsOf(balls, ['1']);
  const novice = executionErrorOf('first season', 'pool');

  it('tells a thick miss from a thin one by where the ball goes, and what each leaves by the pots that are there', () => {
    const shot = solved(balls);
    const [cue, object] = balls;
    if (cue === undefined || object === undefined) throw new Error('two balls');
    // Of a ball that is met thicker the way turns towards the line from cue ball to ball, of a thinner one away from it.
    const along = bearing(cue, object);
    const turnOf = (played: Shot) => {
      const result = simulate(played, { paths: true });
      const path = result.paths?.find(({ id }) => id === '1');
      const hit = result.events.find(({ kind }) => kind === 'ball-ball')?.t;
      if (path === undefined || hit === undefined) return undefined;
      const way = bearing(positionAt(path, hit), positionAt(path, hit + 0.02));
      return { result, turn: Math.abs(wrapAngle(way - along)) };
    };
    const planned = turnOf(shot)?.turn ?? NaN;
    const missed = { thick: [] as number[], thin: [] as number[] };
    const random = createRandom(5);
    for (let k = 0; k < 400; k++) {
      const seen = turnOf(executed(shot, novice, random));
      if (seen === undefined || seen.result.rest[1]!.pocket !== null) continue;
      const left = leftOnTable(balls, seen.result.rest);
      const [at] = left.filter(({ id }) => id === 'cue');
      const objects = left.filter(({ id }) => id !== 'cue');
      const lines = potLines(POOL, objects, ['1'], acceptanceOf);
      const chances = at === undefined ? [1] : lines.map((line) => viewOf(POOL, at, line, [], team).chance);
      missed[seen.turn < planned ? 'thick' : 'thin'].push(Math.max(0, ...chances));
    }
    const sides = missSides(shot, aims, novice, 400, 5);
    for (const side of ['thick', 'thin'] as const) {
      expect(missed[side].length).toBeGreaterThan(12);
      expect(sides[side].share).toBeCloseTo(missed[side].length / 400, 2);
      const mean = missed[side].reduce((sum, chance) => sum + chance, 0) / missed[side].length;
      expect(Math.abs((sides[side].leaves ?? NaN) - mean)).toBeLessThan(0.04);
    }
  });

  it('is the side that leaves less, when both have been seen often enough', () => {
    const shot = solved(balls);
    expect(missSides(shot, aims, novice, 400, 5).enough).toBe(true);
    // The first hanging ball is left plain by either miss, the second by one more than by the other: the
    // advice follows the two chances, and is silent where they are within 0.05 of each other.
    const answers = [ball('2', 2.4, 0.1), ball('2', 0.1, 1.15)].map((hanger) => {
      const all = [...balls, hanger];
      return missSides({ ...shot, balls: all }, { ...aimsOf(all, ['1', '2']) }, novice, 400, 5);
    });
    const safer = answers.map(({ thick, thin }) => {
      const more = (thick.leaves ?? NaN) - (thin.leaves ?? NaN);
      return Math.abs(more) < 0.05 ? undefined : more < 0 ? 'thick' : 'thin';
    });
    expect(answers.every(({ enough }) => enough)).toBe(true);
    expect(new Set(safer).size).toBe(2);
    expect(answers.map((answer) => answer.safer)).toEqual(safer);
    // A player who never misses tells nothing.
    const sure = { directionDeg: 0, speed: 0, tip: 0, elevationDeg: 0 };
    expect(missSides(shot, aims, sure, 30, 5)).toEqual({
      thick: { share: 0, leaves: undefined },
      thin: { share: 0, leaves: undefined },
      safer: undefined,
      enough: false,
    });
  });
});
