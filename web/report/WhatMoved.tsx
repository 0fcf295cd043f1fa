import { Table, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { dayOf } from '../words/clubTime.ts';
import { resultText } from '../../core/counting/result.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { KindProgress, PlayerProgress } from '../../core/records/progress.ts';
import { drillsQuery, revisionQuery } from '../api/drills.ts';
import { playerResultsQuery, playerRoundsQuery } from '../api/players.ts';
import { tableStateQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { asPlayed } from '../table/tableChoice.ts';
import { LandingScatter } from '../charts/LandingScatter.tsx';
import { comparableRounds } from '../charts/rounds.ts';
import { Trend } from '../charts/Trend.tsx';
import { kindCourseWords } from '../words/courseWords.ts';

interface WhatMovedProps {
  readonly playerId: string;
  readonly progress: PlayerProgress;
  readonly from: string;
  readonly to: string;
}

/** The drills of the time with best, last and direction; of the one played most the trend and where the cue ball stops. */
export function WhatMoved({ playerId, progress, from, to }: WhatMovedProps) {
  const drills = useQuery(drillsQuery);
  const titleOf = (slug: string) =>
    drills.data?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const kinds = [...progress.kinds].sort((a, b) => b.rounds - a.rounds);
  const [most] = kinds;
  if (most === undefined) return null;
  return (
    <section aria-labelledby="moved-title">
      <Title order={2} size="h3" id="moved-title">
        What moved
      </Title>
      <Table verticalSpacing={3} fz="sm">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Drill</Table.Th>
            <Table.Th ta="right">rounds</Table.Th>
            <Table.Th ta="right">best</Table.Th>
            <Table.Th ta="right">these days</Table.Th>
            <Table.Th>direction</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {kinds.map((kind) => (
            <Table.Tr key={`${kind.drill} ${kind.stage} ${kind.revision} ${kind.table.fingerprint}`}>
              <Table.Td>
                {titleOf(kind.drill)}, stage {kind.stage}
              </Table.Td>
              <Table.Td ta="right">{kind.rounds}</Table.Td>
              <Table.Td ta="right">
                {resultText(kind.best)} {kind.best.unit}
              </Table.Td>
              <Table.Td ta="right">{resultText(kind.median)}</Table.Td>
              <Table.Td>{kindCourseWords(kind)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Pictures playerId={playerId} kind={most} title={titleOf(most.drill)} from={from} to={to} />
    </section>
  );
}

interface PicturesProps {
  readonly playerId: string;
  readonly kind: KindProgress;
  readonly title: string;
  readonly from: string;
  readonly to: string;
}

function Pictures({ playerId, kind, title, from, to }: PicturesProps) {
  const { drill, revision, stage, table } = kind;
  const entry = useQuery(revisionQuery(drill, revision));
  const results = useQuery(playerResultsQuery(playerId, { drill, revision }));
  const rounds = useQuery(playerRoundsQuery(playerId, { drill, revision, stage, table: table.fingerprint }));
  const state = useQuery(tableStateQuery(table));
  if (entry.data === undefined || results.data === undefined) {
    return <Loading what="the pictures" error={entry.error ?? results.error} />;
  }
  const staged = atStage(entry.data.document, stage);
  const within = ({ startedAt }: { readonly startedAt: string }) => {
    const day = dayOf(startedAt);
    return day >= from && day <= to;
  };
  const comparable = comparableRounds(results.data, kind).filter(within);
  return (
    <div className="report-pictures">
      <Text fw={700}>{title}, round by round</Text>
      <Trend rounds={comparable} />
      {isPositionDrill(staged) && state.data !== undefined && rounds.data !== undefined && (
        <LandingScatter
          document={staged}
          on={asPlayed(state.data)}
          stage={stage}
          rounds={rounds.data.filter(within)}
        />
      )}
    </div>
  );
}
