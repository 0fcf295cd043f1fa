import type { Asked, Figure } from './figure.ts';
import { backward } from './backward.ts';
import { breaks } from './breaks.ts';
import { calibration } from './calibration.ts';
import { causes } from './causes.ts';
import { claims } from './claims.ts';
import { kicks } from './kicks.ts';
import { orders } from './orders.ts';
import { photo } from './photo.ts';
import { ratings } from './ratings.ts';
import { routes } from './routes.ts';
import { shares } from './shares.ts';
import { speeds } from './speeds.ts';
import { trends } from './trends.ts';
import { windows } from './windows.ts';

/**
 * What the product claims, held to players, tables and shots of which the truth is known. A word on the command line runs
 * the part of that name, `--seed N` draws others than those that anything was tried on, `--json` prints a line of JSON a
 * figure. Exits with 1 when a figure does not hold.
 */
const PARTS: Readonly<Record<string, (asked: Asked) => readonly Figure[]>> = {
  ratings,
  trends,
  causes,
  shares,
  routes,
  windows,
  backward,
  orders,
  claims,
  breaks,
  calibration,
  kicks,
  photo,
  speeds,
};

const words = process.argv.slice(2);
const json = words.includes('--json');
const seedAt = words.indexOf('--seed');
const seed = seedAt < 0 ? 1 : Number(words[seedAt + 1]);
if (!Number.isInteger(seed)) {
  console.error('--seed needs a whole number after it.');
  process.exit(2);
}
const named = words.filter((word, i) => !word.startsWith('--') && (seedAt < 0 || i !== seedAt + 1));
const unknown = named.find((word) => !(word in PARTS));
if (unknown !== undefined) {
  console.error(`There is no part ${unknown}; there are ${Object.keys(PARTS).join(', ')}.`);
  process.exit(2);
}

let failed = 0;
for (const [name, part] of Object.entries(PARTS)) {
  if (named.length > 0 && !named.includes(name)) continue;
  for (const { name: what, value, unit, asked, holds } of part({ seed, size: 1 })) {
    if (!holds) failed++;
    if (json) console.log(JSON.stringify({ name: what, value, unit, asked, holds }));
    else {
      const verdict = asked === '' ? '' : `  (${asked}${holds ? '' : ': does not hold'})`;
      console.log(`${what.padEnd(36)} ${value.toPrecision(4).padStart(9)} ${unit}${verdict}`);
    }
  }
}
process.exit(failed === 0 ? 0 : 1);
