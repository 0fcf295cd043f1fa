import { coldCloud, planDrill, warmCloud } from './cloud.ts';
import { drillBenchmark, window12ft } from './computation.ts';
import { assessedClouds, backward, routes, windowAmongBalls } from './planning.ts';
import { breaks } from './breaks.ts';
import { kicks } from './kicks.ts';
import { orders } from './order.ts';
import { drag } from './drag.ts';
import { millions, playerPage } from './playerPage.ts';
import { print, type Figure } from './report.ts';
import { attempts, firstPage } from './server.ts';
import { simulations } from './simulation.ts';

/** All figures by name; a word on the command line runs those whose name begins with it. */
const BENCHMARKS: Readonly<Record<string, () => Figure | Promise<readonly Figure[]> | Promise<Figure>>> = {
  ...simulations,
  'cloud.1000.warm': warmCloud,
  'cloud.1000.cold': coldCloud,
  'cloud.assessed': assessedClouds,
  routes,
  'window.any-pocket': windowAmongBalls,
  'backward.map': backward,
  'window.snooker': window12ft,
  ...orders,
  ...kicks,
  ...breaks,
  'plan.drill': planDrill,
  'benchmark.single': drillBenchmark,
  'web.first-page': firstPage,
  'web.drag': drag,
  'server.attempt': attempts,
  'server.page': playerPage,
};

/** What takes long is run when it is named, and never among the others. */
const LONG: Readonly<Record<string, () => Promise<readonly Figure[]>>> = { 'server.millions': millions };

const json = process.argv.includes('--json');
const words = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const asked = Object.entries(LONG).filter(([name]) => words.includes(name));
for (const [name, run] of [...Object.entries(BENCHMARKS), ...asked]) {
  if (words.length === 0 || words.some((word) => name.startsWith(word) || word.startsWith(name)))
    for (const figure of [await run()].flat()) print(figure, json);
}
