import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { simulate } from '../motion/simulate.ts';
import { cueingOf, hampered } from '../player/cueing.ts';
import { executed } from '../player/execute.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { drillSchema } from '../records/drill.ts';
import { benchmarkLevel } from '../scoring/benchmark.ts';
import { buildTable } from '../table/table.ts';
import { cueBall, POOL, shotOf } from '../testing/balls.ts';
import { mostWorth, playedBy, worthAsPlayed } from './player.ts';

const read = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));

/** Standard deviation of numbers about their own mean. */
function spread(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
}

describe('a virtual player', () => {
  const error = executionErrorOf('team', 'pool');
  const player = { table: POOL, error, random: createRandom(5) };

  it('errs as its level does in the open, and more with the cue ball frozen to the cushion', () => {
    const spreadFrom = (x: number, direction: number) => {
      const plan = shotOf(POOL, [cueBall(x, 0.6)], { direction, speed: 2 });
      const random = createRandom(9);
      const played = Array.from({ length: 4000 }, () => playedBy(player, plan, random).strike);
      return spread(played.map((strike) => ((strike.direction - direction) * 180) / Math.PI));
    };
    expect(spreadFrom(0.6, 0) / error.directionDeg).toBeCloseTo(1, 1);
    expect(spreadFrom(POOL.preset.cueBallRadius + 1e-4, 0) / error.directionDeg).toBeGreaterThan(1.2);
  });

  it('weighs strokes by the same errors, so that two alike are worth the same', () => {
    const plan = shotOf(POOL, [cueBall(0.6, 0.6)], { speed: 2 });
    const worth = ({ strike }: typeof plan) => strike.speed;
    expect(worthAsPlayed(player, plan, 40, worth)).toBe(worthAsPlayed(player, { ...plan }, 40, worth));
    // The mean of 2,000 paces is the planned one within four standard errors.
    expect(Math.abs(worthAsPlayed(player, plan, 2000, worth) - 2)).toBeLessThan(
      (4 * 2 * error.speed) / Math.sqrt(2000),
    );
  });

  it('takes what is worth most, the first of equals, and nothing from nothing', () => {
    expect(mostWorth([3, 7, 7.5, 1], Math.floor)).toBe(7);
    expect(mostWorth<number>([], () => 1)).toBeUndefined();
  });

  it('holds a cue ball out of reach with the rest, and its benchmark has those errors', () => {
    const drill = read('held-for-the-black');
    if (!isPositionDrill(drill)) throw new Error('held-for-the-black is a position drill');
    const table = buildTable(drill.table);
    const plan = planShot(drill, table);
    const { balls, strike } = plan.shot;
    const cue = balls.find(({ id }) => id === strike.ball)!;
    const others = balls.filter((each) => each !== cue);
    const { because } = cueingOf(table, cue, others, strike.direction, { tipHeight: strike.tip.height });
    expect(because).toContain('with the rest');
    const team = executionErrorOf('team', 'snooker');
    const share = (own: typeof team) => {
      const random = createRandom(31);
      let potted = 0;
      for (let k = 0; k < 2000; k++) {
        const { rest } = simulate(executed(plan.shot, own, random));
        const isDown = (id: string) => rest.some((each) => each.id === id && each.pocket !== null);
        if (isDown(drill.task.pot) && !isDown(cue.id)) potted++;
      }
      return potted / 2000;
    };
    const asCued = share(hampered(team, because));
    const potted = benchmarkLevel(drill, drill.stages[0]!, plan, 'team', 7).potted!;
    // Four standard errors of two samples of two thousand.
    expect(Math.abs(potted - asCued)).toBeLessThan(4 * Math.sqrt((2 * asCued * (1 - asCued)) / 2000));
    expect(share(team) - potted).toBeGreaterThan(0.03);
  });
});
