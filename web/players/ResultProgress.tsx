import { Group, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { compareResults, medianResult, resultText } from '../../core/counting/result.ts';
import type { RoundHead } from '../../core/records/club.ts';
import type { KindProgress } from '../../core/records/progress.ts';
import { benchmarkScore, placeRound, scoreBands } from '../../core/scoring/benchmark.ts';
import { benchmarkReplyQuery } from '../api/queries.ts';
import { RECENT, type TrendProps } from './DrillProgress.tsx';
import { Figures } from './Figures.tsx';
import { placingWords } from './placingWords.ts';

interface ResultProgressProps {
  readonly title: string;
  readonly kind: KindProgress;
  /** Complete rounds, oldest first. */
  readonly rounds: readonly RoundHead[];
  readonly early: number;
  readonly unlike: number;
  readonly chart: (props: TrendProps) => ReactNode;
}

/** About what it takes on the page, pixels. */
export const RESULTS_HEIGHT = 305;

/** How a drill has gone that is counted otherwise than by points of a window: best, last, median, the rounds over time. */
export function ResultProgress({ title, kind, rounds, early, unlike, chart }: ResultProgressProps) {
  const reply = useQuery(benchmarkReplyQuery(kind.drill, kind.revision, kind.stage, kind.table));
  const benchmark = reply.data?.benchmark ?? undefined;
  const results = rounds.map(({ result }) => result);
  const best = [...results].sort(compareResults)[0];
  const last = results.at(-1);
  if (best === undefined || last === undefined) {
    return <Text>Every round of this drill was ended early, so there is nothing to compare.</Text>;
  }
  const recent = results.slice(-RECENT);
  const figures = [
    ['best', resultText(best)],
    ['last', resultText(last)],
    [`median of ${recent.length}`, resultText(medianResult(recent))],
  ] as const;
  const most = Math.max(1, best.maximum ?? 0, ...results.map(({ value }) => value));
  return (
    <section className="card" aria-labelledby="trend-title">
      <Group justify="space-between" align="start">
        <div>
          <Title order={2} size="h3" id="trend-title">
            {title}
          </Title>
          <Text c="dimmed" size="sm">
            {best.unit}, {best.better === 'high' ? 'more' : 'fewer'} is better,{' '}
            {rounds.length === 1 ? '1 round' : `${rounds.length} rounds`}
            {early > 0 ? `; ${early} ended early left out` : ''}
            {unlike > 0 ? `; ${unlike} on tables that played otherwise left out` : ''}
          </Text>
          {benchmark !== undefined && (
            <Text mt={4}>Last round: {placingWords(placeRound(benchmarkScore(last), benchmark))}</Text>
          )}
        </div>
        <Figures figures={figures} />
      </Group>
      {chart({
        rounds: rounds.map(({ startedAt, result }) => ({ at: startedAt, points: result.value })),
        bands: benchmark === undefined ? [] : scoreBands(benchmark, most),
        maximum: most,
      })}
    </section>
  );
}
