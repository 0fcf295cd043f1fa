import { createHash } from 'node:crypto';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createConnection } from 'mysql2/promise';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { LEVEL_NAMES, LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { standardCard, tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { migrate } from '../db/migrate.ts';
import { digestOf } from '../drills/library.ts';
import { MIGRATIONS } from './club.ts';

/** Ids of what an old installation holds. */
const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const NAMES = [
  'club',
  'coach',
  'player',
  'table',
  'round',
  'openRound',
  'attempt',
  'missed',
  'job',
  'note',
  'call',
  'lesson',
  'programme',
  'report',
  'block',
  'item',
] as const;
type Name = (typeof NAMES)[number];
export const OLD_IDS = Object.fromEntries(NAMES.map((name, i) => [name, idOf(i + 1)])) as Readonly<
  Record<Name, string>
>;

/** What its browsers hold. */
export const OLD_COOKIES = { coach: 'jolly_session=old-coach', player: 'jolly_session=old-player' } as const;
const sha = (text: string) => createHash('sha256').update(text).digest('hex');

function valuesOf(): Readonly<Record<string, string | number>> {
  const text = readFileSync('library/harbour-turn.drill.json', 'utf8');
  const card = standardCard('pool-9ft');
  // Scores from 0 to 30, the better level the more.
  const levels = LEVEL_NAMES.map((level, i) => ({
    level,
    potted: 0.5,
    round: Array.from({ length: 31 }, (_, score) => (score === 4 + 5 * i ? 1 : 0)),
  }));
  const json = JSON.stringify;
  return {
    ...OLD_IDS,
    coachSession: sha('old-coach'),
    playerSession: sha('old-player'),
    drill: text,
    digest: digestOf(drillSchema.validateSync(JSON.parse(text))),
    fingerprint: tableFingerprint(tableOfCard(card, null)),
    model: MODEL_VERSION,
    levels: LEVEL_TABLE_VERSION,
    card: json(card),
    setting: json({ card, conditions: null }),
    conditions: json({ air: 'damp', warmth: 'ordinary', balls: 'clean' }),
    source: json({ kind: 'seed', seed: 5, difficulty: 'fair' }),
    answer: json({ kind: 'verdict', verdict: 'yes' }),
    bands: json({ from: [1, 5, 9, 14, null] }),
    // As they were before whole rounds were played, and after.
    oldBenchmark: json({ executions: 100, levels }),
    benchmark: json({ executions: 100, wholeRounds: false, unit: 'points', better: 'high', levels }),
    lessonDocument: json({
      title: 'An old evening',
      day: '2026-11-01',
      tableId: OLD_IDS.table,
      playerIds: [OLD_IDS.player],
      turns: 'after each round',
      blocks: [
        {
          id: OLD_IDS.block,
          drill: 'harbour-turn',
          stage: 1,
          minutes: 20,
          startedAt: null,
          endedAt: null,
          note: '',
        },
      ],
      startedAt: null,
      endedAt: null,
      summary: '',
    }),
    programmeDocument: json({
      title: 'Old weeks',
      playerId: OLD_IDS.player,
      // A Wednesday: older versions did not ask for a Monday.
      startDay: '2026-11-04',
      weeks: 2,
      matchDays: [],
      items: [
        {
          id: OLD_IDS.item,
          day: '2026-11-05',
          drill: 'harbour-turn',
          stage: 1,
          minutes: 15,
          kind: 'practice',
          note: '',
        },
      ],
    }),
    reportDocument: json({
      playerId: OLD_IDS.player,
      from: '2026-10-01',
      to: '2026-11-01',
      words: '',
      goals: [],
    }),
    codeDigest: sha('old-code'),
  };
}

/** The statements for an installation that has run the migrations up to a number ("0007"). */
function statementsAt(number: string): string {
  const parts = readFileSync('server/testing/oldData.sql', 'utf8')
    .split(/^-- since /m)
    .slice(1);
  const values = valuesOf();
  return parts
    .filter((part) => {
      const [, since = '', until = '9999'] = /^(\d{4})(?: until (\d{4}))?/.exec(part) ?? [];
      return since <= number && number <= until;
    })
    .map((part) => part.slice(part.indexOf('\n')))
    .join('\n')
    .replaceAll(/:([a-zA-Z]+)\b/g, (_, name: string) => {
      const value = values[name];
      if (value === undefined) throw new Error(`statementsAt: nothing is known of :${name}`);
      return typeof value === 'number'
        ? String(value)
        : `'${value.replaceAll('\\', '\\\\').replaceAll("'", "\\'")}'`;
    });
}

/** The numbers of all migrations, "0001" first. */
export const migrationNumbers = (): readonly string[] =>
  readdirSync(MIGRATIONS)
    .map((name) => name.slice(0, 4))
    .sort();

/** Makes an installation as it was when a migration was the newest, with what it held. */
export async function makeOldInstallation(url: string, number: string): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'jolly-old-'));
  try {
    for (const name of readdirSync(MIGRATIONS).filter((each) => each.slice(0, 4) <= number)) {
      cpSync(path.join(MIGRATIONS, name), path.join(folder, name));
    }
    await migrate(url, folder);
    const connection = await createConnection({ uri: url, multipleStatements: true });
    // What refers to what came in another order over the years.
    await connection.query(`SET foreign_key_checks = 0; ${statementsAt(number)}`);
    await connection.end();
  } finally {
    rmSync(folder, { recursive: true });
  }
}
