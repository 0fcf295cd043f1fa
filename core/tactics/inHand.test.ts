import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { clothLinesOf } from '../table/markings.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { bestInHand } from './inHand.ts';
import { withRespots } from './respots.ts';

const team = executionErrorOf('team', 'pool');

describe('the cue ball in hand', () => {
  it('makes a ball that hangs over a pocket nearly certain, and a blocked one impossible', () => {
    const hanging = [ball('1', 2.45, 1.18)];
    expect(bestInHand(POOL, 'nine-ball', cueBall(0.1, 0.1), hanging, ['1'], team, false)).toBeGreaterThan(
      0.95,
    );
    expect(bestInHand(POOL, 'nine-ball', cueBall(0.1, 0.1), hanging, [], team, false)).toBe(0);
  });

  it('has to lie in the D at snooker: a ball behind others is out of reach from there', () => {
    const error = executionErrorOf('title', 'snooker');
    const { acrossAt } = clothLinesOf(SNOOKER.preset);
    const wall = Array.from({ length: 14 }, (_, k) =>
      ball(`red ${k}`, acrossAt + 0.6, 0.42 + 0.075 * k, SNOOKER),
    );
    const black = ball('black', 3.3, 0.9, SNOOKER);
    const chance = (objects: typeof wall) =>
      bestInHand(SNOOKER, 'snooker', cueBall(0, 0, SNOOKER), objects, ['black'], error, false);
    expect(chance([black])).toBeGreaterThan(0.3);
    expect(chance([black, ...wall])).toBeLessThan(chance([black]));
  });
});

describe('colours that fell', () => {
  const preset = TABLE_PRESETS['snooker-12ft'];
  const red = ball('red 1', 2, 1, SNOOKER);
  const blue = ball('blue', 3.4, 0.1, SNOOKER);

  it('are back on their spots while a red is left, and gone with the last ones', () => {
    const [, back] = withRespots(preset, [red], [blue], undefined);
    expect(back).toMatchObject({ id: 'blue', x: preset.length / 2, y: preset.width / 2 });
    expect(withRespots(preset, [], [blue], undefined)).toEqual([]);
  });

  it('take another spot where their own is taken', () => {
    const onSpot = { ...red, x: preset.length / 2, y: preset.width / 2 };
    const [, back] = withRespots(preset, [onSpot], [blue], undefined);
    expect(Math.hypot(back!.x - onSpot.x, back!.y - onSpot.y)).toBeGreaterThan(2 * preset.ballRadius - 1e-9);
  });
});
