import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { MODEL_VERSION } from '../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION } from '../core/player/levels.ts';
import {
  benchmarkLine,
  parseBenchmarkTable,
  type BenchmarkTableRow,
} from '../core/records/benchmarkTable.ts';
import type { Drill } from '../core/records/drill.ts';
import { tableOfCard, standardCard } from '../core/table/card.ts';
import { tableFingerprint } from '../core/table/table.ts';
import { benchmarkParts, joinParts } from '../core/virtual/benchmarkRounds.ts';
import { canBePlayed } from '../core/virtual/playRound.ts';
import { openThreads } from '../server/benchmarks/threads.ts';
import { digestOf, readLibrary } from '../server/drills/library.ts';

/**
 * Computes what virtual players score in every stage of every drill that ships, on the table that it was written for, and
 * keeps it in levels/benchmarks.jsonl. What is there of this text and these versions stays; so it goes on where it was
 * stopped. Words on the command line name drills or families; without one it is all of them, the shortest to compute first.
 */
const FILE = path.join('levels', 'benchmarks.jsonl');
const words = process.argv.slice(2);

const library = await readLibrary('library');
const lines = existsSync(FILE) ? readFileSync(FILE, 'utf8').trimEnd().split('\n') : [];
const placeOf = ({ drill, stage }: Pick<BenchmarkTableRow, 'drill' | 'stage'>) => `${drill} ${String(stage)}`;
const digests = new Map(library.map((drill) => [drill.slug, digestOf(drill)]));
/** Lines by their place; those that stay are not written anew. */
const rows = new Map<string, string>();
for (const line of lines) {
  for (const row of parseBenchmarkTable(line)) {
    const isCurrent =
      row.digest === digests.get(row.drill) &&
      row.modelVersion === MODEL_VERSION &&
      row.levelVersion === LEVEL_TABLE_VERSION;
    if (isCurrent) rows.set(placeOf(row), line);
  }
}

function save(): void {
  const sorted = [...rows].sort(([a], [b]) => a.localeCompare(b));
  writeFileSync(`${FILE}.new`, sorted.map(([, line]) => `${line}\n`).join(''));
  renameSync(`${FILE}.new`, FILE);
}

/** Families in the order of how long they take. */
const ORDER: readonly Drill['task']['kind'][] = [
  'position',
  'plant',
  'double',
  'kick',
  'safety',
  'land',
  'break',
  'clear',
];
const wanted = library
  .filter((drill) => canBePlayed(drill))
  .filter((drill) => words.length === 0 || words.includes(drill.slug) || words.includes(drill.family))
  .sort((a, b) => ORDER.indexOf(a.task.kind) - ORDER.indexOf(b.task.kind));

const threads = openThreads();
for (const drill of wanted) {
  for (let stage = 1; stage <= drill.stages.length; stage++) {
    const place = placeOf({ drill: drill.slug, stage });
    if (rows.has(place)) continue;
    const begun = performance.now();
    const setting = { card: standardCard(drill.table), conditions: null };
    const fingerprint = tableFingerprint(tableOfCard(setting.card, null));
    const parts = await Promise.all(
      benchmarkParts(drill, stage).map(async (part) => ({
        part,
        result: await threads.run({
          document: drill,
          revision: 1,
          begun: { stage, ladderStart: 0 },
          setting,
          fingerprint,
          part,
        }),
      })),
    );
    const row: BenchmarkTableRow = {
      drill: drill.slug,
      stage,
      digest: digestOf(drill),
      table: drill.table,
      modelVersion: MODEL_VERSION,
      levelVersion: LEVEL_TABLE_VERSION,
      benchmark: joinParts(parts),
    };
    rows.set(place, benchmarkLine(row));
    save();
    console.log(`${place}: ${((performance.now() - begun) / 1000).toFixed(1)} s`);
  }
}
await threads.close();
console.log(`${String(rows.size)} stages in ${FILE}`);
