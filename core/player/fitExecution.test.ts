import { describe, expect, it } from 'vitest';
import { toDegrees } from '../math/angle.ts';
import { simulate } from '../motion/simulate.ts';
import { createRandom } from '../random/random.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { aimToPot } from '../shot/aim.ts';
import { potChance } from '../shot/potChance.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { executed } from './execute.ts';
import { fitExecution, landingResponse, type ObservedShot } from './fitExecution.ts';
import { executionErrorOf, type ExecutionError } from './levels.ts';

const shots = [
  { cue: cueBall(1.0, 0.5), object: ball('1', 1.8, 0.85), speed: 2, height: -0.2 },
  { cue: cueBall(1.2, 0.4), object: ball('1', 1.7, 0.7), speed: 1.5, height: 0.4 },
  { cue: cueBall(0.8, 0.6), object: ball('1', 2.0, 0.9), speed: 2.6, height: 0 },
].map(({ cue, object, speed, height }) => {
  const balls = [cue, object];
  const aim = aimToPot(
    POOL,
    balls,
    { ball: 'cue', speed, tip: { side: 0, height }, elevation: 0 },
    '1',
    'foot-left',
  );
  if (aim.kind !== 'pots') throw new Error(aim.reason);
  const acceptance = acceptanceOf(POOL, object, 'foot-left')!;
  const rest = aim.result.rest[0]!;
  return {
    shot: aim.shot,
    landing: rest,
    response: landingResponse(aim.shot),
    chance: (errorRad: number) =>
      potChance(
        POOL,
        cue,
        { object, acceptance },
        { directionDeg: toDegrees(errorRad), speed: 0, tip: 0, elevationDeg: 0 },
        aim.shot.strike,
      ),
  };
});

/** What a player with known errors is seen to do. */
function played(error: ExecutionError, count: number, seed: number): readonly ObservedShot[] {
  const random = createRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const { shot, landing, response, chance } = shots[i % shots.length]!;
    const { rest } = simulate(executed(shot, error, random));
    const potted = rest[1]!.pocket === 'foot-left' && rest[0]!.pocket === null;
    return potted
      ? { potted, chance, landing: { dx: rest[0]!.x - landing.x, dy: rest[0]!.y - landing.y, response } }
      : { potted, chance };
  });
}

describe('a player’s fitted errors', () => {
  const assumed = executionErrorOf('team', 'pool');

  it.each(['regular', 'match'] as const)('come back from what a %s player did', (level) => {
    const error = executionErrorOf(level, 'pool');
    const fitted = fitExecution(played(error, 600, 3), assumed);
    expect(fitted.shots).toBe(600);
    expect(fitted.landings).toBeGreaterThan(150);
    for (const part of ['directionDeg', 'speed'] as const) {
      expect(fitted.error[part] / error[part]).toBeGreaterThan(0.67);
      expect(fitted.error[part] / error[part]).toBeLessThan(1.5);
    }
    // The tip shows least in a landing: within a factor of two.
    expect(fitted.error.tip / error.tip).toBeGreaterThan(0.5);
    expect(fitted.error.tip / error.tip).toBeLessThan(2);
  });

  it('stay near the assumed level after a handful of shots, and at it after none', () => {
    expect(fitExecution([], assumed).error).toEqual(assumed);
    const few = fitExecution(played(executionErrorOf('first season', 'pool'), 3, 5), assumed);
    expect(few.error.directionDeg).toBeLessThan(executionErrorOf('regular', 'pool').directionDeg * 1.6);
  });

  it('answer to pace as the stroke does: the landing of one per cent more is where the response says', () => {
    for (const { shot, landing, response } of shots) {
      const by = 0.01;
      const { rest } = simulate({ ...shot, strike: { ...shot.strike, speed: shot.strike.speed * (1 + by) } });
      expect(Math.abs(rest[0]!.x - landing.x - by * response.speed[0])).toBeLessThan(0.002);
      expect(Math.abs(rest[0]!.y - landing.y - by * response.speed[1])).toBeLessThan(0.002);
    }
  });
});
