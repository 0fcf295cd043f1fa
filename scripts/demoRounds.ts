import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { demoPlayer, readDemoRounds, roundHead, roundIn } from '../server/demo/otherRounds.ts';
import { DEMO_OTHER_ROUNDS, otherSeed } from '../server/demo/people.ts';
import { homeOf } from '../server/demo/tables.ts';
import { readLibrary } from '../server/drills/library.ts';

/**
 * Plays the rounds of the demo club that take long to plan, and keeps them in levels/demo-rounds.jsonl. Those that are there
 * of this text, table and physics stay.
 */
const FILE = path.join('levels', 'demo-rounds.jsonl');

const library = await readLibrary('library');
const kept = await readDemoRounds('levels');
const lines: string[] = [];
for (const [place, { drill, level, rounds }] of DEMO_OTHER_ROUNDS.entries()) {
  const document = library.find(({ slug }) => slug === drill);
  if (document === undefined) throw new Error(`there is no drill ${drill}`);
  const course = { document, card: homeOf({ document }).card, level };
  let play: ReturnType<typeof demoPlayer> | undefined;
  for (let k = 0; k < rounds; k++) {
    const there = roundIn(kept, roundHead(course, otherSeed(place, k)));
    const line = JSON.stringify(there ?? (play ??= demoPlayer(course))(otherSeed(place, k)));
    lines.push(line);
  }
  process.stdout.write(`${drill}, ${level}: ${String(rounds)} rounds\n`);
}
writeFileSync(FILE, lines.map((line) => `${line}\n`).join(''));
