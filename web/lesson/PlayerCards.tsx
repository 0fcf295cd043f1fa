import { Text, Title, UnstyledButton } from '@mantine/core';
import type { Player } from '../../core/records/player.ts';
import { ago } from '../words/dates.ts';

interface PlayerCardsProps {
  readonly players: readonly Player[];
  readonly onChoose: (id: string) => void;
}

/** Who could be at the table, those who played last first: one tap each. */
export function PlayerCards({ players, onChoose }: PlayerCardsProps) {
  const byLast = players.toSorted((a, b) => (b.lastRoundAt ?? '').localeCompare(a.lastRoundAt ?? ''));
  if (byLast.length === 0) return null;
  return (
    <section aria-labelledby="who-title">
      <Title order={2} size="h3" id="who-title" mb="xs">
        Who is at the table?
      </Title>
      <div className="drill-pictures">
        {byLast.map(({ id, name, lastRoundAt }) => (
          <UnstyledButton key={id} className="card card-link" onClick={() => onChoose(id)}>
            <Text fw={700}>{name}</Text>
            <Text size="sm" c="dimmed">
              {lastRoundAt === null ? 'no round yet' : `played ${ago(lastRoundAt)}`}
            </Text>
          </UnstyledButton>
        ))}
      </div>
    </section>
  );
}
