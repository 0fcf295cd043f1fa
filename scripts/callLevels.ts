import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { DIFFICULTIES } from '../core/judgement/kinds.ts';
import { MODEL_VERSION } from '../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION } from '../core/player/levels.ts';
import { parseCallLevels, type CallLevelRow } from '../core/records/callLevels.ts';
import { buildTable } from '../core/table/table.ts';
import { callCell } from '../core/virtual/calls/callCell.ts';
import { LEVEL_KINDS, type LevelKind } from '../core/virtual/calls/virtualCall.ts';

/**
 * Lets virtual players of each level call positions of every kind and difficulty, and keeps how right they were in
 * levels/calls.jsonl. What is there of these versions stays; so it goes on where it was stopped.
 */
const FILE = path.join('levels', 'calls.jsonl');
const DIGITS = 4;

/** Tables for which it is asked: others of a game take its rows. */
const TABLES = { pool: 'pool-9ft', snooker: 'snooker-12ft' } as const;
const GAMES = ['pool', 'snooker'] as const;

/** Positions of a cell: fewer where each has to be searched for, planned or measured for every level. */
const MANY = 60;
const POSITIONS: Readonly<Partial<Record<LevelKind, number>>> = {
  'how long is the window': 24,
  'which ball first': 12,
  'which suit': 8,
  'key ball': 8,
  'whole order': 8,
  'where to be': 12,
  'which line': 24,
  'where on the cushion': 40,
  'what will be on': 24,
};

const known = (): CallLevelRow[] =>
  existsSync(FILE)
    ? parseCallLevels(readFileSync(FILE, 'utf8')).filter(
        ({ modelVersion, levelVersion }) =>
          modelVersion === MODEL_VERSION && levelVersion === LEVEL_TABLE_VERSION,
      )
    : [];
const placeOf = ({ kind, game, difficulty }: Pick<CallLevelRow, 'kind' | 'game' | 'difficulty'>) =>
  `${kind}, ${game}, ${difficulty}`;

function save(row: CallLevelRow): void {
  const rows = [...known(), row].sort((a, b) => placeOf(a).localeCompare(placeOf(b)));
  writeFileSync(`${FILE}.new`, rows.map((each) => `${JSON.stringify(each)}\n`).join(''));
  renameSync(`${FILE}.new`, FILE);
}

/** Words on the command line name kinds; without one it is all of them. */
const words = process.argv.slice(2);

for (const kind of LEVEL_KINDS.filter((each) => words.length === 0 || words.includes(each))) {
  for (const game of GAMES) {
    for (const difficulty of DIFFICULTIES) {
      const place = placeOf({ kind, game, difficulty });
      if (known().some((row) => placeOf(row) === place)) continue;
      const begun = performance.now();
      const cell = callCell(buildTable(TABLES[game]), kind, difficulty, POSITIONS[kind] ?? MANY);
      const seconds = ((performance.now() - begun) / 1000).toFixed(1);
      if (cell === undefined) {
        console.log(`${place}: no position, ${seconds} s`);
        continue;
      }
      const scores = cell.scores.map((score) => Number(score.toPrecision(DIGITS)));
      save({
        kind,
        game,
        difficulty,
        modelVersion: MODEL_VERSION,
        levelVersion: LEVEL_TABLE_VERSION,
        positions: cell.positions,
        scores,
      });
      console.log(`${place}: ${scores.join(', ')} of ${String(cell.positions)}, ${seconds} s`);
    }
  }
}
process.exit(0);
