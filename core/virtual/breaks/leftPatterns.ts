import type { BallOnTable } from '../../motion/shot.ts';
import { distance, type Point } from '../../math/point.ts';
import { simulate } from '../../motion/simulate.ts';
import { leftOnTable } from '../../planning/aftermath.ts';
import type { RackKind } from '../../rack/rack.ts';
import { median } from '../../statistics/summary.ts';
import { drawnBreak, type BreakQuestion, type PlayedBreak } from './breakStudy.ts';

/** What one ball does in the breaks that leave a pattern. */
export interface PatternBall {
  /** Its place in the rack, or the cue ball. */
  readonly place: number | 'cue';
  /** Where it rests in the typical break; undefined where it fell. */
  readonly at: Point | undefined;
  /** How far from there it rests in half of the others, metres; undefined where it fell. */
  readonly within: number | undefined;
}

/** A table as some of the breaks leave it. */
export interface LeftPattern {
  /** The typical one's number among the breaks that were played, by which it can be played again. */
  readonly number: number;
  /** Of the breaks that count: how many are more like this one than like another, 0…1. */
  readonly share: number;
  readonly balls: readonly PatternBall[];
  /** The mean chance of the next pot in them, 0…1. */
  readonly next: number;
}

/** Typical tables after a break. */
export interface LeftPatterns {
  /** Breaks with a ball down and no foul; of a break-off those without a foul. */
  readonly wentOn: number;
  /** Those of them after which the next ball is on: what they leave can be trained. Of a break-off all. */
  readonly on: number;
  /** The most frequent one first. */
  readonly patterns: readonly LeftPattern[];
  /** How much of the differences between tables the patterns explain, 0…1: the rest is chance. */
  readonly explained: number;
}

/** Balls that rest farther apart than this are just elsewhere, metres; so is one that fell and one that did not. */
const ELSEWHERE = 0.6;
/** The next ball is on from this chance of its pot. */
const ON = 0.3;
/** Where the cue ball and the head ball are counts more than where any other is. */
const CUE_COUNTS = 3;
const HEAD_COUNTS = 2;

/** The places of a table after a break: the cue ball's, then by the rack. */
const placesOf = ({ cueAt, rests }: PlayedBreak): readonly (Point | undefined)[] => [cueAt, ...rests];

const weightOf = (i: number) => (i === 0 ? CUE_COUNTS : i === 1 ? HEAD_COUNTS : 1);

/** How unlike two tables are, metres in the mean of their balls. */
function unlike(a: readonly (Point | undefined)[], b: readonly (Point | undefined)[]): number {
  let [sum, whole] = [0, 0];
  a.forEach((at, i) => {
    const other = b[i];
    const apart =
      at === undefined && other === undefined
        ? 0
        : at === undefined || other === undefined
          ? ELSEWHERE
          : Math.min(ELSEWHERE, distance(at, other));
    sum += weightOf(i) * apart;
    whole += weightOf(i);
  });
  return whole === 0 ? 0 : sum / whole;
}

/** The sum over all of how far each is from the nearest of the chosen. */
function costOf(apart: readonly (readonly number[])[], chosen: readonly number[]): number {
  return apart.reduce((sum, row) => sum + Math.min(...chosen.map((m) => row[m] ?? Infinity)), 0);
}

/** The most typical ones: added one by one, then exchanged as long as that helps (k-medoids: Kaufman and Rousseeuw 1987). */
function medoids(apart: readonly (readonly number[])[], count: number): number[] {
  const all = apart.map((_, i) => i);
  const bestOf = (candidates: readonly (readonly number[])[]) =>
    candidates.reduce(
      (best, chosen) => {
        const cost = costOf(apart, chosen);
        return cost < best.cost - 1e-12 ? { chosen, cost } : best;
      },
      { chosen: candidates[0] ?? [], cost: Infinity },
    );
  let now: { readonly chosen: readonly number[]; readonly cost: number } = { chosen: [], cost: Infinity };
  while (now.chosen.length < Math.min(count, all.length))
    now = bestOf(all.filter((i) => !now.chosen.includes(i)).map((i) => [...now.chosen, i]));
  for (;;) {
    const others = all.filter((i) => !now.chosen.includes(i));
    const next = bestOf(
      now.chosen.flatMap((_, k) => others.map((i) => now.chosen.map((m, at) => (at === k ? i : m)))),
    );
    if (!(next.cost < now.cost - 1e-12)) return [...now.chosen];
    now = next;
  }
}

/**
 * The tables that a break tends to leave, each told by one that really came out, not by a mean that never does.
 * @param played the breaks of a study, in their order @param count how many patterns, ≥ 1
 */
export function leftPatterns(kind: RackKind, played: readonly PlayedBreak[], count: number): LeftPatterns {
  const wentOn = played.flatMap((one, number) =>
    one.foul || (kind !== 'reds' && one.down.length === 0) ? [] : [{ one, number, places: placesOf(one) }],
  );
  const went = wentOn.filter(({ one }) => kind === 'reds' || one.next >= ON);
  const apart = went.map((a) => went.map((b) => unlike(a.places, b.places)));
  const chosen = medoids(apart, count);
  const nearestOf = (row: readonly number[]) =>
    chosen.reduce(
      (best, m, k) => ((row[m] ?? Infinity) < (row[chosen[best] ?? 0] ?? Infinity) ? k : best),
      0,
    );
  const groups = chosen.map((_, k) => went.filter((__, i) => nearestOf(apart[i] ?? []) === k));
  const alone = costOf(apart, medoids(apart, 1));
  const patterns = chosen.flatMap((m, k): LeftPattern[] => {
    const [typical, group] = [went[m], groups[k] ?? []];
    if (typical === undefined) return [];
    return [
      {
        number: typical.number,
        share: group.length / went.length,
        next: group.reduce((sum, { one }) => sum + one.next, 0) / group.length,
        balls: typical.places.map((at, i): PatternBall => {
          const rests = group.flatMap(({ places }) => places[i] ?? []);
          return {
            place: i === 0 ? 'cue' : i - 1,
            at,
            within: at && median(rests.map((rest) => distance(rest, at))),
          };
        }),
      },
    ];
  });
  return {
    wentOn: wentOn.length,
    on: went.length,
    patterns: patterns.sort((a, b) => b.share - a.share),
    explained: alone === 0 ? 1 : 1 - costOf(apart, chosen) / alone,
  };
}

/**
 * The balls that one of a study's breaks leaves on the table, with their numbers.
 * @param question as it was studied @param number of the break, from 0
 */
export function leftBy(question: BreakQuestion, number: number): readonly BallOnTable[] {
  const { balls, ...shot } = drawnBreak(question, number);
  return leftOnTable(balls, simulate({ ...shot, balls }, { events: false }).rest);
}
