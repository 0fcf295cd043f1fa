import type { Placing } from '../../core/scoring/benchmark.ts';
import { ordinalNumber } from './units.ts';

/** "Between team and match, 70th percentile of team." */
export function placingWords({ reached, next, of, percentile }: Placing): string {
  const rank = `${ordinalNumber(Math.round(percentile))} percentile of ${of}`;
  if (reached === undefined) return `Below first season, ${rank}.`;
  if (next === undefined) return `Title level, ${rank}.`;
  return `Between ${reached} and ${next}, ${rank}.`;
}
