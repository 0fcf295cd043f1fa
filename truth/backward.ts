import { ballAt, somePocket, somewhere } from '../core/judgement/pose/randomPot.ts';
import { contactDistance } from '../core/motion/ballBall.ts';
import { simulate } from '../core/motion/simulate.ts';
import { distance } from '../core/math/point.ts';
import { backwardMap, fulfils, playNatural, type WantedWay } from '../core/planning/backward.ts';
import { placeOnGrid } from '../core/planning/grid.ts';
import { potLines, viewOf } from '../core/planning/potOptions.ts';
import { cueBallAt } from '../core/planning/windowAmong.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { fullAcceptanceOf } from '../core/shot/acceptance.ts';
import { buildTable } from '../core/table/table.ts';
import { atMost, told, type Asked, type Figure } from './figure.ts';

const TASKS = 24;
/** Dark places that are looked at in each. */
const PLACES = 250;
/** A place is dark below this, and a stroke good from this on: chance of the pot times how well it does. */
const DARK = 0.05;
const GOOD = 0.35;
/** Paces that are played at a dark place, m/s, each a few hundredths above the one before. */
const SLOWEST = 0.8;
const FASTEST = 3.3;
const FINER = 1.03;

/** How many dark places of backward maps hide a good natural stroke, found by trying all paces. */
export function backward({ seed, size }: Asked): readonly Figure[] {
  const random = createRandom(seed);
  const tables = [buildTable('pool-9ft'), buildTable('snooker-12ft')];
  let [looked, missed, tasks] = [0, 0, 0];
  for (let tries = 0; tasks < TASKS * size && tries < 50 * TASKS; tries++) {
    const table = tables[tries % tables.length];
    if (table === undefined) continue;
    const object = ballAt(table, 'object', somewhere(table, random, 0.12));
    const [line] = potLines(table, [object], ['object'], fullAcceptanceOf, [somePocket(random)]);
    const at = somewhere(table, random, 0.2);
    if (line === undefined || distance(at, object) < 0.2) continue;
    const wanted: WantedWay = { kind: 'place', at, room: 0.25 };
    const error = executionErrorOf('team', table.preset.game);
    const search = backwardMap(table, line, [], wanted, error);
    let found = search.next();
    while (found.done !== true) found = search.next();
    const { map } = found.value;
    tasks++;
    for (let k = 0; k < PLACES; k++) {
      const index = Math.floor(random.uniform() * map.chances.length);
      if ((map.chances[index] ?? 1) >= DARK) continue;
      const cue = cueBallAt(table, placeOnGrid(map, index));
      if (distance(cue, object) < contactDistance(cue.radius, object.radius)) continue;
      const { chance } = viewOf(table, cue, line, [], error);
      if (chance < GOOD) continue;
      looked++;
      if (bestOf(cue, line, wanted, table) * chance >= GOOD) missed++;
    }
  }
  return [
    atMost('backward.missed', (100 * missed) / Math.max(1, looked), 2, '% of dark places with a good stroke'),
    told('backward.places', looked, 'dark places from where the pot is on'),
  ];
}

function bestOf(
  cue: ReturnType<typeof cueBallAt>,
  line: Parameters<typeof playNatural>[2],
  wanted: WantedWay,
  table: Parameters<typeof playNatural>[0],
): number {
  let best = 0;
  for (const roll of ['rolling', 'stun'] as const) {
    for (let speed = SLOWEST; speed <= FASTEST; speed *= FINER) {
      const shot = playNatural(table, cue, line, [], { roll, speed });
      if (shot === undefined) continue;
      const result = simulate(shot);
      if (result.rest[1]?.pocket === line.pocket) best = Math.max(best, fulfils(wanted, result, cue.id));
    }
  }
  return best;
}
