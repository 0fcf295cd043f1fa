import { Anchor, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import type { OpenRound } from '../../core/records/club.ts';
import { conditionsInWords } from '../hall/conditionWords.ts';
import { OutboxNotice } from './OutboxNotice.tsx';
import type { Scoring } from './scoring.ts';

interface ScoringHeadProps {
  readonly open: OpenRound;
  readonly scoring: Scoring;
  readonly storeFailed: boolean;
  /** The lab with this shot in it; undefined until the shot is solved. */
  readonly labTo: string | undefined;
}

export function ScoringHead({ open, scoring, storeFailed, labTo }: ScoringHeadProps) {
  const { round, document } = open;
  const { conditions } = open.tableState;
  const points = scoring.attempts.reduce((sum, attempt) => sum + attempt.points, 0);
  const shot = Math.min(scoring.attempts.length + 1, scoring.shots);
  return (
    <div className="scoring-head">
      <Group justify="space-between" align="end" wrap="nowrap">
        <div>
          <Group gap="md">
            <Anchor component={Link} to="/" size="sm" underline="always">
              Leave, it is kept
            </Anchor>
            {labTo !== undefined && (
              <Anchor component={Link} to={labTo} size="sm" underline="always">
                Think it through
              </Anchor>
            )}
          </Group>
          <Title order={1} size="h2">
            {document.title}
          </Title>
          <Text c="dimmed" size="sm">
            {round.player.name}, {round.table.name}
            {conditions === null ? '' : ` (${conditionsInWords(conditions.conditions)})`},{' '}
            {document.stages[round.stage - 1]?.title.toLowerCase()}
          </Text>
        </div>
        <Group gap="xl" wrap="nowrap">
          <div>
            <Text size="sm" c="dimmed">
              {scoring.ended === null ? 'shot' : 'shots'}
            </Text>
            <Text className="big" data-testid="shot" style={{ whiteSpace: 'nowrap' }}>
              {scoring.ended === null ? shot : scoring.attempts.length} / {scoring.shots}
            </Text>
          </div>
          <div>
            <Text size="sm" c="dimmed">
              points
            </Text>
            <Text className="big" data-testid="points">
              {points}
            </Text>
          </div>
        </Group>
      </Group>
      <OutboxNotice />
      {storeFailed && (
        <Text c="var(--jr-coral-text)" role="alert">
          This browser could not keep the last entry. Note it down, and free some space.
        </Text>
      )}
    </div>
  );
}
