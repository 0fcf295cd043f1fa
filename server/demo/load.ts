import { createHash } from 'node:crypto';
import type { Pool, PoolConnection } from 'mysql2/promise';
import { playOnce } from '../../core/planning/cloud.ts';
import { executed } from '../../core/player/execute.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { executionErrorAt, LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { createRandom, type Random } from '../../core/random/random.ts';
import { BLANK_SHOT, logOf } from '../../core/records/attempt.ts';
import type { StoredAttempt } from '../../core/records/club.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { benchmarkDrill } from '../../core/scoring/benchmark.ts';
import { virtualRounds } from '../../core/virtual/playRound.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint, type Table } from '../../core/table/table.ts';
import { hashPassword } from '../auth/password.ts';
import { insertAttempt } from '../db/queries/attempts.ts';
import { storeBenchmark } from '../db/queries/benchmarks.ts';
import { noteConditions } from '../db/queries/conditions.ts';
import { claimInstallation, countClubs, insertClub } from '../db/queries/clubs.ts';
import { listLibrary, type StoredDrill } from '../db/queries/drills.ts';
import { insertPerson } from '../db/queries/people.ts';
import { endRound, insertRound, type NewRoundRow } from '../db/queries/rounds.ts';
import { insertTable } from '../db/queries/tables.ts';
import { inTransaction } from '../db/pool.ts';
import { planFor } from '../drills/plans.ts';
import { countFor, resultOf } from '../rounds/counting.ts';
import {
  DEMO_CLUB,
  DEMO_COACHES,
  DEMO_OTHER_ROUNDS,
  DEMO_PLAYER_SIGN_IN,
  DEMO_PLAYERS,
  type Career,
  type DemoPlayer,
} from './people.ts';
import { callPositions } from './calls.ts';
import { lessonOf, storeLessons } from './lessons.ts';
import { storeVirtualRound } from './rounds.ts';
import { DEMO_TABLES, type DemoTable } from './tables.ts';

const SEED = 4610;
const DAY_MS = 86_400_000;
const SECONDS_PER_SHOT = 35;
/** Every so many of the players use the trainers. */
const CALLERS_OF = 3;

/** The same name gives the same id, so that links into the demo stay good when it is made anew. */
function idOf(name: string): string {
  const hex = createHash('sha256').update(`demo ${name}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

function ratingAt(career: Career, share: number): number {
  const after = career.findIndex(([at], i) => i > 0 && share <= at);
  const [from, to] = [career[after - 1], career[after]];
  if (from === undefined || to === undefined) return career[career.length - 1]?.[1] ?? 0;
  return from[1] + ((share - from[0]) / (to[0] - from[0])) * (to[1] - from[1]);
}

/** Loads the demo club into an empty database; a database that has a club is left alone. @param now ms since 1970 */
export async function loadDemo(pool: Pool, now: number): Promise<boolean> {
  if ((await countClubs(pool)) > 0) return false;
  const drills = await listLibrary(pool);
  const passwords = await Promise.all(
    [...DEMO_COACHES, DEMO_PLAYER_SIGN_IN].map((p) => hashPassword(p.password)),
  );
  await inTransaction(pool, async (db) => {
    const clubId = idOf(DEMO_CLUB);
    await claimInstallation(db);
    await insertClub(db, clubId, DEMO_CLUB);
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
      });
    }
    for (const table of DEMO_TABLES) await noteDemoConditions(db, table, now);
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
      if (i % CALLERS_OF === 0) {
        await callPositions(db, {
          playerId: idOf(player.name),
          preset:
            drills.find(({ document }) => document.slug === player.drills[0])?.document.table ?? 'pool-9ft',
          random: createRandom(SEED + 100 + i),
          now,
          idOf: (n) => idOf(`${player.name} call ${String(n)}`),
        });
      }
    }
    await storeLessons(db, { clubId, now, idOf });
    await playOtherRounds(db, { clubId, drills, now });
    const played = new Set(DEMO_PLAYERS.flatMap((player) => player.drills));
    for (const entry of drills.filter(({ document }) => played.has(document.slug))) {
      await storeBenchmarks(db, entry, tableOfCard(homeOf(entry).card, null));
    }
  });
  return true;
}

/** The table on which the demo's players play a drill: the first of its kind. */
function homeOf({ document }: StoredDrill): DemoTable {
  const table = DEMO_TABLES.find(({ card }) => card.preset === document.table);
  if (table === undefined) throw new Error(`loadDemo: there is no table for ${document.slug}`);
  return table;
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

async function storeBenchmarks(db: PoolConnection, entry: StoredDrill, table: Table): Promise<void> {
  for (const [i, stage] of entry.document.stages.entries()) {
    const plan = planFor(entry, i + 1, table);
    const drill = atStage(entry.document, i + 1);
    if (!isPositionDrill(drill)) continue;
    await storeBenchmark(
      db,
      {
        owner: entry.owner,
        drill: entry.document.slug,
        revision: entry.revision,
        stage: i + 1,
        tableFingerprint: tableFingerprint(plan.shot.table),
        modelVersion: MODEL_VERSION,
        levelVersion: LEVEL_TABLE_VERSION,
      },
      benchmarkDrill(drill, stage, plan, SEED),
    );
  }
}

interface CareerOptions {
  readonly clubId: string;
  readonly player: DemoPlayer;
  readonly drills: readonly StoredDrill[];
  readonly random: Random;
  readonly now: number;
}

/** Plays a student's months: rounds spread over the days, in the evening, each at the rating of that time. */
async function playCareer(db: PoolConnection, options: CareerOptions): Promise<void> {
  const { player, random, now } = options;
  for (const [d, slug] of player.drills.entries()) {
    const entry = options.drills.find((candidate) => candidate.document.slug === slug);
    if (entry === undefined) throw new Error(`loadDemo: there is no drill ${slug}`);
    const table = homeOf(entry);
    for (let k = 0; k < player.roundsPerDrill; k++) {
      const share = player.roundsPerDrill === 1 ? 1 : k / (player.roundsPerDrill - 1);
      const daysAgo =
        player.from +
        (player.to - player.from) * share +
        (k === 0 || share === 1 ? 0 : random.uniform() - 0.5);
      const evening =
        Math.floor((now - daysAgo * DAY_MS) / DAY_MS) * DAY_MS + (17 + 3 * random.uniform()) * 3_600_000;
      const startedAt = Math.min(evening + d * 900_000, now - 3_600_000 + d * 900_000);
      // A good or a bad day moves a player by a few points.
      const rating = ratingAt(player.career, share) + 3 * random.normal();
      await playRound(db, {
        ...options,
        entry,
        table,
        rating,
        startedAt,
        id: idOf(`${player.name} ${slug} ${String(k)}`),
        lesson: share === 1 ? lessonOf(idOf, player.name, slug) : null,
      });
    }
  }
}

interface DemoRound extends CareerOptions {
  readonly lesson: NewRoundRow['lesson'];
  readonly id: string;
  readonly entry: StoredDrill;
  readonly table: DemoTable;
  readonly rating: number;
  readonly startedAt: number;
}

/** One round by a virtual player, counted by the same code as everybody's. */
async function playRound(db: PoolConnection, round: DemoRound): Promise<void> {
  const { entry, random } = round;
  const table = tableOfCard(round.table.card, null);
  const stageNumber = 2;
  const document = atStage(entry.document, stageNumber);
  const stage = document.stages[stageNumber - 1];
  if (stage === undefined || !isPositionDrill(document)) {
    throw new Error(`loadDemo: ${document.slug} is no position drill`);
  }
  const plan = planFor(entry, stageNumber, table);
  const shots = document.scoring.shots;
  const coach = idOf(DEMO_COACHES[document.table === 'pool-9ft' ? 0 : 1].name);
  await insertRound(db, {
    id: round.id,
    clubId: round.clubId,
    playerId: idOf(round.player.name),
    recordedBy: coach,
    tableId: idOf(round.table.name),
    tableRevision: 1,
    conditionsId: null,
    tableFingerprint: tableFingerprint(table),
    drillOwner: entry.owner,
    drill: document.slug,
    revision: entry.revision,
    stage: stageNumber,
    ladderStart: 0,
    seed: 1,
    lesson: round.lesson,
    startedAt: new Date(round.startedAt),
  });
  const error = executionErrorAt(round.rating, plan.shot.table.preset.game);
  const task = { object: document.task.pot, pocket: document.task.pocket };
  const attempts: StoredAttempt[] = [];
  for (let ordinal = 1; ordinal <= shots; ordinal++) {
    const { outcome, landing } = playOnce(executed(plan.shot, error, random), task);
    const fell = outcome === 'potted';
    const log = logOf({
      shots: [
        {
          ...BLANK_SHOT,
          ball: task.object,
          pocket: task.pocket,
          potted: fell ? [task.object] : [],
          inOff: outcome === 'in-off',
          landing: fell ? landing : null,
        },
      ],
    });
    const id = idOf(`${round.id} ${String(ordinal)}`);
    const playedAt = new Date(round.startedAt + ordinal * SECONDS_PER_SHOT * 1000).toISOString();
    const attempt = countFor(entry, { table }, { stage: stageNumber }, { id, ordinal, log, playedAt });
    attempts.push(attempt);
    await insertAttempt(db, round.id, attempt, { recordedBy: coach, contested: false });
  }
  await endRound(db, round.id, {
    at: new Date(round.startedAt + (shots + 1) * SECONDS_PER_SHOT * 1000),
    early: false,
    result: resultOf(entry, { stage: stageNumber, ladderStart: 0 }, attempts),
  });
}

interface OtherRounds {
  readonly clubId: string;
  readonly drills: readonly StoredDrill[];
  readonly now: number;
}

/** Clearances, plants and the like: each drill planned once, then played round by round over the weeks. */
async function playOtherRounds(db: PoolConnection, { clubId, drills, now }: OtherRounds): Promise<void> {
  for (const { player, level, drill, rounds, from, to } of DEMO_OTHER_ROUNDS) {
    const entry = drills.find(({ document }) => document.slug === drill);
    if (entry === undefined) throw new Error(`loadDemo: there is no drill ${drill}`);
    const home = homeOf(entry);
    const table = tableOfCard(home.card, null);
    const played = virtualRounds(entry.document, 1, table, level);
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
        tableFingerprint: tableFingerprint(table),
        drillOwner: entry.owner,
        drill,
        revision: entry.revision,
        stage: 1,
        ladderStart: 0,
        seed: SEED + k,
        lesson: k === rounds - 1 ? lessonOf(idOf, player, drill) : null,
        startedAt: new Date(Math.min(day + 18.5 * 3_600_000, now - 3_600_000)),
      };
      const seed = SEED + k;
      const attemptId = (ordinal: number) => idOf(`${name} ${String(ordinal)}`);
      await storeVirtualRound(db, row, { entry, table, rounds: played, seed, idOf: attemptId });
    }
  }
}
