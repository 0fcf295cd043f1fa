import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../../player/levels.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { POOL } from '../../testing/balls.ts';
import { thrownTable } from '../../testing/thrownTable.ts';
import { placeOnGrid } from '../grid.ts';
import { potLines, potOptions } from '../potOptions.ts';
import { cueBallAt } from '../windowAmong.ts';
import { joinShotTables } from './joinTables.ts';
import { buildShotTable } from './shotTable.ts';
import { COARSE, GLANCE } from './tableDetail.ts';

const ERROR = executionErrorOf('match', 'pool');
/** Of a pot that nobody overlooks. */
const EASY = 0.6;

describe('a table of shots', () => {
  it('keeps for every ball, whose turn may come, its likeliest pots, however many others are easier', () => {
    const { balls } = thrownTable(9, 3);
    const lines = balls.flatMap((ball) => potLines(POOL, [ball], [ball.id], acceptanceOf));
    const detail = { ...COARSE, step: 0.4, lines: 0, linesOfBall: 1 };
    const { grid, first, ball, chance } = buildShotTable(POOL, balls, lines, ERROR, detail);
    let [easy, kept] = [0, 0];
    for (let g = 0; g + 1 < first.length; g++) {
      const cue = cueBallAt(POOL, placeOnGrid(grid, g));
      const there = new Set(ball.slice(first[g], first[g + 1]));
      for (const [k, alone] of balls.entries()) {
        const own = lines.filter((line) => line.ball === alone.id);
        const [best] = potOptions(POOL, cue, own, [alone], ERROR);
        if ((best?.chance ?? 0) < EASY) continue;
        easy++;
        if (there.has(k)) kept++;
      }
      // The likeliest stand first: whoever looks for the best may stop early.
      const chances = [...chance.slice(first[g], first[g + 1])];
      expect(chances).toEqual([...chances].sort((a, b) => b - a));
    }
    expect(easy).toBeGreaterThan(50);
    // A few do not go at any of its paces.
    expect(kept / easy).toBeGreaterThan(0.97);
  });

  it('is the same from three threads, each with its share of the places, as from one', () => {
    const { balls } = thrownTable(5, 4);
    const lines = balls.flatMap((ball) => potLines(POOL, [ball], [ball.id], acceptanceOf));
    const detail = { ...GLANCE, step: 0.3 };
    const share = (part: number) => buildShotTable(POOL, balls, lines, ERROR, detail, {}, { part, of: 3 });
    const whole = buildShotTable(POOL, balls, lines, ERROR, detail);
    expect(whole.ball.length).toBeGreaterThan(300);
    const shares = [share(2), share(0), share(1)];
    for (const { ball } of shares) expect(ball.length).toBeLessThan(0.6 * whole.ball.length);
    expect(joinShotTables(shares)).toEqual(whole);
    expect(() => joinShotTables([])).toThrow(RangeError);
  });
});
