import { ballAt } from '../core/judgement/pose/randomPot.ts';
import { planShot } from '../core/drill/plannedShot.ts';
import { positionWindow } from '../core/planning/window.ts';
import { benchmarkDrill } from '../core/scoring/benchmark.ts';
import { buildTable } from '../core/table/table.ts';
import { readDrill } from './cloud.ts';
import { timed, type Figure } from './report.ts';

export function window12ft(): Figure {
  const table = buildTable('snooker-12ft');
  const seconds = timed(() =>
    positionWindow(table, ballAt(table, 'object', { x: 1.7845, y: 0.889 }), 'head-left', 'team'),
  );
  return { name: 'window.snooker', value: 1000 * seconds, unit: 'ms' };
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
