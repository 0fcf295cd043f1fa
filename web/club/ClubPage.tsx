import { Button, Group, SegmentedControl, Stack, Switch, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { dayOf } from '../words/clubTime.ts';
import { useState } from 'react';
import { Link, Navigate } from 'react-router';
import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import { clubOverviewQuery } from '../api/club.ts';
import { playersQuery } from '../api/players.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { AddPlayer } from './AddPlayer.tsx';
import { ClubTable } from './ClubTable.tsx';
import { standingOf } from './overviewWords.ts';

const SHOWN = ['everybody', 'improves', 'stuck', 'not practised', 'due'] as const;
type Shown = (typeof SHOWN)[number];

/** The students of the club at a glance; a student is shown their own page. */
export function ClubPage() {
  const viewer = useViewer();
  return viewer.role === 'coach' ? <Club /> : <Navigate to={`/players/${viewer.id}`} replace />;
}

function fits(each: PlayerOverview, shown: Shown, now: number): boolean {
  const standing = standingOf(each, now);
  switch (shown) {
    case 'everybody':
      return true;
    case 'due':
      return each.week.due > 0;
    case 'improves':
      return standing === 'improves' || standing === 'comes back';
    default:
      return standing === shown;
  }
}

function Club() {
  const [now] = useState(() => Date.now());
  const players = useQuery(playersQuery);
  const overview = useQuery(clubOverviewQuery(dayOf(now)));
  const [shown, setShown] = useState<Shown>('everybody');
  const [archived, setArchived] = useState(false);
  const error = players.error ?? overview.error;
  if (players.data === undefined || overview.data === undefined) {
    return <Loading what="the players" error={error} />;
  }
  const here = overview.data.filter((each) => fits(each, shown, now));
  const away = players.data.filter((player) => player.archived);
  return (
    <Stack>
      <Group justify="space-between" align="end">
        <Title order={1}>Players</Title>
        <Group gap="xs" className="no-print">
          <Button component={Link} to="/players/compare" variant="default">
            Compare two
          </Button>
          <Button component={Link} to="/players/evening" variant="default">
            An evening
          </Button>
          <Button component={Link} to="/players/club" variant="default">
            Coaches and club
          </Button>
          <Button component={Link} to="/players/records" variant="default">
            Records and backup
          </Button>
        </Group>
      </Group>
      {players.data.length === 0 ? (
        <Text>Nobody is here yet. Add the first player below; then start a round.</Text>
      ) : (
        <>
          <Group justify="space-between" className="no-print">
            <SegmentedControl
              aria-label="Who is shown"
              value={shown}
              onChange={(value) => setShown(SHOWN.find((each) => each === value) ?? 'everybody')}
              data={SHOWN.map((value) => ({ value, label: value }))}
            />
            {away.length > 0 && (
              <Switch
                label="Show who was put away"
                checked={archived}
                onChange={(event) => setArchived(event.currentTarget.checked)}
              />
            )}
          </Group>
          {here.length === 0 ? (
            <Text>Nobody of whom this can be said today.</Text>
          ) : (
            <ClubTable players={players.data} overview={here} now={now} />
          )}
          {archived && (
            <Text>
              Put away:{' '}
              {away.map(({ id, name }, i) => (
                <span key={id}>
                  {i === 0 ? '' : ', '}
                  <Link to={`/players/${id}`}>{name}</Link>
                </span>
              ))}
            </Text>
          )}
        </>
      )}
      <AddPlayer />
    </Stack>
  );
}
