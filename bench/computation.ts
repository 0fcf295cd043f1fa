import { readFileSync } from 'node:fs';
import { planShot } from '../core/drill/plannedShot.ts';
import { simulate } from '../core/motion/simulate.ts';
import { landingCloud } from '../core/planning/cloud.ts';
import { positionWindow } from '../core/planning/window.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { drillSchema } from '../core/records/drill.ts';
import { benchmarkDrill } from '../core/scoring/benchmark.ts';
import { buildTable } from '../core/table/table.ts';
import { timed, type Figure } from './report.ts';

function readDrill(slug: string) {
  return drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
}

const SHOTS = 4_000;

/** Three balls on a 9-ft table, one to three cushions, until all is at rest. */
export function simulatePosition(): Figure {
  const table = buildTable('pool-9ft');
  const ball = (id: string, x: number, y: number) => ({ id, x, y, radius: 0.028575, mass: 0.17 });
  const balls = [ball('cue', 0.8, 0.5), ball('1', 1.6, 0.7), ball('2', 2, 1)];
  const seconds = timed(() => {
    for (let i = 0; i < SHOTS; i++) {
      const direction = 0.22 + 1e-5 * (i % 3000);
      simulate({
        table,
        balls,
        strike: { ball: 'cue', speed: 2.5, direction, tip: { side: 0, height: 0 }, elevation: 0 },
      });
    }
  });
  return { name: 'simulate.position', value: SHOTS / seconds, unit: 'shots/s' };
}

export function planDrill(): Figure {
  const drill = readDrill('round-to-the-blue');
  const table = buildTable(drill.table);
  return { name: 'plan.drill', value: 1000 * timed(() => planShot(drill, table)), unit: 'ms' };
}

export function window12ft(): Figure {
  const table = buildTable('snooker-12ft');
  const seconds = timed(() => positionWindow(table, { x: 1.7845, y: 0.889 }, 'head-left', 'team'));
  return { name: 'window.snooker', value: 1000 * seconds, unit: 'ms' };
}

export function cloud(): Figure {
  const drill = readDrill('harbour-turn');
  const { shot } = planShot(drill, buildTable(drill.table));
  const error = executionErrorOf('team', 'pool');
  const task = { object: drill.task.pot, pocket: drill.task.pocket };
  const seconds = timed(() => landingCloud(shot, task, error, 1000, 5));
  return { name: 'cloud.1000.warm', value: 1000 * seconds, unit: 'ms' };
}

/** Five levels of 2,000 executions each, as the browser's worker computes them when none is kept. */
export function drillBenchmark(): Figure {
  const drill = readDrill('harbour-turn');
  const plan = planShot(drill, buildTable(drill.table));
  const stage = drill.stages[0];
  if (stage === undefined) throw new Error('the drill has no stage');
  const seconds = timed(() => benchmarkDrill(drill, stage, plan, 3));
  return { name: 'benchmark.single', value: 1000 * seconds, unit: 'ms', wanted: 'under 2,000' };
}
