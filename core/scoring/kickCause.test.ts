import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { drawErrors, executedWith, type Draws } from '../player/execute.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { aimPointOf } from '../shot/kicks/aimPoint.ts';
import { forgivingKick } from '../shot/kicks/forgivingKick.ts';
import { hitOf } from '../shot/kicks/hit.ts';
import { isOnTable } from '../shot/outcome.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { kickCause, kickCloud, type PlannedKick } from './kickCause.ts';

const team = executionErrorOf('team', 'pool');
/** The 9 shuts the straight way to the 1: one cushion. */
const balls = [cueBall(0.7, 0.4), ball('1', 1.9, 0.5), ball('9', 1.3, 0.45)];
const shot = forgivingKick(POOL, balls, 'cue', { target: '1', cushions: ['left'] });
if (shot === undefined) throw new Error('no kick');
const plan: PlannedKick = { shot, target: '1', cushions: 1 };
const cloud = kickCloud(plan, team);
const NONE: Draws = { line: 0, pace: 0, side: 0, height: 0, elevation: 0 };

/** How the planned stroke really ends with these errors. */
function played(draws: Draws) {
  const result = simulate(executedWith(plan.shot, cloud.sizes, draws), { paths: true });
  const [cue, target] = ['cue', '1'].map((id) => result.rest.find((each) => each.id === id)!);
  const hit = hitOf(result, 'cue');
  return {
    taps: { cueAt: { x: cue!.x, y: cue!.y }, targetAt: { x: target!.x, y: target!.y } },
    covered: hit.covered,
    reached: hit.reached,
    missed: hit.first !== '1',
    lies: isOnTable(cue!) && isOnTable(target!),
  };
}

describe('what two places tell of a kick', () => {
  it('has nothing to explain where both lie as planned', () => {
    const { taps } = played(NONE);
    expect(kickCause(cloud, taps, false).fault).toEqual({ kind: 'on plan' });
  });

  it('names the pace, its way and its size, where a player with a sure line was far too hard or too soft', () => {
    const sure = kickCloud(plan, { ...team, tip: team.tip / 4, directionDeg: team.directionDeg / 4 });
    for (const z of [-2.2, 2.2]) {
      const { taps, missed } = played({ ...NONE, pace: z });
      const { fault } = kickCause(sure, taps, missed);
      expect(fault).toMatchObject({ kind: 'told', error: 'pace', cause: z > 0 ? 'too hard' : 'too soft' });
      if (fault.kind === 'told') {
        expect(fault.amount / cloud.sizes.speed / z).toBeGreaterThan(0.6);
        expect(fault.amount / cloud.sizes.speed / z).toBeLessThan(1.4);
      }
    }
  });

  it('does not explain what no such stroke does', () => {
    const far = { cueAt: { x: 0.1, y: 1.2 }, targetAt: { x: 2.5, y: 1.2 } };
    expect(kickCause(cloud, far, false)).toEqual({
      grade: undefined,
      legal: undefined,
      fault: { kind: 'cannot tell' },
    });
    expect(() => kickCloud({ ...plan, target: '5' }, team)).toThrow(RangeError);
  });

  it('tells how thick strokes with all errors at once were met, and what was off in them, rightly', () => {
    const random = createRandom(99);
    let [told, right, causes, signs, lawful] = [0, 0, 0, 0, 0];
    for (let k = 0; k < 120; k++) {
      const draws = drawErrors(random);
      const { taps, covered, missed, reached, lies } = played(draws);
      if (!lies) continue;
      const { grade, legal, fault } = kickCause(cloud, taps, missed);
      if (grade !== undefined) {
        told++;
        const real = missed ? 'miss' : covered >= 0.7 ? 'full' : covered >= 0.4 ? 'thick' : 'thin';
        if (grade === real) right++;
        if (legal === undefined || legal === (!missed && reached)) lawful++;
      }
      if (fault.kind !== 'told') continue;
      causes++;
      if (Math.sign(fault.amount) === Math.sign(draws[fault.error])) signs++;
    }
    expect(told).toBeGreaterThan(25);
    expect(right / told).toBeGreaterThan(0.95);
    expect(lawful / told).toBeGreaterThan(0.95);
    expect(causes).toBeGreaterThan(5);
    expect(signs / causes).toBeGreaterThan(0.85);
  });

  it('says of a line that was off by how much at the cushion', () => {
    const z = 2.5;
    const at = (turn: number) =>
      aimPointOf({ table: POOL, balls, cue: 'cue' }, plan.shot.strike.direction + turn).at;
    const off = (team.directionDeg * Math.PI * z) / 180;
    const there = Math.hypot(at(off).x - at(0).x, at(off).y - at(0).y);
    // Only errors of the line: then nothing else can be told.
    const lined = kickCloud(plan, { ...team, speed: 0, tip: 0, elevationDeg: 0 });
    const { taps, missed } = played({ ...NONE, line: z });
    const { fault } = kickCause(lined, taps, missed);
    expect(fault).toMatchObject({ kind: 'told', error: 'line', cause: 'left of the line' });
    if (fault.kind === 'told') expect(Math.abs(fault.amount / there - 1)).toBeLessThan(0.35);
  });
});
