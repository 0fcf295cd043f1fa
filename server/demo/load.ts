import type { PoolConnection } from 'mysql2/promise';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { FIRST_RULES } from '../../core/records/clubRules.ts';
import { atStage } from '../../core/drill/stage.ts';
import { createRandom } from '../../core/random/random.ts';
import { benchmarkDrill } from '../../core/scoring/benchmark.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint, type Table } from '../../core/table/table.ts';
import { benchmarkKey, queueBenchmark } from '../benchmarks/queue.ts';
import { hashPassword } from '../auth/password.ts';
import { findBenchmark, storeBenchmark } from '../db/queries/benchmarks.ts';
import { insertCalibration } from '../db/queries/calibrations.ts';
import { noteConditions } from '../db/queries/conditions.ts';
import { claimInstallation, countClubs, insertClub, storeClubRules } from '../db/queries/clubs.ts';
import { storeCue } from '../db/queries/cues.ts';
import { listLibrary, type StoredDrill } from '../db/queries/drills.ts';
import { insertPerson } from '../db/queries/people.ts';
import { insertTable } from '../db/queries/tables.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction, type DatabasePool } from '../db/pool.ts';
import { planFor } from '../drills/plans.ts';
import {
  DEMO_CLUB,
  DEMO_COACHES,
  DEMO_OTHER_ROUNDS,
  DEMO_PLAYER_SIGN_IN,
  DEMO_PLAYERS,
  DEMO_SEED,
  otherSeed,
} from './people.ts';
import { DEMO_CALIBRATIONS, demoCalibration } from './calibrations.ts';
import { callPositions } from './calls.ts';
import { playCareer } from './careers.ts';
import { DEMO_CUES } from './cues.ts';
import { storeEvening } from './evening.ts';
import { idOf } from './ids.ts';
import { lessonOf, storeLessons } from './lessons.ts';
import { storeProgrammes } from './programmes.ts';
import type { DemoRound } from '../../core/records/demoRound.ts';
import { roundsOf } from './otherRounds.ts';
import { storeLoggedRound } from './rounds.ts';
import { DEMO_TABLES, homeOf, type DemoTable } from './tables.ts';

const SEED = DEMO_SEED;
const DAY_MS = 86_400_000;
/** All but every so many of the players use the trainers. */
const SILENT_OF = 4;

/** Loads the demo club into an empty database; a database that has a club is left alone. @param now ms since 1970 @param shipped rounds that need not be played anew */
export async function loadDemo(
  pool: DatabasePool,
  now: number,
  shipped: readonly DemoRound[] = [],
): Promise<boolean> {
  if ((await countClubs(pool)) > 0) return false;
  const drills = await listLibrary(pool);
  const passwords = await Promise.all(
    [...DEMO_COACHES, DEMO_PLAYER_SIGN_IN].map((p) => hashPassword(p.password)),
  );
  const made = inTransaction(pool, async (db) => {
    const clubId = idOf(DEMO_CLUB);
    await claimInstallation(db);
    await insertClub(db, clubId, DEMO_CLUB);
    // The made-up club stands where the machine stands.
    await storeClubRules(db, clubId, {
      ...FIRST_RULES,
      zone: new Intl.DateTimeFormat().resolvedOptions().timeZone,
    });
    for (const { name, card } of DEMO_TABLES) {
      await insertTable(db, clubId, { id: idOf(name), name, preset: card.preset, card });
    }
    for (const [i, coach] of DEMO_COACHES.entries()) {
      await insertPerson(db, {
        id: idOf(coach.name),
        clubId,
        role: 'coach',
        name: coach.name,
        hand: 'right',
        email: coach.email,
        passwordHash: passwords[i] ?? null,
        keeper: i === 0,
      });
    }
    for (const table of DEMO_TABLES) await noteDemoConditions(db, table, now);
    for (const [i, made] of DEMO_CALIBRATIONS.entries()) {
      const table = DEMO_TABLES.find(({ name }) => name === made.table);
      if (table === undefined) throw new Error(`loadDemo: there is no ${made.table}`);
      await insertCalibration(db, {
        id: idOf(`${made.table} calibration ${String(i)}`),
        tableId: idOf(made.table),
        document: demoCalibration(table, made, createRandom(SEED + i)),
        takenBy: idOf(DEMO_COACHES[0].name),
        takenAt: new Date(now - made.daysAgo * DAY_MS),
      });
    }
    for (const document of DEMO_CUES) {
      await storeCue(db, clubId, { id: idOf(document.name), document, archivedAt: null });
    }
    for (const [i, player] of DEMO_PLAYERS.entries()) {
      const own = player.name === DEMO_PLAYER_SIGN_IN.name;
      await insertPerson(db, {
        id: idOf(player.name),
        clubId,
        role: 'player',
        name: player.name,
        hand: player.hand,
        email: own ? DEMO_PLAYER_SIGN_IN.email : null,
        passwordHash: own ? (passwords[DEMO_COACHES.length] ?? null) : null,
      });
      await playCareer(db, { clubId, player, drills, random: createRandom(SEED + i), now });
      if (i % SILENT_OF !== SILENT_OF - 1) {
        await callPositions(db, {
          playerId: idOf(player.name),
          rating: player.career.at(-1)?.[1] ?? 0,
          preset:
            drills.find(({ document }) => document.slug === player.drills[0])?.document.table ?? 'pool-9ft',
          random: createRandom(SEED + 100 + i),
          now,
          idOf: (n) => idOf(`${player.name} call ${String(n)}`),
        });
      }
    }
    await storeLessons(db, { clubId, now, idOf });
    await storeProgrammes(db, { clubId, now });
    await playOtherRounds(db, { clubId, drills, now, shipped });
    await storeEvening(db, { clubId, now, idOf });
    const played = new Set(DEMO_PLAYERS.flatMap((player) => player.drills));
    for (const entry of drills.filter(({ document }) => played.has(document.slug))) {
      await storeBenchmarks(db, entry, tableOfCard(homeOf(entry).card, null));
    }
  });
  try {
    await made;
    return true;
  } catch (error) {
    // Of two servers that start at once the other one was first: its club is there.
    if (isDuplicate(error) && (await countClubs(pool)) > 0) return false;
    throw error;
  }
}

async function noteDemoConditions(db: PoolConnection, table: DemoTable, now: number): Promise<void> {
  for (const [i, { hoursAgo, conditions, note }] of table.notes.entries()) {
    await noteConditions(db, {
      id: idOf(`${table.name} note ${String(i)}`),
      tableId: idOf(table.name),
      conditions,
      note,
      notedBy: idOf(DEMO_COACHES[0].name),
      notedAt: new Date(now - hoursAgo * 3_600_000),
    });
  }
}

/** What does not ship for a table of the demo is computed: ratings are there at once. */
async function storeBenchmarks(db: PoolConnection, entry: StoredDrill, table: Table): Promise<void> {
  for (const [i, stage] of entry.document.stages.entries()) {
    const drill = atStage(entry.document, i + 1);
    const key = benchmarkKey(entry, { stage: i + 1, ladderStart: 0 }, tableFingerprint(table));
    if (!isPositionDrill(drill) || (await findBenchmark(db, key)) !== undefined) continue;
    await storeBenchmark(db, key, benchmarkDrill(drill, stage, planFor(entry, i + 1, table), SEED));
  }
}

interface OtherRounds {
  readonly clubId: string;
  readonly drills: readonly StoredDrill[];
  readonly now: number;
  readonly shipped: readonly DemoRound[];
}

/** Clearances, plants and the like: each drill planned once, then played round by round over the weeks. */
async function playOtherRounds(
  db: PoolConnection,
  { clubId, drills, now, shipped }: OtherRounds,
): Promise<void> {
  for (const [course, { player, level, drill, rounds, from, to }] of DEMO_OTHER_ROUNDS.entries()) {
    const entry = drills.find(({ document }) => document.slug === drill);
    if (entry === undefined) throw new Error(`loadDemo: there is no drill ${drill}`);
    const home = homeOf(entry);
    const table = tableOfCard(home.card, null);
    const fingerprint = tableFingerprint(table);
    await queueBenchmark(
      db,
      entry,
      { stage: 1, ladderStart: 0 },
      {
        setting: { card: home.card, conditions: null },
        fingerprint,
        clubId,
      },
    );
    const logsOf = roundsOf({ document: entry.document, card: home.card, level }, shipped);
    for (let k = 0; k < rounds; k++) {
      const name = `${player} ${drill} ${String(k)}`;
      const daysAgo = from + ((to - from) * k) / (rounds - 1);
      const day = Math.floor((now - daysAgo * DAY_MS) / DAY_MS) * DAY_MS;
      const row = {
        id: idOf(name),
        clubId,
        playerId: idOf(player),
        recordedBy: idOf(DEMO_COACHES[home.card.preset === 'pool-9ft' ? 0 : 1].name),
        tableId: idOf(home.name),
        tableRevision: 1,
        conditionsId: null,
        tableFingerprint: fingerprint,
        drillOwner: entry.owner,
        drill,
        revision: entry.revision,
        stage: 1,
        ladderStart: 0,
        mirrored: false,
        seed: otherSeed(course, k),
        lesson: k === rounds - 1 ? lessonOf(idOf, player, drill) : null,
        startedAt: new Date(Math.min(day + 18.5 * 3_600_000, now - 3_600_000)),
      };
      const attemptId = (ordinal: number) => idOf(`${name} ${String(ordinal)}`);
      await storeLoggedRound(db, row, {
        entry,
        table,
        tableName: home.name,
        logs: logsOf(row.seed),
        idOf: attemptId,
      });
    }
  }
}
