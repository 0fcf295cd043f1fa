import { planShot } from '../core/drill/plannedShot.ts';
import { assessStroke, type Aims } from '../core/planning/aftermath.ts';
import { backwardMap } from '../core/planning/backward.ts';
import { potLines } from '../core/planning/potOptions.ts';
import { searchRoutes, type RouteQuestion } from '../core/planning/routes.ts';
import { windowAmong } from '../core/planning/windowAmong.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { fullAcceptanceOf } from '../core/shot/acceptance.ts';
import { buildTable } from '../core/table/table.ts';
import { readDrill } from './cloud.ts';
import { middle, timed, type Figure } from './report.ts';

/** The position of a drill as the lab asks about it: the next ball may go into every pocket. */
function asked(slug: string): { readonly question: RouteQuestion; readonly aims: Aims } {
  const drill = readDrill(slug);
  const table = buildTable(drill.table);
  const { balls } = planShot(drill, table).shot;
  const { pot, pocket, next } = drill.task;
  const object = balls.find(({ id }) => id === pot);
  const acceptance = object && fullAcceptanceOf(table, object, pocket);
  if (acceptance === undefined) throw new Error(`${slug}: the pocket does not take the ball`);
  const others = balls.filter(({ id }) => id !== 'cue' && id !== pot);
  const error = executionErrorOf('team', table.preset.game);
  const lines = potLines(table, others, [next.ball], fullAcceptanceOf);
  const aims: Aims = {
    task: { object: pot, pocket },
    wanted: { balls: [next.ball] },
    window: windowAmong(table, lines, others, error, { step: 0.025 }),
    error,
    confidence: 0.7,
  };
  return { question: { table, balls, cue: 'cue', acceptance, aims, side: true }, aims };
}

const POSITIONS = ['harbour-turn', 'round-to-the-blue', 'back-to-the-quay'];
const RUNS = 5;

/** Milliseconds to the first route and to all of them, over some positions. */
export function routes(): Promise<readonly Figure[]> {
  const first: number[] = [];
  const all: number[] = [];
  for (const slug of POSITIONS) {
    const { question } = asked(slug);
    for (let run = 0; run < RUNS; run++) {
      const start = performance.now();
      let found: number | undefined;
      for (const search of searchRoutes(question, run + 1)) {
        if (search.routes.length > 0) found ??= performance.now() - start;
      }
      all.push(performance.now() - start);
      first.push(found ?? NaN);
    }
  }
  return Promise.resolve([
    { name: 'routes.first', value: middle(first), unit: 'ms', wanted: 'under 300' },
    { name: 'routes.all', value: middle(all), unit: 'ms', wanted: 'under 2,000' },
  ]);
}

export function windowAmongBalls(): Figure {
  return { name: 'window.any-pocket', value: 1000 * timed(() => asked('harbour-turn')), unit: 'ms' };
}

/** The cloud with what it leaves, as it is drawn while a ball is moved (120) and once it lies still (1,000). */
export function assessedClouds(): Promise<readonly Figure[]> {
  const { question, aims } = asked('harbour-turn');
  const shot = planShot(readDrill('harbour-turn'), question.table).shot;
  const cloud = (count: number) => 1000 * timed(() => assessStroke(shot, aims, aims.error, count, 3));
  return Promise.resolve([
    { name: 'cloud.assessed.120', value: cloud(120), unit: 'ms', wanted: 'under 16' },
    { name: 'cloud.assessed.1000', value: cloud(1000), unit: 'ms', wanted: 'under 40' },
  ]);
}

export function backward(): Figure {
  const { question, aims } = asked('harbour-turn');
  const object = question.balls.find(({ id }) => id === aims.task.object);
  if (object === undefined) throw new Error('the ball is not on the table');
  const line = { ball: object.id, pocket: aims.task.pocket, object, acceptance: question.acceptance };
  const wanted = { kind: 'place', at: { x: 1, y: 0.5 }, room: 0.25 } as const;
  const seconds = timed(() => {
    const search = backwardMap(question.table, line, [], wanted, aims.error);
    while (search.next().done !== true);
  });
  return { name: 'backward.map', value: 1000 * seconds, unit: 'ms' };
}
