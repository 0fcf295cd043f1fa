import { lazy } from 'react';
import { compareResults, resultText } from '../../core/counting/result.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { RoundHead } from '../../core/records/round.ts';
import { scoreBands } from '../../core/scoring/benchmark.ts';
import { ChartFigure } from './ChartFigure.tsx';
import { counted } from '../words/units.ts';

const TrendChart = lazy(() => import('./TrendChart.tsx'));

interface TrendProps {
  /** Of one kind, oldest first. */
  readonly rounds: readonly Pick<RoundHead, 'startedAt' | 'result'>[];
  readonly benchmark?: Benchmark | undefined;
}

/** Rounds over time, before the levels where a benchmark is known. */
export function Trend({ rounds, benchmark }: TrendProps) {
  const results = rounds.map(({ result }) => result);
  const best = [...results].sort(compareResults)[0];
  if (best === undefined) return null;
  const maximum = Math.max(1, best.maximum ?? 0, ...results.map(({ value }) => value));
  return (
    <ChartFigure
      label={`${counted(results.length, 'round')} over time, best ${resultText(best)}`}
      height={200}
    >
      <TrendChart
        rounds={rounds.map(({ startedAt, result }) => ({ at: startedAt, value: result.value }))}
        bands={benchmark === undefined ? [] : scoreBands(benchmark, maximum)}
        best={best.value}
        unit={best.unit}
        maximum={maximum}
      />
    </ChartFigure>
  );
}
