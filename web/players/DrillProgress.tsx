import { Group, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { PositionEntry } from '../../core/drill/positionDrill.ts';
import type { RoundHead } from '../../core/records/club.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import { placeRound, scoreBands, type ScoreBand } from '../../core/scoring/benchmark.ts';
import { median } from '../../core/statistics/summary.ts';
import type { TableRef } from '../../core/records/tableCard.ts';
import { benchmarkQuery, playerRoundsQuery, tableStateQuery } from '../api/queries.ts';
import { Loading } from '../app/Loading.tsx';
import { asPlayed } from '../hall/tableChoice.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import { Figures } from './Figures.tsx';
import { LANDINGS_HEIGHT, LandingScatter } from './LandingScatter.tsx';
import { placingWords } from './placingWords.ts';

export interface TrendProps {
  readonly rounds: readonly { readonly at: string; readonly points: number }[];
  readonly bands: readonly ScoreBand[];
  readonly maximum: number;
}

interface DrillProgressProps {
  readonly playerId: string;
  readonly entry: PositionEntry;
  readonly stage: number;
  /** On which these rounds were played, or one on which balls run alike. */
  readonly table: TableRef & { readonly fingerprint: string };
  /** Complete rounds that can be compared, oldest first. */
  readonly rounds: readonly RoundHead[];
  /** How many more were ended early and are left out. */
  readonly early: number;
  /** How many more were played on tables on which balls run otherwise. */
  readonly unlike: number;
  readonly chart: (props: TrendProps) => ReactNode;
}

/** About what the trend and the landings of a drill take on the page, pixels. */
export const DRILL_HEIGHT = 332 + LANDINGS_HEIGHT;

/** How one drill has gone: best, last, median of five, the rounds over time, and the landings. */
export function DrillProgress(props: DrillProgressProps) {
  const state = useQuery(tableStateQuery(props.table));
  if (state.data === undefined) return <Loading what="the table" error={state.error} height={DRILL_HEIGHT} />;
  return <Progress {...props} on={asPlayed(state.data)} />;
}

function Progress({
  playerId,
  entry,
  stage,
  table,
  on,
  rounds,
  early,
  unlike,
  chart,
}: DrillProgressProps & { readonly on: TableAsPlayed }) {
  const benchmark = useQuery(benchmarkQuery(entry, stage, { ref: table, on }, () => undefined));
  const { document, revision } = entry;
  const played = useQuery(
    playerRoundsQuery(playerId, { drill: document.slug, revision, stage, table: table.fingerprint }),
  );
  const maximum = document.scoring.shots * mostPoints(document.stages[stage - 1]?.bands ?? []);
  const scores = rounds.map((round) => round.result.value);
  const trend = rounds.map((round, i) => ({ at: round.startedAt, points: scores[i] ?? 0 }));
  if (scores.length === 0)
    return <Text>Every round of this drill was ended early, so there is nothing to compare.</Text>;
  return (
    <>
      <section className="card" aria-labelledby="trend-title">
        <Group justify="space-between" align="start">
          <div>
            <Title order={2} size="h3" id="trend-title">
              {document.title}
            </Title>
            <Text c="dimmed" size="sm">
              Points of {maximum}, {rounds.length === 1 ? '1 round' : `${rounds.length} rounds`}
              {early > 0 ? `; ${early} ended early left out` : ''}
              {unlike > 0 ? `; ${unlike} on tables that played otherwise left out` : ''}
            </Text>
            <Text mt={4} mih="1lh">
              {benchmark.data !== undefined &&
                `Last round: ${placingWords(placeRound(scores.at(-1) ?? 0, benchmark.data))}`}
            </Text>
          </div>
          <Figures
            figures={[
              ['best', Math.max(...scores)],
              ['last', scores.at(-1) ?? 0],
              [`median of ${Math.min(RECENT, scores.length)}`, median(scores.slice(-RECENT))],
            ]}
          />
        </Group>
        {chart({
          rounds: trend,
          bands: benchmark.data === undefined ? [] : scoreBands(benchmark.data, maximum),
          maximum,
        })}
      </section>
      {played.data === undefined ? (
        <Loading what="the rounds" error={played.error} height={LANDINGS_HEIGHT} />
      ) : (
        <LandingScatter document={document} on={on} stage={stage} rounds={played.data} />
      )}
    </>
  );
}

/** Rounds in the median that says how somebody plays these days. */
export const RECENT = 5;
