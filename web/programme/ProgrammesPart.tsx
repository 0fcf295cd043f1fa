import { Button, Group, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { Link, useNavigate } from 'react-router';
import { addDays, mondayOf, WEEK_DAYS } from '../../core/programme/days.ts';
import type { Programme, ProgrammeDocument } from '../../core/records/programme.ts';
import { call } from '../api/client.ts';
import { programmesQuery } from '../api/programmes.ts';
import { useViewer } from '../api/viewer.ts';

const FIRST_WEEKS = 5;

/** The programmes of a player, the newest first; a coach begins a new one, and puts old ones away. */
export function ProgrammesPart({ playerId }: { readonly playerId: string }) {
  const programmes = useQuery(programmesQuery);
  const viewer = useViewer();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const own = (programmes.data ?? []).filter(({ player }) => player.id === playerId);
  const here = own.filter(({ archived }) => !archived);
  const away = own.filter(({ archived }) => archived);
  const coach = viewer.role === 'coach';
  const refresh = () => queries.invalidateQueries({ queryKey: programmesQuery.queryKey });
  const making = useMutation({
    mutationFn: async () => {
      const id = crypto.randomUUID();
      const document: ProgrammeDocument = {
        title: 'Programme',
        playerId,
        startDay: mondayOf(dayjs().format('YYYY-MM-DD')),
        weeks: FIRST_WEEKS,
        matchDays: [],
        items: [],
      };
      await call('PUT', `/programmes/${id}`, { document, basedOn: null });
      return id;
    },
    onSuccess: async (id) => {
      await refresh();
      await navigate(`/programmes/${id}`);
    },
  });
  const archiving = useMutation({
    mutationFn: ({ id, archived }: { readonly id: string; readonly archived: boolean }) =>
      call('PUT', `/programmes/${id}/archived`, { archived }),
    onSuccess: refresh,
  });
  if (!coach && here.length === 0) return null;
  const line = ({ id, document, archived }: Programme) => (
    <Group key={id} justify="space-between" wrap="nowrap" mt={4}>
      <div>
        <Link to={`/programmes/${id}`}>{document.title}</Link>
        <Text size="sm" c="dimmed">
          {weeksWords(document)}
        </Text>
      </div>
      {coach && (
        <Button
          size="compact-sm"
          variant="subtle"
          color="ink"
          onClick={() => archiving.mutate({ id, archived: !archived })}
        >
          {archived ? 'Bring back' : 'Put away'}
        </Button>
      )}
    </Group>
  );
  return (
    <section className="card" aria-labelledby="programmes-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="programmes-title">
          Programmes
        </Title>
        {coach && (
          <Button size="xs" variant="default" loading={making.isPending} onClick={() => making.mutate()}>
            New programme
          </Button>
        )}
      </Group>
      {here.length === 0 && <Text size="sm">None yet: weeks of practice are planned here.</Text>}
      {here.map(line)}
      {coach && away.length > 0 && (
        <details>
          <summary>{away.length} put away</summary>
          {away.map(line)}
        </details>
      )}
      {(making.isError || archiving.isError) && (
        <Text role="alert" c="var(--jr-coral-text)">
          Not done: {(making.error ?? archiving.error)?.message}
        </Text>
      )}
    </section>
  );
}

function weeksWords({ startDay, weeks, items }: ProgrammeDocument): string {
  const last = addDays(startDay, WEEK_DAYS * weeks - 1);
  const entries = items.length === 1 ? '1 entry' : `${items.length} entries`;
  return `${dayjs(startDay).format('D MMM')} to ${dayjs(last).format('D MMM YYYY')}, ${entries}`;
}
