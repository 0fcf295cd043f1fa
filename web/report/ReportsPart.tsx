import { Button, Group, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { Link, useNavigate } from 'react-router';
import type { Report, ReportDocument } from '../../core/records/report.ts';
import { call } from '../api/client.ts';
import { reportsQuery } from '../api/reports.ts';
import { longDay } from '../words/dates.ts';
import { useViewer } from '../api/viewer.ts';

const FIRST_MONTHS = 3;

/** The reports about a player; a coach begins a new one over the last three months. */
export function ReportsPart({ playerId }: { readonly playerId: string }) {
  const reports = useQuery(reportsQuery(playerId));
  const viewer = useViewer();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const coach = viewer.role === 'coach';
  const refresh = () => queries.invalidateQueries({ queryKey: reportsQuery(playerId).queryKey });
  const making = useMutation({
    mutationFn: async () => {
      const id = crypto.randomUUID();
      const document: ReportDocument = {
        playerId,
        from: dayjs().subtract(FIRST_MONTHS, 'month').format('YYYY-MM-DD'),
        to: dayjs().format('YYYY-MM-DD'),
        words: '',
        goals: [],
      };
      await call('PUT', `/reports/${id}`, { document, basedOn: null });
      return id;
    },
    onSuccess: async (id) => {
      await refresh();
      await navigate(`/reports/${id}`);
    },
  });
  const archiving = useMutation({
    mutationFn: ({ id, archived }: { readonly id: string; readonly archived: boolean }) =>
      call('PUT', `/reports/${id}/archived`, { archived }),
    onSuccess: refresh,
  });
  const all = reports.data ?? [];
  const here = all.filter(({ archived }) => !archived);
  const away = all.filter(({ archived }) => archived);
  if (!coach && here.length === 0) return null;
  const line = ({ id, document, writtenBy, archived }: Report) => (
    <Group key={id} justify="space-between" wrap="nowrap" mt={4}>
      <div>
        <Link to={`/reports/${id}`}>
          {longDay(document.from)} to {longDay(document.to)}
        </Link>
        <Text size="sm" c="dimmed">
          by {writtenBy}
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
    <section className="card" aria-labelledby="reports-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="reports-title">
          Reports
        </Title>
        {coach && (
          <Button size="xs" variant="default" loading={making.isPending} onClick={() => making.mutate()}>
            New report
          </Button>
        )}
      </Group>
      {here.length === 0 && (
        <Text size="sm">None yet: a page for the player and their parents, with your words.</Text>
      )}
      {here.map(line)}
      {coach && away.length > 0 && (
        <details>
          <summary>{away.length} put away</summary>
          {away.map(line)}
        </details>
      )}
    </section>
  );
}
