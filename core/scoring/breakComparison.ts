import type { BreakSum } from '../records/roundSums.ts';
import { compareShares, type ShareComparison } from '../statistics/compareShares.ts';
import { wilson, Z_90, type ShareInterval } from '../statistics/wilson.ts';

/** By what breaks are told apart. */
export const BREAK_TRAITS = ['cue', 'place', 'aim', 'pace', 'speed', 'table', 'rack', 'rackBy'] as const;
export type BreakTrait = (typeof BREAK_TRAITS)[number];

/** Breaks that share a trait. */
export interface BreakGroup {
  readonly value: string;
  readonly breaks: number;
  readonly good: ShareInterval;
  readonly inOffs: ShareInterval;
  /** Breaks that potted nothing, of those that were counted so. */
  readonly dry: ShareInterval;
  /** Run out afterwards, of the breaks of which it was noted. */
  readonly runOuts: ShareInterval;
  /** Of how many breaks it was. */
  readonly followed: number;
  /** Balls that fell, a break. */
  readonly ballsEach: number;
}

function totals(breaks: readonly BreakSum[]) {
  const total = (value: (sum: BreakSum) => number) => breaks.reduce((sum, each) => sum + value(each), 0);
  return {
    breaks: total((each) => each.breaks),
    good: total(({ good }) => good),
    inOffs: total(({ inOffs }) => inOffs),
    balls: total(({ balls }) => balls),
    dry: total(({ dry = 0 }) => dry),
    dryOf: total(({ dry, breaks: n }) => (dry === undefined ? 0 : n)),
    followed: total(({ followed = 0 }) => followed),
    runOuts: total(({ runOuts = 0 }) => runOuts),
  };
}

/** The value of a trait as text; undefined where nobody noted it. A speed is the whole m/s that it begins with. */
function traitOf(each: BreakSum, trait: BreakTrait): string | undefined {
  const value = each[trait];
  return value === null || value === undefined ? undefined : String(value);
}

const withTrait = (breaks: readonly BreakSum[], trait: BreakTrait, value: string) =>
  breaks.filter((each) => traitOf(each, trait) === value);

/** The breaks by the values of a trait, the most frequent first, speeds the slowest first; those of which nobody noted it are left out. */
export function groupBreaks(breaks: readonly BreakSum[], trait: BreakTrait): readonly BreakGroup[] {
  const values = new Set(breaks.flatMap((each) => traitOf(each, trait) ?? []));
  return [...values]
    .map((value): BreakGroup => ({ value, ...allBreaks(withTrait(breaks, trait, value)) }))
    .sort((a, b) => (trait === 'speed' ? Number(a.value) - Number(b.value) : b.breaks - a.breaks));
}

/** All breaks together: how often a ball fell and the cue ball stayed, with Wilson's interval. */
export function allBreaks(breaks: readonly BreakSum[]): Omit<BreakGroup, 'value'> {
  const { breaks: n, good, inOffs, balls, dry, dryOf, followed, runOuts } = totals(breaks);
  return {
    breaks: n,
    good: wilson(good, n),
    inOffs: wilson(inOffs, n),
    dry: wilson(dry, dryOf),
    runOuts: wilson(runOuts, followed),
    followed,
    ballsEach: n === 0 ? 0 : balls / n,
  };
}

/**
 * Which of two cues, places or ways breaks better, by the share of breaks that pot a ball and keep the cue ball.
 * @throws RangeError when one of them has no break
 */
export function compareBreaks(
  breaks: readonly BreakSum[],
  trait: BreakTrait,
  a: string,
  b: string,
): ShareComparison {
  const [one, two] = [a, b].map((value) => totals(withTrait(breaks, trait, value)));
  if (one === undefined || two === undefined) throw new RangeError('compareBreaks: needs two groups');
  return compareShares({ made: one.good, of: one.breaks }, { made: two.good, of: two.breaks }, Z_90);
}
