import { Anchor, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { resultText } from '../../core/counting/result.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { conditionsInWords } from '../words/conditionWords.ts';
import { FindButton } from '../app/palette/FindButton.tsx';
import { meanWords } from './meanWords.ts';
import { useViewer } from '../api/viewer.ts';
import { OutboxNotice } from '../outbox/OutboxNotice.tsx';
import { attemptsIn, progressOf, type Course } from '../../core/scoring/course.ts';
import type { ScoringActions } from './useScoring.ts';

interface ScoringHeadProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly actions: ScoringActions;
  readonly word: string;
  /** The lab with this shot in it; undefined where there is none. */
  readonly labTo: string | undefined;
  readonly onCounting: () => void;
}

export function ScoringHead({ open, course, actions, word, labTo, onCounting }: ScoringHeadProps) {
  const { round, document } = open;
  const viewer = useViewer();
  const { scoring, storeFailed } = actions;
  const { conditions } = open.tableState;
  const { result } = progressOf(course, scoring.attempts);
  const beside = meanWords(course, scoring.attempts);
  const planned = attemptsIn(course);
  const over = scoring.ended !== null;
  const current = Math.min(scoring.attempts.length + (over ? 0 : 1), planned ?? Infinity);
  return (
    <div className="scoring-head">
      <Group justify="space-between" align="end" wrap="nowrap">
        <div>
          <Group gap="md">
            <Anchor
              component={Link}
              to={round.lesson === null ? '/' : `/lesson/${round.lesson.id}`}
              size="sm"
              underline="always"
            >
              Leave, it is kept
            </Anchor>
            {labTo !== undefined && (
              <Anchor component={Link} to={labTo} size="sm" underline="always">
                Think it through
              </Anchor>
            )}
            <Anchor component="button" type="button" size="sm" underline="always" onClick={onCounting}>
              How it counts
            </Anchor>
          </Group>
          <Title order={1} size="h2">
            {document.title}
          </Title>
          <Text c="dimmed" size="sm">
            {round.player.name}, {round.table.name}
            {conditions === null ? '' : ` (${conditionsInWords(conditions.conditions)})`},{' '}
            {document.stages[round.stage - 1]?.title.toLowerCase()}
            {round.mirrored ? ', mirrored' : ''}
          </Text>
        </div>
        <Group gap="xl" wrap="nowrap">
          <FindButton />
          <div>
            <Text size="sm" c="dimmed">
              {over ? `${word}s` : word}
            </Text>
            <Text className="big" data-testid="shot" style={{ whiteSpace: 'nowrap' }}>
              {planned === undefined ? current : `${current} / ${planned}`}
            </Text>
          </div>
          <div>
            <Text size="sm" c="dimmed">
              {result.unit}
            </Text>
            <Text className="big" data-testid="points">
              {resultText(result)}
            </Text>
            {beside !== undefined && (
              <Text size="sm" c="dimmed" data-testid="mean">
                {beside}
              </Text>
            )}
          </div>
        </Group>
      </Group>
      <OutboxNotice person={viewer} />
      {storeFailed && (
        <Text c="var(--jr-coral-text)" role="alert">
          This browser could not keep the last entry. Note it down, and free some space.
        </Text>
      )}
    </div>
  );
}
