import { describe, expect, it } from 'vitest';
import type { BallAtRest, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { playOnce } from '../planning/cloud.ts';
import { aftermathOf } from '../planning/aftermath.ts';
import { foreseeInOff, foreseePass } from '../planning/foresee.ts';
import { gridOver } from '../planning/grid.ts';
import { executionErrorOf } from '../player/levels.ts';
import { buildCustomTable } from '../table/table.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { ballLost, cueBallGone, isOnTable, outcomeOfShot } from './outcome.ts';

const lying = (id: string, change: Partial<BallAtRest> = {}): BallAtRest => ({
  id,
  x: 1,
  y: 0.5,
  pocket: null,
  offTable: false,
  ...change,
});
const task = { object: '1', pocket: 'foot-left' } as const;
const outcome = (...rest: BallAtRest[]) => outcomeOfShot(rest, 'cue', task);
const fallen = { pocket: 'foot-left' } as const;
const off = { offTable: true };

describe('what became of a shot', () => {
  it.each([
    ['potted', [lying('cue'), lying('1', fallen)]],
    ['missed', [lying('cue'), lying('1')]],
    ['missed', [lying('cue'), lying('1', { pocket: 'foot-right' })]],
    ['in-off', [lying('cue', fallen), lying('1', fallen)]],
    // Whatever else fell: a ball off the table is a foul.
    ['lost', [lying('cue', off), lying('1', fallen)]],
    ['lost', [lying('cue'), lying('1', off)]],
    ['lost', [lying('cue'), lying('1', fallen), lying('2', off)]],
  ] as const)('is %s', (expected, rest) => {
    expect(outcome(...rest)).toBe(expected);
  });

  it('tells a lost cue ball from one that fell, and from one that lies', () => {
    expect(cueBallGone([lying('cue', off)], 'cue')).toBe('lost');
    expect(cueBallGone([lying('cue', fallen)], 'cue')).toBe('in-off');
    expect(cueBallGone([lying('cue')], 'cue')).toBeUndefined();
    expect(() => cueBallGone([lying('1')], 'cue')).toThrow(RangeError);
    expect(() => outcomeOfShot([lying('cue')], 'cue', task)).toThrow('no ball 1');
    expect([lying('1'), lying('1', fallen), lying('1', off)].map(isOnTable)).toEqual([true, false, false]);
  });
});

describe('a stroke that sends the cue ball off a table on which balls hop', () => {
  const preset = TABLE_PRESETS['pool-9ft'];
  const table = buildCustomTable(preset, { ...preset.parameters, bedRestitution: 0.6 }, true);
  const ball = (id: string, x: number, y: number) => ({
    id,
    x,
    y,
    radius: preset.ballRadius,
    mass: preset.ballMass,
  });
  const corner = { x: table.length, y: table.width };
  // A ball on the way to the corner, and the cue ball right behind it; the butt is raised and the stroke hard.
  const object = ball('1', corner.x - 0.25, corner.y - 0.25);
  const shotAt = (speed: number, elevationDeg: number): Shot => ({
    table,
    balls: [ball('cue', corner.x - 0.7, corner.y - 0.7), object, ball('2', 0.4, 0.4)],
    strike: {
      ball: 'cue',
      speed,
      direction: Math.PI / 4,
      tip: { side: 0, height: 0 },
      elevation: (elevationDeg * Math.PI) / 180,
    },
  });
  const lost = (): Shot => {
    for (let speed = 5; speed <= 12; speed += 0.25) {
      for (let elevation = 10; elevation <= 50; elevation += 5) {
        const shot = shotAt(speed, elevation);
        const { rest } = simulate(shot, { events: false });
        if (cueBallGone(rest, 'cue') === 'lost' && ballLost(rest)) return shot;
      }
    }
    throw new Error('no stroke of the grid leaves the table');
  };

  it('is neither potted nor on position, whoever looks at it', () => {
    const shot = lost();
    const pot = { object: '1', pocket: 'foot-left' } as const;
    expect(playOnce(shot, pot).outcome).toBe('lost');
    const after = aftermathOf(shot, {
      task: pot,
      wanted: { balls: ['2'] },
      window: gridOver(table, 0.1, () => 1),
      error: executionErrorOf('team', 'pool'),
      confidence: 0.5,
      hand: 'right',
    });
    expect(after).toMatchObject({ outcome: 'lost', next: 0 });
    // An exact player loses it every time: that is no ball that stays up, and none that passes.
    const exact = { directionDeg: 0, speed: 0, tip: 0, elevationDeg: 0 };
    expect(foreseeInOff(shot, { ...executionErrorOf('title', 'pool'), ...exact }, 20, 1).verdict).toBe('yes');
    const second = shot.balls[2];
    if (second === undefined) throw new Error('no ball 2');
    expect(foreseePass(shot, second, { ...executionErrorOf('title', 'pool'), ...exact }, 20, 1).verdict).toBe(
      'no',
    );
  });
});
