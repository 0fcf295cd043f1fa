import { DayField } from '../controls/DayField.tsx';
import { Anchor, Group, Stack, Table, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { boundsOfDay, todayInClub } from '../words/clubTime.ts';
import { Link } from 'react-router';
import { useAddress } from '../controls/useAddress.ts';
import { compareResults, resultText } from '../../core/counting/result.ts';
import type { RoundHead } from '../../core/records/round.ts';
import { groupBy } from '../../core/statistics/groupBy.ts';
import { drillsQuery } from '../api/drills.ts';
import { eveningQuery } from '../api/club.ts';
import { Loading } from '../controls/Loading.tsx';

/** What a group played on an evening: a line for each player, a column for each drill. */
export function EveningPage() {
  const { params, set } = useAddress();
  const day = params.get('day') ?? todayInClub();
  const { from, to } = boundsOfDay(day);
  const rounds = useQuery(eveningQuery(from.toISOString(), to.toISOString()));
  return (
    <Stack>
      <Group justify="space-between" align="end">
        <div>
          <Anchor component={Link} to="/players" className="no-print">
            Players
          </Anchor>
          <Title order={1}>The evening of {from.format('D MMMM YYYY')}</Title>
        </div>
        <DayField
          aria-label="Day"
          className="no-print"
          value={day}
          onChange={(next) => {
            set({ day: next });
          }}
        />
      </Group>
      {rounds.data === undefined ? (
        <Loading what="the evening" error={rounds.error} />
      ) : rounds.data.length === 0 ? (
        <Text>Nobody finished a round on this day. Choose another one.</Text>
      ) : (
        <Evening rounds={rounds.data} />
      )}
    </Stack>
  );
}

function Evening({ rounds }: { readonly rounds: readonly RoundHead[] }) {
  const drills = useQuery(drillsQuery);
  const titleOf = (slug: string) =>
    drills.data?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const columns = [...groupBy(rounds, ({ drill, stage }) => `${drill}|${stage}`).entries()];
  const players = [...groupBy(rounds, ({ player }) => player.id).values()];
  return (
    <div className="card" style={{ overflowX: 'auto' }}>
      <Table verticalSpacing={6} aria-label="Results of the evening">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Player</Table.Th>
            {columns.map(([key, [first]]) => (
              <Table.Th key={key} ta="right">
                {titleOf(first?.drill ?? '')}, stage {first?.stage}
                <br />
                <span className="muted" style={{ fontWeight: 400 }}>
                  {first?.result.unit}
                </span>
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {players.map((own) => (
            <Table.Tr key={own[0]?.player.id}>
              <Table.Td fw={700}>
                <Link to={`/players/${own[0]?.player.id ?? ''}`}>{own[0]?.player.name}</Link>
              </Table.Td>
              {columns.map(([key, all]) => (
                <Table.Td key={key} ta="right">
                  <Cell own={own} all={all} />
                </Table.Td>
              ))}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Text size="xs" c="dimmed" mt={6}>
        Several rounds of a drill stand one after the other; the best of the evening stands bold. A round that
        was ended early stands in brackets.
      </Text>
    </div>
  );
}

interface CellProps {
  readonly own: readonly RoundHead[];
  /** Everybody's rounds of the drill. */
  readonly all: readonly RoundHead[];
}

function Cell({ own, all }: CellProps) {
  const mine = own.filter((round) => all.includes(round));
  const best = all
    .map(({ result }) => result)
    .filter(({ complete }) => complete)
    .sort(compareResults)[0];
  return mine.map(({ id, result }, i) => {
    const text = result.complete ? resultText(result) : `(${resultText(result)})`;
    const top = best !== undefined && result.complete && compareResults(result, best) === 0;
    return (
      <span key={id}>
        {i === 0 ? '' : ', '}
        <Link to={`/lesson/rounds/${id}`} style={{ fontWeight: top ? 700 : 400 }}>
          {text}
        </Link>
      </span>
    );
  });
}
