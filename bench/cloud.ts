import { readFileSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { isPositionDrill, type PositionDrill } from '../core/drill/positionDrill.ts';
import { planShot } from '../core/drill/plannedShot.ts';
import { landingCloud } from '../core/planning/cloud.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { drillSchema } from '../core/records/drill.ts';
import { buildTable } from '../core/table/table.ts';
import { middle, timed, type Figure } from './report.ts';
import { positionShot } from './shots.ts';

export function readDrill(slug: string): PositionDrill {
  const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
  if (!isPositionDrill(drill)) throw new RangeError(`${slug} is no position drill`);
  return drill;
}

const EXECUTIONS = 1000;
const COLD_RUNS = 5;

/** A landing cloud of a thousand executions of one position shot by a team player. */
export function harbourCloud(): () => void {
  const error = executionErrorOf('team', 'pool');
  const task = { object: '1', pocket: 'foot-left' as const };
  return () => {
    landingCloud(positionShot(1500), task, error, EXECUTIONS, 5);
  };
}

export function warmCloud(): Figure {
  return { name: 'cloud.1000.warm', value: 1000 * timed(harbourCloud()), unit: 'ms', wanted: 'under 40' };
}

/** The same in a fresh thread each time: nothing compiled, nothing kept. */
export async function coldCloud(): Promise<Figure> {
  const times: number[] = [];
  for (let run = 0; run < COLD_RUNS; run++) {
    const worker = new Worker(path.resolve('dist', 'bench', 'cloudWorker.js'));
    times.push(
      await new Promise<number>((resolve, reject) => {
        worker.once('message', resolve);
        worker.once('error', reject);
      }),
    );
    await worker.terminate();
  }
  return { name: 'cloud.1000.cold', value: middle(times), unit: 'ms', wanted: 'under 200' };
}

export function planDrill(): Figure {
  const drill = readDrill('round-to-the-blue');
  const table = buildTable(drill.table);
  return { name: 'plan.drill', value: 1000 * timed(() => planShot(drill, table)), unit: 'ms' };
}
