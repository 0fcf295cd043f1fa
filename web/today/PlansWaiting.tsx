import { Stack, Text, Title } from '@mantine/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { programmesQuery, proposalsQuery } from '../api/programmes.ts';
import { counted } from '../words/units.ts';

/** The programmes whose weeks to come wait for a coach's or the student's word; nothing where there is none. */
export function PlansWaiting() {
  const programmes = useQuery(programmesQuery);
  const running = (programmes.data ?? []).filter(({ archived }) => !archived);
  const told = useQueries({ queries: running.map(({ id }) => proposalsQuery(id)) });
  const waiting = running.flatMap((programme, i) => {
    const count = told[i]?.data?.proposals.length ?? 0;
    return count === 0 ? [] : [{ programme, count }];
  });
  if (waiting.length === 0) return null;
  return (
    <section aria-labelledby="plans-title">
      <Title order={2} size="h3" id="plans-title" mb="xs">
        Plans that wait for a word
      </Title>
      <Stack gap={6}>
        {waiting.map(({ programme: { id, player, document }, count }) => (
          <Link key={id} to={`/programmes/${id}`} className="card card-link">
            <div style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
              <Text fw={700}>{player.name}</Text>
              <Text c="dimmed">{counted(count, 'proposal')}</Text>
            </div>
            <Text size="sm" c="dimmed">
              {document.title}
            </Text>
          </Link>
        ))}
      </Stack>
    </section>
  );
}
