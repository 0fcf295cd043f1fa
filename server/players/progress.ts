import { compareResults, medianResult } from '../../core/counting/result.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import type { Round } from '../../core/records/club.ts';
import { SKILLS, type Skill } from '../../core/records/drill.ts';
import type { KindProgress, PlayerProgress, SkillRating } from '../../core/records/progress.ts';
import { progressIn, ratingOfScore, type ProgressPoint } from '../../core/scoring/progress.ts';
import { rateRounds, type RatedRound } from '../../core/scoring/rating.ts';
import type { Distribution } from '../../core/statistics/distribution.ts';
import { findBenchmark } from '../db/queries/benchmarks.ts';
import { listResultsOfPlayer, type RoundResultRow } from '../db/queries/rounds.ts';
import { LIBRARY } from '../db/queries/drills.ts';
import type { Database } from '../db/pool.ts';
import { revisionOf } from '../drills/plans.ts';

const DAY_MS = 86_400_000;
const RECENT = 5;

/** A complete round with what is known of its kind. */
interface KnownRound extends RoundResultRow {
  readonly result: Round['result'];
  readonly day: number;
  readonly skills: readonly Skill[];
  /** How virtual players of the five levels score; undefined where none have played it. */
  readonly levels: readonly Distribution[] | undefined;
}

const kindOf = ({ drillOwner, drill, revision, stage, table }: RoundResultRow) =>
  [drillOwner, drill, revision, stage, table.fingerprint].join('|');

/** The complete rounds with skills and levels of their kinds, each kind looked up once. */
async function knownRounds(db: Database, rows: readonly RoundResultRow[]): Promise<readonly KnownRound[]> {
  const kinds = new Map<string, Pick<KnownRound, 'skills' | 'levels'>>();
  for (const row of rows) {
    const key = kindOf(row);
    if (kinds.has(key)) continue;
    const { drillOwner, drill, revision, stage, table } = row;
    const entry = await revisionOf(db, drillOwner, drill, revision);
    const benchmark = await findBenchmark(db, {
      owner: drillOwner,
      drill,
      revision,
      stage,
      tableFingerprint: table.fingerprint,
      modelVersion: MODEL_VERSION,
      levelVersion: LEVEL_TABLE_VERSION,
    });
    kinds.set(key, {
      skills: entry?.document.skills ?? [],
      levels: benchmark?.levels.map(({ round }) => round),
    });
  }
  return rows.flatMap((row) => {
    const kind = kinds.get(kindOf(row));
    if (row.result?.complete !== true || kind === undefined) return [];
    return [{ ...row, ...kind, result: row.result, day: row.startedAt.getTime() / DAY_MS }];
  });
}

function pointsOf(rounds: readonly KnownRound[]): readonly ProgressPoint[] {
  return rounds.flatMap(({ day, result, levels }) =>
    levels === undefined ? [] : [{ day, rating: ratingOfScore(result.value, levels) }],
  );
}

/** JSON knows no infinity: an interval without an end has none. */
const orNull = (value: number) => (Number.isFinite(value) ? value : null);

function ratingOf(skill: Skill, rounds: readonly KnownRound[], today: number): SkillRating | undefined {
  const own = rounds.filter(({ skills, levels }) => skills.includes(skill) && levels !== undefined);
  const rated = own.map(({ day, result, levels }): RatedRound => ({
    day,
    score: Math.round(result.value),
    levels: levels ?? [],
  }));
  const rating = rateRounds(rated, today);
  if (rating === undefined) return undefined;
  const { course, slope, comeback } = progressIn(pointsOf(own));
  return {
    skill,
    rating: rating.rating,
    low: rating.low,
    high: rating.high,
    rounds: rating.rounds,
    tables: new Set(own.map(({ table }) => table.fingerprint)).size,
    course,
    slope:
      slope === undefined ? null : { slope: slope.slope, low: orNull(slope.low), high: orNull(slope.high) },
    comeback,
  };
}

function kindProgress(rounds: readonly KnownRound[]): KindProgress | undefined {
  const last = rounds.at(-1);
  const results = rounds.map(({ result }) => result);
  const best = [...results].sort(compareResults)[0];
  if (last === undefined || best === undefined) return undefined;
  const { course, comeback, streak } = progressIn(pointsOf(rounds));
  const { drill, drillOwner, revision, stage, table, startedAt } = last;
  return {
    drill,
    ownDrill: drillOwner !== LIBRARY,
    revision,
    stage,
    table,
    rounds: rounds.length,
    best,
    last: last.result,
    median: medianResult(results.slice(-RECENT)),
    lastAt: startedAt.toISOString(),
    course,
    comeback,
    streak,
  };
}

/** Ratings by skill and the course of each drill, from the results of a period. */
export async function playerProgress(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  period: { readonly from: Date; readonly to: Date },
): Promise<PlayerProgress> {
  const rows = await listResultsOfPlayer(db, player.clubId, player.id, period);
  const rounds = await knownRounds(db, rows);
  const today = period.to.getTime() / DAY_MS;
  const byKind = new Map<string, KnownRound[]>();
  for (const round of rounds) {
    const list = byKind.get(kindOf(round)) ?? [];
    list.push(round);
    byKind.set(kindOf(round), list);
  }
  return {
    ratings: SKILLS.flatMap((skill) => ratingOf(skill, rounds, today) ?? []),
    unrated: rounds.filter(({ levels }) => levels === undefined).length,
    kinds: [...byKind.values()]
      .flatMap((each) => kindProgress(each) ?? [])
      .sort((a, b) => b.lastAt.localeCompare(a.lastAt)),
  };
}
