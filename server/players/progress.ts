import { compareResults, isComparable, medianResult } from '../../core/counting/result.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { Round } from '../../core/records/round.ts';
import { SKILLS, type Skill } from '../../core/records/drill.ts';
import type { KindProgress, MonthSums, PlayerProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import type { RoundSums } from '../../core/records/roundSums.ts';
import { benchmarkScore } from '../../core/scoring/benchmark.ts';
import { rateJudgement } from '../../core/scoring/judgementRating.ts';
import { progressIn, ratingScale, type ProgressPoint } from '../../core/scoring/progress.ts';
import { ChanceTables, rateRounds, type Rating } from '../../core/scoring/rating.ts';
import { addSums } from '../../core/scoring/roundSums.ts';
import type { Distribution } from '../../core/statistics/distribution.ts';
import type { Slope } from '../../core/statistics/slope.ts';
import { groupBy } from '../../core/statistics/groupBy.ts';
import { knownBenchmarks, textOf } from '../benchmarks/known.ts';
import { benchmarkKey } from '../benchmarks/queue.ts';
import { listCallScores } from '../db/queries/calls.ts';
import type { RoundResultRow } from '../db/queries/results.ts';
import { LIBRARY, readableRevision } from '../db/queries/drills.ts';
import type { Database } from '../db/pool.ts';
import { keptResults } from './keptResults.ts';

const DAY_MS = 86_400_000;
const RECENT = 5;

/** What is looked at of a player: a period, and what else is chosen. */
export interface ProgressChoice {
  readonly from: Date;
  readonly to: Date;
  readonly tableId: string | undefined;
  readonly drill: string | undefined;
  readonly skill: Skill | undefined;
}

/** How virtual players of the five levels score, with what follows from it. */
interface KnownLevels {
  readonly rounds: readonly Distribution[];
  /** The rating whose expected score a score is. */
  readonly scale: (score: number) => number;
}

/** Worked out once for each benchmark that this process remembers: players of a club play the same drills. */
const levelsKnown = new WeakMap<Benchmark, KnownLevels>();
const chanceTables = new ChanceTables();

function levelsOf(benchmark: Benchmark): KnownLevels {
  const known = levelsKnown.get(benchmark);
  if (known !== undefined) return known;
  const rounds = benchmark.levels.map(({ round }) => round);
  const levels = { rounds, scale: ratingScale(rounds) };
  levelsKnown.set(benchmark, levels);
  return levels;
}

/** A round that counts, with what is known of its kind. */
export interface KnownRound extends RoundResultRow {
  readonly result: Round['result'];
  readonly sums: RoundSums;
  readonly day: number;
  readonly skills: readonly Skill[];
  /** How virtual players of the five levels score; undefined where none have played it. */
  readonly levels: KnownLevels | undefined;
}

const kindOf = ({ drillOwner, drill, revision, stage, table }: RoundResultRow) =>
  [drillOwner, drill, revision, stage, table.fingerprint].join('|');

/** The ended rounds of a period with skills and levels of their kinds, each kind looked up once. */
export async function knownRounds(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  period: { readonly from: Date; readonly to: Date },
): Promise<readonly KnownRound[]> {
  const rows = await keptResults(db, player, period);
  const first = new Map(rows.map(({ row }) => [kindOf(row), row]));
  const subjects = await Promise.all(
    [...first].map(async ([kind, row]) => {
      const entry = await readableRevision(db, row.drillOwner, row.drill, row.revision);
      return { kind, entry, key: entry && benchmarkKey(entry, row.stage, row.table.fingerprint) };
    }),
  );
  const benchmarks = await knownBenchmarks(
    db,
    subjects.flatMap(({ key }) => key ?? []),
  );
  const kinds = new Map(
    subjects.map(({ kind, entry, key }): [string, Pick<KnownRound, 'skills' | 'levels'>] => {
      const benchmark = key && benchmarks.get(textOf(key));
      return [kind, { skills: entry?.document.skills ?? [], levels: benchmark && levelsOf(benchmark) }];
    }),
  );
  return rows.flatMap(({ row, kept }) => {
    const kind = kinds.get(kindOf(row));
    return kind === undefined ? [] : [{ ...row, ...kind, ...kept, day: row.startedAt.getTime() / DAY_MS }];
  });
}

/** Results on the scale of ratings, as far as their levels are known. */
export function pointsOf(rounds: readonly KnownRound[]): readonly ProgressPoint[] {
  return rounds.flatMap(({ day, result, levels }) =>
    levels === undefined ? [] : [{ day, rating: levels.scale(benchmarkScore(result)) }],
  );
}

/** JSON knows no infinity: an interval without an end has none. */
const orNull = (value: number) => (Number.isFinite(value) ? value : null);

/** A slope as it is told. */
function slopeOf(slope: Slope | undefined): SkillRating['slope'] {
  return slope === undefined
    ? null
    : { slope: slope.slope, low: orNull(slope.low), high: orNull(slope.high) };
}

function ratingRecord(
  skill: Skill,
  basis: SkillRating['basis'],
  { rating, low, high, rounds }: Rating,
  points: readonly ProgressPoint[],
  tables: number,
): SkillRating {
  const { course, slope, comeback } = progressIn(points);
  return {
    skill,
    basis,
    rating,
    low,
    high,
    rounds,
    tables,
    course,
    slope: slopeOf(slope),
    comeback,
  };
}

/** The rating of a skill by the rounds whose levels are known. @param today days */
function ratingOf(skill: Skill, rounds: readonly KnownRound[], today: number): SkillRating | undefined {
  const own = rounds.filter(
    ({ skills, levels, result }) => skills.includes(skill) && levels !== undefined && isComparable(result),
  );
  const rating = rateRounds(
    own.map(({ day, result, levels }) => ({
      day,
      score: benchmarkScore(result),
      levels: levels?.rounds ?? [],
    })),
    today,
    chanceTables,
  );
  const tables = new Set(own.map(({ table }) => table.fingerprint)).size;
  return rating && ratingRecord(skill, 'rounds', rating, pointsOf(own), tables);
}

async function judgementOf(
  db: Database,
  playerId: string,
  { from, to }: ProgressChoice,
): Promise<SkillRating | undefined> {
  const calls = await listCallScores(db, playerId, { from, to });
  const rated = calls.map(({ at, score }) => ({ day: at.getTime() / DAY_MS, score }));
  const rating = rateJudgement(rated, to.getTime() / DAY_MS);
  const points = rated.map(({ day, score }) => ({ day, rating: 100 * score }));
  return rating && ratingRecord('judgement', 'calls', rating, points, 1);
}

function kindProgress(rounds: readonly KnownRound[]): KindProgress | undefined {
  const last = rounds.at(-1);
  const results = rounds.map(({ result }) => result);
  const best = [...results].sort(compareResults)[0];
  if (last === undefined || best === undefined) return undefined;
  const { course, slope, comeback, streak } = progressIn(pointsOf(rounds));
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
    slope: slopeOf(slope),
    comeback,
    streak,
  };
}

/** Where each kind of round goes, and no more of it. */
export function coursesOf(rounds: readonly KnownRound[]): KindProgress['course'][] {
  const byKind = groupBy(
    rounds.filter(({ result }) => isComparable(result)),
    kindOf,
  );
  return [...byKind.values()].map((own) => progressIn(pointsOf(own)).course);
}

/** The course of each kind of round, the one played last first. */
export function kindsOf(rounds: readonly KnownRound[]): KindProgress[] {
  const byKind = groupBy(
    rounds.filter(({ result }) => isComparable(result)),
    kindOf,
  );
  return [...byKind.values()]
    .flatMap((each) => kindProgress(each) ?? [])
    .sort((a, b) => b.lastAt.localeCompare(a.lastAt));
}

function monthsOf(rounds: readonly KnownRound[]): MonthSums[] {
  const byMonth = groupBy(rounds, ({ startedAt }) => startedAt.toISOString().slice(0, 7));
  return [...byMonth].map(([month, own]) => ({
    month,
    rounds: own.length,
    sums: addSums(own.map(({ sums }) => sums)),
  }));
}

/** The ratings of all skills. */
export async function ratingsOf(
  db: Database,
  playerId: string,
  rounds: readonly KnownRound[],
  choice: ProgressChoice,
): Promise<SkillRating[]> {
  const today = choice.to.getTime() / DAY_MS;
  const skills = choice.skill === undefined ? SKILLS : [choice.skill];
  const ratings = skills.flatMap((skill) =>
    skill === 'judgement' ? [] : (ratingOf(skill, rounds, today) ?? []),
  );
  const calls = skills.includes('judgement') && choice.tableId === undefined && choice.drill === undefined;
  const judgement = calls ? await judgementOf(db, playerId, choice) : undefined;
  return judgement === undefined ? ratings : [...ratings, judgement];
}

/** Ratings by skill, the course of each drill and what the shots add up to, from what is kept of a period's rounds. */
export async function playerProgress(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  choice: ProgressChoice,
): Promise<PlayerProgress> {
  const all = await knownRounds(db, player, choice);
  const rounds = all.filter(
    ({ table, drill, skills }) =>
      (choice.tableId === undefined || table.id === choice.tableId) &&
      (choice.drill === undefined || drill === choice.drill) &&
      (choice.skill === undefined || skills.includes(choice.skill)),
  );
  return {
    ratings: await ratingsOf(db, player.id, rounds, choice),
    unrated: rounds.filter(({ levels, result }) => levels === undefined && isComparable(result)).length,
    kinds: kindsOf(rounds),
    months: monthsOf(rounds),
    tables: [...new Map(all.map(({ table }) => [table.id, { id: table.id, name: table.name }])).values()],
    drills: [...new Set(all.map(({ drill }) => drill))],
  };
}
