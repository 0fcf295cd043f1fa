import type { AttemptLog } from '../records/attempt.ts';
import type { BreakLog } from '../records/breakLog.ts';
import type { Cause } from '../records/cause.ts';
import type { KickSum } from '../records/kickSum.ts';
import type { Point } from '../math/point.ts';
import { FIELDS_ACROSS, FIELDS_ALONG, type BreakSum, type RoundSums } from '../records/roundSums.ts';
import { mergeKicks } from './kickSums.ts';
import { addWings, NO_WINGS } from './wingBall.ts';

/** An attempt as far as the sums need it. */
export interface SummedAttempt {
  readonly along: number | null;
  readonly across: number | null;
  readonly log: AttemptLog;
}

/** The middle third of the table's width counts as the middle. */
const MIDDLE_SHARE = 1 / 3;

/** From which side a break was played, as seen from behind the head end. @param width of the table, metres */
function placeOf(from: BreakLog['from'], width: number): BreakSum['place'] {
  if (from === null) return null;
  const off = from.y / width - 0.5;
  // Looking down the table from its head end, the higher y is on the left hand.
  return Math.abs(off) <= MIDDLE_SHARE / 2 ? 'middle' : off > 0 ? 'left' : 'right';
}

const keyOf = ({ cue, place, aim, pace, rackBy, rack, table, speed }: BreakSum) =>
  JSON.stringify([cue, place, aim, pace, rackBy, rack ?? null, table ?? null, speed ?? null]);

/** Breaks of which nobody noted the wing ball say nothing of it. */
function wingsIn(breaks: readonly BreakSum[]): Pick<BreakSum, 'wings'> {
  const noted = breaks.flatMap(({ wings }) => wings ?? []);
  return noted.length === 0 ? {} : { wings: addWings(noted) };
}

/** Counts that rounds of before do not have: what none of the two has is left out. */
function laterCounts(one: BreakSum, other: BreakSum): Pick<BreakSum, 'dry' | 'followed' | 'runOuts'> {
  const sum = (name: 'dry' | 'followed' | 'runOuts') => (one[name] ?? 0) + (other[name] ?? 0);
  if (one.dry === undefined && other.dry === undefined) return {};
  return { dry: sum('dry'), followed: sum('followed'), runOuts: sum('runOuts') };
}

function mergeBreaks(breaks: readonly BreakSum[]): BreakSum[] {
  const byKey = new Map<string, BreakSum>();
  for (const each of breaks) {
    const known = byKey.get(keyOf(each));
    byKey.set(
      keyOf(each),
      known === undefined
        ? each
        : {
            ...known,
            breaks: known.breaks + each.breaks,
            good: known.good + each.good,
            inOffs: known.inOffs + each.inOffs,
            balls: known.balls + each.balls,
            ...laterCounts(known, each),
            ...wingsIn([known, each]),
          },
    );
  }
  return [...byKey.values()];
}

function mergeCauses(causes: RoundSums['causes']): RoundSums['causes'] {
  const counts = new Map<Cause, number>();
  for (const { cause, count } of causes) counts.set(cause, (counts.get(cause) ?? 0) + count);
  return [...counts].map(([cause, count]) => ({ cause, count })).sort((a, b) => b.count - a.count);
}

/** Rests of cue balls by the field of the table: along it, then across. */
function countRests(rests: readonly Point[], { length, width }: BreakTable): number[] {
  const counts = new Array<number>(FIELDS_ALONG * FIELDS_ACROSS).fill(0);
  const field = (share: number, fields: number) =>
    Math.min(fields - 1, Math.max(0, Math.floor(share * fields)));
  for (const { x, y } of rests) {
    const at = field(x / length, FIELDS_ALONG) * FIELDS_ACROSS + field(y / width, FIELDS_ACROSS);
    counts[at] = (counts[at] ?? 0) + 1;
  }
  return counts;
}

/** Rests that were counted by field, added up; left out where none was marked. */
function restsIn(counted: readonly (readonly number[])[]): Pick<RoundSums, 'breakRests'> {
  const [first] = counted;
  if (first === undefined) return {};
  return { breakRests: first.map((_, at) => counted.reduce((sum, each) => sum + (each[at] ?? 0), 0)) };
}

/** Rounds without kicks say nothing of them. */
function kicksIn(kicks: readonly KickSum[]): Pick<RoundSums, 'kicks'> {
  return kicks.length === 0 ? {} : { kicks: mergeKicks(kicks) };
}

/** Where breaks were played. */
export interface BreakTable {
  readonly name: string;
  /** Metres. */
  readonly length: number;
  readonly width: number;
}

/** What the shots of a round add up to. @param kicks of a drill that asks for them */
export function sumRound(
  attempts: readonly SummedAttempt[],
  table: BreakTable,
  kicks: readonly KickSum[] = [],
): RoundSums {
  const shots = attempts.flatMap(({ log }) => log.shots);
  const landed = attempts.flatMap(({ along, across }) =>
    along === null || across === null ? [] : [{ along, across }],
  );
  const total = (value: (each: { readonly along: number; readonly across: number }) => number) =>
    landed.reduce((sum, each) => sum + value(each), 0);
  const openings = attempts.flatMap(({ log }) => log.entered?.opening ?? []);
  const rests = attempts.flatMap(({ log: { entered, shots: played } }) =>
    (entered?.opening ?? null) === null ? [] : (played[0]?.landing ?? []),
  );
  return {
    shots: shots.length,
    withSide: shots.filter(({ side }) => side !== null && side !== 'none').length,
    rescues: shots.filter(({ rescue }) => rescue).length,
    lucky: shots.filter(({ luck }) => luck).length,
    causes: mergeCauses(shots.flatMap(({ cause }) => (cause === null ? [] : [{ cause, count: 1 }]))),
    landings: {
      count: landed.length,
      along: total(({ along }) => along),
      across: total(({ across }) => across),
      alongSquared: total(({ along }) => along * along),
      acrossSquared: total(({ across }) => across * across),
    },
    breaks: mergeBreaks(
      openings.map(({ cue, from, aim, pace, rack, rackBy, balls, inOff, wing, runOut, speed }) => ({
        cue,
        place: placeOf(from, table.width),
        aim,
        pace,
        rackBy,
        rack,
        table: table.name,
        speed: speed === null ? null : Math.floor(speed),
        breaks: 1,
        good: balls > 0 && !inOff ? 1 : 0,
        inOffs: inOff ? 1 : 0,
        balls,
        dry: balls === 0 ? 1 : 0,
        followed: runOut === null ? 0 : 1,
        runOuts: runOut === true ? 1 : 0,
        ...(wing === null ? {} : { wings: { ...NO_WINGS, [wing]: 1 } }),
      })),
    ),
    ...restsIn(rests.length === 0 ? [] : [countRests(rests, table)]),
    ...kicksIn(kicks),
  };
}

/** The sums of several rounds as those of one. */
export function addSums(rounds: readonly RoundSums[]): RoundSums {
  const total = (value: (sums: RoundSums) => number) => rounds.reduce((sum, each) => sum + value(each), 0);
  return {
    shots: total(({ shots }) => shots),
    withSide: total(({ withSide }) => withSide),
    rescues: total(({ rescues }) => rescues),
    lucky: total(({ lucky }) => lucky),
    causes: mergeCauses(rounds.flatMap(({ causes }) => causes)),
    landings: {
      count: total(({ landings }) => landings.count),
      along: total(({ landings }) => landings.along),
      across: total(({ landings }) => landings.across),
      alongSquared: total(({ landings }) => landings.alongSquared),
      acrossSquared: total(({ landings }) => landings.acrossSquared),
    },
    breaks: mergeBreaks(rounds.flatMap(({ breaks }) => breaks)),
    ...restsIn(rounds.flatMap(({ breakRests }) => (breakRests === undefined ? [] : [breakRests]))),
    ...kicksIn(rounds.flatMap(({ kicks }) => kicks ?? [])),
  };
}

/** The mean of some errors with half the width of its 90 % interval, metres. */
export interface MeanError {
  readonly mean: number;
  readonly margin: number;
}

/**
 * The mean landing error along and across the plan's line, by its sums; undefined for fewer than two landings.
 * @param z two-sided normal quantile, e.g. Z_90
 */
export function meanLanding(
  { count, along, across, alongSquared, acrossSquared }: RoundSums['landings'],
  z: number,
): { readonly along: MeanError; readonly across: MeanError } | undefined {
  if (count < 2) return undefined;
  const of = (sum: number, squares: number) => {
    const mean = sum / count;
    const variance = Math.max(0, (squares - count * mean * mean) / (count - 1));
    return { mean, margin: z * Math.sqrt(variance / count) };
  };
  return { along: of(along, alongSquared), across: of(across, acrossSquared) };
}
