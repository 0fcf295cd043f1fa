import type { BreakSum } from '../records/roundSums.ts';
import { compareShares, type ShareComparison } from '../statistics/compareShares.ts';
import { wilson, Z_90, type ShareInterval } from '../statistics/wilson.ts';

/** By what breaks are told apart. */
export const BREAK_TRAITS = ['cue', 'place', 'aim', 'pace', 'rackBy'] as const;
export type BreakTrait = (typeof BREAK_TRAITS)[number];

/** Breaks that share a trait. */
export interface BreakGroup {
  readonly value: string;
  readonly breaks: number;
  readonly good: ShareInterval;
  readonly inOffs: ShareInterval;
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
  };
}

const withTrait = (breaks: readonly BreakSum[], trait: BreakTrait, value: string) =>
  breaks.filter((each) => each[trait] === value);

/** The breaks by the values of a trait, the most frequent first; those of which nobody noted it are left out. */
export function groupBreaks(breaks: readonly BreakSum[], trait: BreakTrait): readonly BreakGroup[] {
  const values = new Set(breaks.flatMap((each) => each[trait] ?? []));
  return [...values]
    .map((value): BreakGroup => {
      const { breaks: n, good, inOffs, balls } = totals(withTrait(breaks, trait, value));
      return { value, breaks: n, good: wilson(good, n), inOffs: wilson(inOffs, n), ballsEach: balls / n };
    })
    .sort((a, b) => b.breaks - a.breaks);
}

/** All breaks together: how often a ball fell and the cue ball stayed, with Wilson's interval. */
export function allBreaks(breaks: readonly BreakSum[]): Omit<BreakGroup, 'value'> {
  const { breaks: n, good, inOffs, balls } = totals(breaks);
  return {
    breaks: n,
    good: wilson(good, n),
    inOffs: wilson(inOffs, n),
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
