import { Stack, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { programmesQuery } from '../api/programmes.ts';
import { ago } from '../words/dates.ts';

/** A student's own ways in: their progress, their programmes, the calls that train judgement. */
export function OwnGame({ playerId, lastAt }: { readonly playerId: string; readonly lastAt: string | null }) {
  const programmes = useQuery(programmesQuery);
  const own = (programmes.data ?? []).filter(({ player, archived }) => player.id === playerId && !archived);
  const ways = [
    {
      to: `/players/${playerId}`,
      name: 'Your progress',
      words: lastAt === null ? 'no round yet' : `last round ${ago(lastAt)}`,
    },
    ...own.map(({ id, document }) => ({
      to: `/programmes/${id}`,
      name: document.title,
      words: 'your programme',
    })),
    { to: '/lab/call', name: 'Say it before you see it', words: 'trains your judgement' },
  ];
  return (
    <section aria-labelledby="own-title">
      <Title order={2} size="h3" id="own-title" mb="xs">
        Your game
      </Title>
      <Stack gap={6}>
        {ways.map(({ to, name, words }) => (
          <Link key={to} to={to} className="card card-link">
            <Text fw={700}>{name}</Text>
            <Text size="sm" c="dimmed">
              {words}
            </Text>
          </Link>
        ))}
      </Stack>
    </section>
  );
}
