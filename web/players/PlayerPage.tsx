import { Button, Group, Select, Stack, Text, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { DrillEntry, Player, Round } from '../../core/records/club.ts';
import { call } from '../api/client.ts';
import { drillsQuery, playerQuery, playerRoundsQuery, playersQuery, revisionQuery } from '../api/queries.ts';
import { ago } from '../app/dates.ts';
import { Loading } from '../app/Loading.tsx';
import { useViewer } from '../app/viewer.ts';
import { kindsOf, type RoundKind } from './kinds.ts';
import { CallRecord } from '../lab/call/CallRecord.tsx';
import { DrillProgress, type TrendProps } from './DrillProgress.tsx';
import { Ratings } from './Ratings.tsx';
import { ResultProgress } from './ResultProgress.tsx';
import { comparableRounds, roundsOnUnlikeTables } from './rounds.ts';

const TrendChart = lazy(() => import('./TrendChart.tsx'));

function drawTrend(props: TrendProps) {
  return (
    <Suspense fallback={<Loading what="the chart" error={null} />}>
      <TrendChart {...props} />
    </Suspense>
  );
}

/** A player: how each drill has gone over time, and where the cue ball stops. */
export function PlayerPage() {
  const { id = '' } = useParams();
  const player = useQuery(playerQuery(id));
  const rounds = useQuery(playerRoundsQuery(id));
  const drills = useQuery(drillsQuery);
  const error = player.error ?? rounds.error ?? drills.error;
  if (player.data === undefined || rounds.data === undefined || drills.data === undefined) {
    return <Loading what="the player" error={error} />;
  }
  return (
    <Stack gap="sm">
      <PlayerHead player={player.data} />
      {rounds.data.length === 0 ? (
        <Text>
          No finished round yet. <Link to={`/lesson/round?player=${id}`}>Start the first one</Link>, and it
          will stand here.
        </Text>
      ) : (
        <>
          <Ratings playerId={id} />
          <Progress rounds={rounds.data} drills={drills.data} />
        </>
      )}
      <div style={{ maxWidth: 560 }}>
        <CallRecord playerId={id} />
      </div>
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
          {player.archived ? ', archived' : ''}
        </Text>
      </div>
      <Group className="no-print">
        {viewer.role === 'coach' && (
          <Button variant="default" onClick={() => void setArchived(!player.archived)}>
            {player.archived ? 'Bring back' : 'Archive'}
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

interface ProgressProps {
  readonly rounds: readonly Round[];
  readonly drills: readonly DrillEntry[];
}

function Progress({ rounds, drills }: ProgressProps) {
  const [params, setParams] = useSearchParams();
  const titleOf = (slug: string) =>
    drills.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const kinds = kindsOf(rounds);
  const chosen =
    kinds.find((kind) => kind.key === params.get('kind')) ??
    kinds.find((kind) => kind.drill === params.get('drill')) ??
    kinds[0];
  // Rounds are told by the text that they were played by, also when the drill has changed since.
  const entry = useQuery(revisionQuery(chosen?.drill, chosen?.revision ?? 1));
  if (chosen === undefined) return null;
  const drill = entry.data === undefined ? undefined : atStage(entry.data.document, chosen.stage);
  const current = drills.find((each) => each.document.slug === chosen.drill);
  const comparable = comparableRounds(rounds, chosen);
  const unlike = roundsOnUnlikeTables(rounds, chosen).length;
  const early = rounds.filter((round) => sameKind(round, chosen)).length - comparable.length;
  return (
    <>
      <Select
        aria-label="Drill"
        maw={420}
        allowDeselect={false}
        data={kinds.map((kind) => ({
          value: kind.key,
          label: [
            `${titleOf(kind.drill)}, stage ${kind.stage}`,
            ...(kind.newest ? [] : [`revision ${kind.revision}`]),
            ...(roundsOnUnlikeTables(rounds, kind).length === 0 ? [] : [kind.table.name]),
            kind.rounds === 1 ? '1 round' : `${kind.rounds} rounds`,
          ].join(', '),
        }))}
        value={chosen.key}
        onChange={(value) => value !== null && setParams({ kind: value }, { replace: true })}
      />
      {chosen.revision !== current?.revision && (
        <Text size="sm">
          Played by revision {chosen.revision}. The drill has been changed since: these rounds are compared
          among themselves, not with those of newer revisions.
        </Text>
      )}
      {drill === undefined ? (
        <Loading what="the drill" error={entry.error} />
      ) : !isPositionDrill(drill) ? (
        <ResultProgress
          title={drill.title}
          rounds={comparable}
          early={early}
          unlike={unlike}
          chart={drawTrend}
        />
      ) : (
        <DrillProgress
          entry={{ revision: chosen.revision, document: drill }}
          stage={chosen.stage}
          table={chosen.table}
          rounds={comparable}
          early={early}
          unlike={unlike}
          chart={drawTrend}
        />
      )}
    </>
  );
}

function sameKind(round: Round, kind: RoundKind): boolean {
  return (
    round.drill === kind.drill &&
    round.revision === kind.revision &&
    round.stage === kind.stage &&
    round.table.fingerprint === kind.table.fingerprint
  );
}
