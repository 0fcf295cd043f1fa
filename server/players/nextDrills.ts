import { tablesOf } from '../../core/drill/stage.ts';
import type { NextDrill } from '../../core/records/nextDrill.ts';
import { nextDrills, scoresAt, type DrillCandidate, type KnownRating } from '../../core/scoring/nextDrill.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { EveningWants } from '../../core/records/evening.ts';
import { wantsOf, type EveningCandidate } from '../../core/evening/wants.ts';
import { courseOf } from '../../core/scoring/progress.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { canBePlayed } from '../../core/virtual/playRound.ts';
import { knownBenchmarks, textOf } from '../benchmarks/known.ts';
import type { BenchmarkKey } from '../db/queries/benchmarks.ts';
import { benchmarkKey } from '../benchmarks/queue.ts';
import { LIBRARY, listDrills } from '../db/queries/drills.ts';
import { listTables } from '../db/queries/tables.ts';
import type { Database } from '../db/pool.ts';
import { knownRounds, pointsOf, type KnownRound } from './knownRounds.ts';
import { ratingsOf } from './progress.ts';

const DAY_MS = 86_400_000;
const SHOWN = 6;

/** What the player's rounds say of a drill's stage. */
function courseIn(rounds: readonly KnownRound[], today: number): Pick<DrillCandidate, 'restDays' | 'course'> {
  const last = rounds.at(-1);
  return {
    restDays: last === undefined ? undefined : Math.max(0, today - last.day),
    course: rounds.length === 0 ? undefined : courseOf(pointsOf(rounds)),
  };
}

/** The share of the best result that a player can expect by their rating, 0…1. */
function easeAt({ levels, better }: Benchmark, rating: number): number | undefined {
  const rounds = levels.map(({ round }) => round);
  const best = Math.max(0, ...rounds.map(({ length }) => length - 1));
  if (best === 0) return undefined;
  const share = scoresAt(rounds, rating).mean / best;
  return better === 'low' ? 1 - share : share;
}

/** A player's rating where nothing is known of a skill. */
const UNKNOWN_RATING = 45;

export interface Candidates {
  readonly candidates: readonly EveningCandidate[];
  readonly ratings: readonly KnownRating[];
}

/** What a club plays on and by: the same for all of its players. */
export interface ClubKit {
  readonly drills: Awaited<ReturnType<typeof listDrills>>;
  readonly tables: Awaited<ReturnType<typeof listTables>>;
}

/** Reads the drills and tables of a club. @param at when the tables are asked for */
export async function kitOf(
  db: Database,
  { clubId, id }: { readonly clubId: string; readonly id: string },
  at: Date,
): Promise<ClubKit> {
  const tables = await listTables(db, clubId, at);
  return {
    drills: await listDrills(db, clubId, id),
    tables: tables.filter(({ archived }) => !archived),
  };
}

/**
 * Every drill's stage that a player can play on the club's tables, with what is known of it.
 * @param kit the club's drills and tables, where they are read already
 */
export async function candidatesOf(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  period: { readonly from: Date; readonly to: Date },
  kit?: ClubKit,
): Promise<Candidates> {
  const rounds = await knownRounds(db, player, { ...period, sums: false });
  const choice = { ...period, tableId: undefined, drill: undefined, skill: undefined };
  const ratings = await ratingsOf(db, player.id, rounds, choice);
  const { drills, tables } = kit ?? (await kitOf(db, player, period.to));
  // Whoever plays one game is not sent to the other's tables.
  const played = new Set(rounds.map(({ row }) => row.table.preset));
  const today = period.to.getTime() / DAY_MS;
  const stages: (Omit<EveningCandidate, 'levels' | 'ease'> & { readonly key: BenchmarkKey })[] = [];
  for (const { document, revision, archived, own: isOwn } of drills) {
    const table = tables.find(
      ({ preset }) => tablesOf(document).includes(preset) && (played.size === 0 || played.has(preset)),
    );
    if (archived || table === undefined || !canBePlayed(document)) continue;
    const owner = isOwn ? player.clubId : LIBRARY;
    const fingerprint = tableFingerprint(
      tableOfCard(table.state.card, table.state.conditions?.conditions ?? null),
    );
    for (const [i] of document.stages.entries()) {
      const stage = i + 1;
      const own = rounds.filter(({ row }) => row.drill === document.slug && row.stage === stage);
      const ladderStart = own.at(-1)?.row.ladderStart ?? 0;
      const key = benchmarkKey({ owner, document, revision }, { stage, ladderStart }, fingerprint);
      stages.push({
        key,
        drill: document.slug,
        stage,
        skills: document.skills,
        tables: tablesOf(document),
        ...courseIn(own, today),
      });
    }
  }
  const benchmarks = await knownBenchmarks(
    db,
    stages.map(({ key }) => key),
  );
  const candidates = stages.map(({ key, ...candidate }): EveningCandidate => {
    const benchmark = benchmarks.get(textOf(key));
    const own = ratings.find(({ skill }) => skill === candidate.skills[0])?.rating ?? UNKNOWN_RATING;
    return {
      ...candidate,
      levels: benchmark?.levels.map(({ round }) => round),
      ease: benchmark && easeAt(benchmark, own),
    };
  });
  return { candidates, ratings };
}

/** Drills that a player could practise next on the club's tables, the best first. */
export async function nextDrillsOf(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  period: { readonly from: Date; readonly to: Date },
): Promise<NextDrill[]> {
  const { candidates, ratings } = await candidatesOf(db, player, period);
  return nextDrills(candidates, ratings)
    .slice(0, SHOWN)
    .map(({ drill, stage, skill, behind, isSurelyBehind, shows, restDays, course }) => ({
      drill,
      stage,
      skill,
      behind: behind ?? null,
      isSurelyBehind,
      shows: shows ?? null,
      restDays: restDays ?? null,
      course: course ?? null,
    }));
}

/** What a player could play on an evening at the club's tables. */
export async function eveningWantsOf(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  period: { readonly from: Date; readonly to: Date },
  kit: ClubKit,
): Promise<EveningWants[number]> {
  const { candidates, ratings } = await candidatesOf(db, player, period, kit);
  return { playerId: player.id, wants: [...wantsOf(candidates, ratings)] };
}
