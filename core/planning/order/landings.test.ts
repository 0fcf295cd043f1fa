import { describe, expect, it } from 'vitest';
import { FIVE, landingsAround, THREE } from './landings.ts';

const SPEEDS = [0.8, 1.2, 2];
const HEIGHTS = [-0.4, 0, 0.3];
const ERROR = { speed: 0.07, tip: 0.05 };

/** A cue ball whose landing moves evenly with the logarithm of the pace and with the height. */
const landing = (speed: number, height: number) => ({
  x: 1 + 0.4 * Math.log(speed) - 0.3 * height,
  y: 0.6 - 0.2 * Math.log(speed) + 0.5 * height,
});
const tried = SPEEDS.map((speed) => HEIGHTS.map((height) => ({ landing: landing(speed, height) })));

describe('executions of a stroke', () => {
  it.each([FIVE, THREE])('have errors with mean nought and variance one', (...spread) => {
    for (const key of ['pace', 'height'] as const) {
      const errors = spread.map((each) => each[key]);
      expect(errors.reduce((sum, each) => sum + each, 0)).toBeCloseTo(0, 12);
      expect(errors.reduce((sum, each) => sum + each * each, 0) / errors.length).toBeCloseTo(1, 12);
    }
  });

  it('land where such a stroke would, told by those beside it', () => {
    const grid = { speeds: SPEEDS, heights: HEIGHTS, spread: FIVE };
    for (const [i, j] of [
      [0, 0],
      [1, 1],
      [2, 2],
      [2, 0],
    ] as const) {
      const landings = landingsAround(grid, ERROR, tried, i, j);
      for (const [k, { pace, height }] of FIVE.entries()) {
        const there = landing(SPEEDS[i]! * (1 + pace * ERROR.speed), HEIGHTS[j]! + height * ERROR.tip);
        expect(landings[k]!.x).toBeCloseTo(there.x, 9);
        expect(landings[k]!.y).toBeCloseTo(there.y, 9);
      }
    }
  });

  it('are told by the one side where the stroke on the other does not pot, and stay where nothing is known', () => {
    const grid = { speeds: SPEEDS, heights: HEIGHTS, spread: THREE };
    const gap = tried.map((row, i) => row.map((each) => (i === 2 ? undefined : each)));
    const [, more] = landingsAround(grid, ERROR, gap, 1, 1);
    const out = THREE[1]!;
    const there = landing(SPEEDS[1]! * (1 + out.pace * ERROR.speed), out.height * ERROR.tip);
    expect(more!.x).toBeCloseTo(there.x, 9);
    const alone = tried.map((row, i) => row.map((each, j) => (i === 1 && j === 1 ? each : undefined)));
    expect(landingsAround(grid, ERROR, alone, 1, 1)).toEqual(THREE.map(() => landing(1.2, 0)));
  });

  it('are lost where the stroke loses the cue ball', () => {
    const lost = tried.map((row) => row.map(() => ({ landing: undefined })));
    const grid = { speeds: SPEEDS, heights: HEIGHTS, spread: FIVE };
    expect(landingsAround(grid, ERROR, lost, 1, 1)).toEqual(FIVE.map(() => undefined));
  });
});
