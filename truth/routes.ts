import { randomPot, somewhere, ballAt } from '../core/judgement/pose/randomPot.ts';
import { distance } from '../core/math/point.ts';
import { assessStroke, type Aims } from '../core/planning/aftermath.ts';
import { potLines } from '../core/planning/potOptions.ts';
import { searchRoutes, type RouteSearch } from '../core/planning/routes.ts';
import { windowAmong } from '../core/planning/windowAmong.ts';
import { cueingOf, hampered } from '../core/player/cueing.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { fullAcceptanceOf } from '../core/shot/acceptance.ts';
import { buildTable } from '../core/table/table.ts';
import { told, within, type Asked, type Figure } from './figure.ts';

const TASKS = 200;
/** Executions that a claim is held to. */
const HELD_TO = 1_500;
const FRESH = 900_001;
const NEXT = 'next';

/** What routes claim against executions that nobody has seen: the best route of each task. */
export function routes({ seed, size }: Asked): readonly Figure[] {
  const random = createRandom(seed);
  const tables = [buildTable('pool-9ft'), buildTable('snooker-12ft')];
  const off: number[] = [];
  for (let tries = 0; off.length < TASKS * size && tries < 10 * TASKS; tries++) {
    const table = tables[tries % tables.length];
    const posed = table && randomPot(table, random);
    if (table === undefined || posed === undefined) continue;
    const next = ballAt(table, NEXT, somewhere(table, random, 0.15));
    if (posed.shot.balls.some((ball) => distance(ball, next) < 0.2)) continue;
    const balls = [...posed.shot.balls, next];
    const object = balls.find(({ id }) => id === posed.pot);
    const acceptance = object && fullAcceptanceOf(table, object, posed.pocket);
    if (acceptance === undefined) continue;
    const error = executionErrorOf('team', table.preset.game);
    const aims: Aims = {
      task: { object: posed.pot, pocket: posed.pocket },
      wanted: { balls: [NEXT] },
      window: windowAmong(table, potLines(table, [next], [NEXT], fullAcceptanceOf), [next], error, {
        step: 0.03,
      }),
      error,
      confidence: 0.7,
    };
    let found: RouteSearch | undefined;
    for (const search of searchRoutes(
      { table, balls, cue: 'cue', acceptance, aims, side: false },
      seed + tries,
    )) {
      found = search;
    }
    const best = found?.routes[0];
    const cue = balls.find(({ id }) => id === 'cue');
    if (found === undefined || best === undefined || cue === undefined) continue;
    const others = balls.filter((ball) => ball !== cue);
    const own = hampered(error, cueingOf(table, cue, others, best.strike.direction, aims).because);
    const { chance } = assessStroke({ table, balls, strike: best.strike }, aims, own, HELD_TO, FRESH + tries);
    off.push(100 * (best.assessment.chance - chance));
  }
  const mean = off.reduce((sum, each) => sum + each, 0) / off.length;
  const spread = Math.sqrt(off.reduce((sum, each) => sum + (each - mean) ** 2, 0) / off.length);
  return [
    within('routes.claim', mean, [-0.5, 0.5], 'points claimed too much, mean of the best routes'),
    told('routes.claim.spread', spread, 'points, standard deviation of single claims'),
    told('routes.tasks', off.length, 'tasks'),
  ];
}
