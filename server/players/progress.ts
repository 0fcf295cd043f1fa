import { compareResults, medianResult } from '../../core/counting/result.ts';
import { monthIn } from '../../core/programme/days.ts';
import { SKILLS, type Skill } from '../../core/records/drill.ts';
import type { KindProgress, MonthSums, PlayerProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import { rateJudgement, type RatedCall } from '../../core/scoring/judgementRating.ts';
import { courseOf, progressIn, type ProgressPoint, type Slope } from '../../core/scoring/progress.ts';
import { ChanceTables, rateRounds, type Rating } from '../../core/scoring/rating.ts';
import { addSums } from '../../core/scoring/roundSums.ts';
import { groupBy } from '../../core/statistics/groupBy.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { listCalled } from '../db/queries/calls.ts';
import { LIBRARY } from '../db/queries/drills.ts';
import type { Database } from '../db/pool.ts';
import { callLevels } from './callLevels.ts';
import { knownRounds, pointsOf, type KnownRound } from './knownRounds.ts';

const DAY_MS = 86_400_000;
const RECENT = 5;
/** Of fewer calls no day's level is told. */
const CALLS_OF_DAY = 4;
const chanceTables = new ChanceTables();

/** What is looked at of a player: a period, and what else is chosen. */
export interface ProgressChoice {
  readonly from: Date;
  readonly to: Date;
  readonly tableId: string | undefined;
  readonly drill: string | undefined;
  readonly skill: Skill | undefined;
}

/** A player with their club, whose clock tells the months. */
interface ProgressOf {
  readonly clubId: string;
  readonly id: string;
  readonly zone: string;
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
    ({ kind, comparable }) => comparable && kind.levels !== undefined && kind.skills.includes(skill),
  );
  const rating = rateRounds(
    own.map(({ day, score, kind }) => ({ day, score, levels: kind.levels?.rounds ?? [] })),
    today,
    chanceTables,
  );
  const tables = new Set(own.map(({ row }) => row.table.fingerprint)).size;
  return rating && ratingRecord(skill, 'rounds', rating, pointsOf(own), tables);
}

async function judgementOf(
  db: Database,
  playerId: string,
  { from, to }: ProgressChoice,
): Promise<SkillRating | undefined> {
  const rated = (await listCalled(db, playerId, { from, to })).map(
    ({ at, kind, preset, source, score }): RatedCall => ({
      day: at.getTime() / DAY_MS,
      kind,
      game: TABLE_PRESETS[preset].game,
      difficulty: source.kind === 'seed' ? source.difficulty : undefined,
      score,
    }),
  );
  const levels = callLevels();
  const rating = rateJudgement(rated, levels, to.getTime() / DAY_MS);
  // One call says next to nothing: a day's calls together make a point.
  const points = [...groupBy(rated, ({ day }) => Math.floor(day))].flatMap(([day, own]) => {
    const alone = own.length < CALLS_OF_DAY ? undefined : rateJudgement(own, levels, day);
    return alone === undefined ? [] : [{ day, rating: alone.rating }];
  });
  return rating && ratingRecord('judgement', 'calls', rating, points, 1);
}

function kindProgress(rounds: readonly KnownRound[]): KindProgress | undefined {
  const last = rounds.at(-1);
  const results = rounds.map(({ kept }) => kept.result);
  const best = [...results].sort(compareResults)[0];
  if (last === undefined || best === undefined) return undefined;
  const { course, slope, comeback, streak } = progressIn(pointsOf(rounds));
  const { drill, drillOwner, revision, stage, ladderStart, table, startedAt } = last.row;
  return {
    drill,
    ownDrill: drillOwner !== LIBRARY,
    revision,
    stage,
    ladderStart,
    table,
    rounds: rounds.length,
    best,
    last: last.kept.result,
    median: medianResult(results.slice(-RECENT)),
    lastAt: startedAt.toISOString(),
    course,
    slope: slopeOf(slope),
    comeback,
    streak,
  };
}

/** Rounds that count among others of their kind, by it. */
function byKind(rounds: readonly KnownRound[]): readonly KnownRound[][] {
  const comparable = rounds.filter((round) => round.comparable);
  return [...groupBy(comparable, ({ row }) => row.kind).values()];
}

/** Where each kind of round goes, and no more of it. */
export function coursesOf(rounds: readonly KnownRound[]): KindProgress['course'][] {
  return byKind(rounds).map((own) => courseOf(pointsOf(own)));
}

/** The course of each kind of round, the one played last first. */
export function kindsOf(rounds: readonly KnownRound[]): KindProgress[] {
  return byKind(rounds)
    .flatMap((each) => kindProgress(each) ?? [])
    .sort((a, b) => b.lastAt.localeCompare(a.lastAt));
}

function monthsOf(rounds: readonly KnownRound[], zone: string): MonthSums[] {
  const byMonth = groupBy(rounds, ({ row }) => monthIn(row.startedAt, zone));
  return [...byMonth].map(([month, own]) => ({
    month,
    rounds: own.length,
    sums: addSums(own.flatMap(({ kept }) => kept.sums ?? [])),
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
  player: ProgressOf,
  choice: ProgressChoice,
): Promise<PlayerProgress> {
  const all = await knownRounds(db, player, { ...choice, sums: true });
  const rounds = all.filter(
    ({ row, kind }) =>
      (choice.tableId === undefined || row.table.id === choice.tableId) &&
      (choice.drill === undefined || row.drill === choice.drill) &&
      (choice.skill === undefined || kind.skills.includes(choice.skill)),
  );
  return {
    ratings: await ratingsOf(db, player.id, rounds, choice),
    unrated: rounds.filter(({ kind, comparable }) => comparable && kind.levels === undefined).length,
    kinds: kindsOf(rounds),
    months: monthsOf(rounds, player.zone),
    tables: [
      ...new Map(all.map(({ row: { table } }) => [table.id, { id: table.id, name: table.name }])).values(),
    ],
    drills: [...new Set(all.map(({ row }) => row.drill))],
  };
}
