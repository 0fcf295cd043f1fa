import { Group, Text, Title } from '@mantine/core';
import { compareResults, medianResult, resultText, type RoundResult } from '../../core/counting/result.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { RoundHead } from '../../core/records/round.ts';
import { benchmarkScore, placeRound } from '../../core/scoring/benchmark.ts';
import { Figures } from './Figures.tsx';
import { placingWords } from '../words/placingWords.ts';
import { Trend } from './Trend.tsx';

/** Rounds in the median that says how somebody plays these days. */
const RECENT = 5;

/** About what the card takes on the page, pixels. */
export const TREND_HEIGHT = 316;

interface TrendCardProps {
  readonly title: string;
  /** Complete rounds that can be compared, oldest first. */
  readonly rounds: readonly RoundHead[];
  /** How many more were ended early and are left out. */
  readonly early: number;
  /** How many more were played on tables on which balls run otherwise. */
  readonly unlike: number;
  /** Null where there is none, undefined while it is worked out. */
  readonly benchmark: Benchmark | null | undefined;
}

/** "points of 30", or which way is better where there is no most. */
function aboutWords({ unit, better, maximum }: RoundResult): string {
  if (better === 'low') return `${unit}, fewer is better`;
  return maximum === null ? `${unit}, more is better` : `${unit} of ${maximum}`;
}

/** How the rounds of one kind have gone: best, last, median of five, all of them over time. */
export function TrendCard({ title, rounds, early, unlike, benchmark }: TrendCardProps) {
  const results = rounds.map(({ result }) => result);
  const best = [...results].sort(compareResults)[0];
  const last = results.at(-1);
  if (best === undefined || last === undefined) {
    return <Text>Every round of this drill was ended early, so there is nothing to compare.</Text>;
  }
  const recent = results.slice(-RECENT);
  return (
    <section className="card" aria-labelledby="trend-title">
      <Group justify="space-between" align="start">
        <div>
          <Title order={2} size="h3" id="trend-title">
            {title}
          </Title>
          <Text c="dimmed" size="sm">
            {aboutWords(best)}, {rounds.length === 1 ? '1 round' : `${rounds.length} rounds`}
            {early > 0 ? `; ${early} ended early left out` : ''}
            {unlike > 0 ? `; ${unlike} on tables that played otherwise left out` : ''}
          </Text>
          {benchmark !== null && (
            <Text mt={4} mih="1lh">
              {benchmark !== undefined &&
                `Last round: ${placingWords(placeRound(benchmarkScore(last), benchmark))}`}
            </Text>
          )}
        </div>
        <Figures
          figures={[
            ['best', resultText(best)],
            ['last', resultText(last)],
            [`median of ${recent.length}`, resultText(medianResult(recent))],
          ]}
        />
      </Group>
      <Trend rounds={rounds} benchmark={benchmark ?? undefined} />
    </section>
  );
}
