import { useWords } from '../words/useWords.ts';
import { Stack, Text, Title } from '@mantine/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Player } from '../../core/records/player.ts';
import { drillsQuery } from '../api/drills.ts';
import { nextDrillsQuery } from '../api/players.ts';
import { ago } from '../words/dates.ts';

/** Those who have not practised for the longest, and what they would gain most by. */
export function Waiting({ players }: { readonly players: readonly Player[] }) {
  const { skillName } = useWords();
  const drills = useQuery(drillsQuery);
  const next = useQueries({ queries: players.map(({ id }) => nextDrillsQuery(id)) });
  const titleOf = (slug: string) =>
    drills.data?.find(({ document }) => document.slug === slug)?.document.title ?? slug;
  return (
    <section aria-labelledby="waiting-title">
      <Title order={2} size="h3" id="waiting-title" mb="xs">
        Longest without practice
      </Title>
      <Stack gap={6}>
        {players.length === 0 && <Text>No players yet. Add the first one in Players.</Text>}
        {players.map((player, i) => {
          const due = next[i]?.data?.[0];
          return (
            <Link key={player.id} to={`/players/${player.id}`} className="card card-link">
              <div style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
                <Text fw={700}>{player.name}</Text>
                <Text c="dimmed">
                  {player.lastRoundAt === null ? 'no round yet' : ago(player.lastRoundAt)}
                </Text>
              </div>
              <Text size="sm" c="dimmed">
                {due === undefined ? '\u00a0' : `due for ${skillName(due.skill)}: ${titleOf(due.drill)}`}
              </Text>
            </Link>
          );
        })}
      </Stack>
    </section>
  );
}
