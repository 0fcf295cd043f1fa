import { Button, Group, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient, type QueryKey } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { call } from '../api/client.ts';
import { useViewer } from '../api/viewer.ts';

interface DocumentLine {
  readonly id: string;
  readonly archived: boolean;
  readonly title: ReactNode;
  readonly about: ReactNode;
}

interface DocumentsPartProps {
  readonly kind: 'programme' | 'report';
  readonly title: string;
  readonly lines: readonly DocumentLine[];
  /** What is said where there is none yet. */
  readonly none: string;
  /** The text of a new one. */
  readonly begin: () => unknown;
  /** What is asked anew after a change. */
  readonly queryKey: QueryKey;
}

/** A player's documents of one kind; a coach begins a new one, puts old ones away and brings them back. */
export function DocumentsPart({ kind, title, lines, none, begin, queryKey }: DocumentsPartProps) {
  const viewer = useViewer();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const path = `/${kind}s`;
  const titleId = `${kind}s-title`;
  const coach = viewer.role === 'coach';
  const here = lines.filter(({ archived }) => !archived);
  const away = lines.filter(({ archived }) => archived);
  const refresh = () => queries.invalidateQueries({ queryKey });
  const making = useMutation({
    mutationFn: async () => {
      const id = crypto.randomUUID();
      await call('PUT', `${path}/${id}`, { document: begin(), basedOn: null });
      return id;
    },
    onSuccess: async (id) => {
      await refresh();
      await navigate(`${path}/${id}`);
    },
  });
  const archiving = useMutation({
    mutationFn: ({ id, archived }: { readonly id: string; readonly archived: boolean }) =>
      call('PUT', `${path}/${id}/archived`, { archived }),
    onSuccess: refresh,
  });
  if (!coach && here.length === 0) return null;
  const line = ({ id, archived, title: name, about }: DocumentLine) => (
    <Group key={id} justify="space-between" wrap="nowrap" mt={4}>
      <div>
        <Link to={`${path}/${id}`}>{name}</Link>
        <Text size="sm" c="dimmed">
          {about}
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
    <section className="card" aria-labelledby={titleId}>
      <Group justify="space-between">
        <Title order={2} size="h4" id={titleId}>
          {title}
        </Title>
        {coach && (
          <Button size="xs" variant="default" loading={making.isPending} onClick={() => making.mutate()}>
            New {kind}
          </Button>
        )}
      </Group>
      {here.length === 0 && <Text size="sm">{none}</Text>}
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
