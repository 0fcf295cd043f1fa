import { Button, Group, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Player } from '../../core/records/player.ts';
import { call } from '../api/client.ts';
import { drillsQuery } from '../api/drills.ts';
import { playerProgressQuery, playerQuery, playersQuery } from '../api/players.ts';
import { ago } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { CallRecord } from '../charts/CallRecord.tsx';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { BreaksPart } from './BreaksPart.tsx';
import { KicksPart } from './KicksPart.tsx';
import { CausesPart } from './CausesPart.tsx';
import { KindPart } from './KindPart.tsx';
import { LedgerSums } from './LedgerSums.tsx';
import { MonthsPart } from './MonthsPart.tsx';
import { NextDrills } from './NextDrills.tsx';
import { filterOf } from './progressFilter.ts';
import { PlayerCare } from './PlayerCare.tsx';
import { ProgressFilters } from './ProgressFilters.tsx';
import { Ratings } from './Ratings.tsx';
import { ThumbPart } from './ThumbPart.tsx';
import { SignInCode } from './SignInCode.tsx';

interface PlayerPageProps {
  /** The player's programmes and reports, rooms of their own. */
  readonly programmes: (props: { readonly playerId: string }) => ReactNode;
  readonly reports: (props: { readonly playerId: string }) => ReactNode;
}

/** A player: ratings, how each drill has gone over time, where the cue ball stops, and why shots fail. */
export function PlayerPage({ programmes: Programmes, reports: Reports }: PlayerPageProps) {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const player = useQuery(playerQuery(id));
  const progress = useQuery(playerProgressQuery(id, filterOf(params)));
  const drills = useQuery(drillsQuery);
  const error = player.error ?? progress.error ?? drills.error;
  if (player.data === undefined || progress.data === undefined || drills.data === undefined) {
    return <Loading what="the player" error={error} />;
  }
  const titleOf = (slug: string) =>
    drills.data.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const { months } = progress.data;
  // The one that was played most opens: it tells most.
  const kinds = [...progress.data.kinds].sort((a, b) => b.rounds - a.rounds);
  return (
    <Stack gap="sm">
      <PlayerHead player={player.data} />
      {player.data.rounds === 0 ? (
        <>
          <Text>
            No finished round yet. <Link to={`/lesson/round?player=${id}`}>Start the first one</Link>, and it
            will stand here.
          </Text>
          <NextDrills playerId={id} titleOf={titleOf} />
        </>
      ) : (
        <>
          <ProgressFilters progress={progress.data} titleOf={titleOf} />
          <Ratings progress={progress.data} />
          {kinds.length === 0 ? (
            <Text>No complete round in what is looked at. Choose a longer period or other drills.</Text>
          ) : (
            <KindPart
              playerId={id}
              kinds={kinds}
              ratings={progress.data.ratings}
              drills={drills.data}
              titleOf={titleOf}
            />
          )}
          {months.length > 0 && <MonthsPart months={months} />}
          <SimpleGrid cols={{ base: 1, md: 2 }} spacing="md">
            <NextDrills playerId={id} titleOf={titleOf} />
            <BreaksPart months={months} />
            <KicksPart months={months} />
            <LedgerSums playerId={id} ratings={progress.data.ratings} />
            <CausesPart playerId={id} game={TABLE_PRESETS[kinds[0]?.table.preset ?? 'pool-9ft'].game} />
            <ThumbPart ratings={progress.data.ratings} preset={kinds[0]?.table.preset ?? 'pool-9ft'} />
            <CallRecord playerId={id} />
          </SimpleGrid>
        </>
      )}
      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="md">
        <Programmes playerId={id} />
        <Reports playerId={id} />
      </SimpleGrid>
    </Stack>
  );
}

function PlayerHead({ player }: { readonly player: Player }) {
  const viewer = useViewer();
  const queries = useQueryClient();
  async function setArchived(archived: boolean) {
    await call('PUT', `/players/${player.id}`, { name: player.name, hand: player.hand, archived });
    await queries.invalidateQueries({ queryKey: playersQuery.queryKey });
  }
  return (
    <Group justify="space-between" align="end">
      <div>
        <Title order={1}>{player.name}</Title>
        <Text c="dimmed">
          {player.hand}-handed, {player.rounds === 1 ? '1 round' : `${player.rounds} rounds`}, last{' '}
          {ago(player.lastRoundAt)}
          {player.archived ? ', put away' : ''}
        </Text>
      </div>
      <Group className="no-print">
        {viewer.role === 'coach' && <PlayerCare player={player} />}
        {viewer.role === 'coach' && <SignInCode player={player} />}
        {viewer.role === 'coach' && (
          <Button variant="default" onClick={() => void setArchived(!player.archived)}>
            {player.archived ? 'Bring back' : 'Put away'}
          </Button>
        )}
        {!player.archived && (
          <Button component={Link} to={`/lesson/round?player=${player.id}`}>
            Start a round
          </Button>
        )}
      </Group>
    </Group>
  );
}
