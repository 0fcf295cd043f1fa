/** A stretch at a table, minutes after the evening's beginning. */
export interface Stretch {
  readonly from: number;
  readonly minutes: number;
}

/** What somebody has behind them, minutes: in all, and since the last rest. */
export interface Strain {
  readonly minutes: number;
  readonly inOneRun: number;
}

/**
 * What somebody has behind them at the end of some stretches.
 * @param stretches in any order, none within another @param rest minutes without play that count as a rest, > 0
 */
export function strainOf(stretches: readonly Stretch[], rest: number): Strain {
  let [minutes, inOneRun, over] = [0, 0, -Infinity];
  for (const each of stretches.toSorted((a, b) => a.from - b.from)) {
    inOneRun = each.from - over < rest ? inOneRun + each.minutes : each.minutes;
    minutes += each.minutes;
    over = each.from + each.minutes;
  }
  return { minutes, inOneRun };
}
