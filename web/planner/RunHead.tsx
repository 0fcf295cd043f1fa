import { Button, Group, Progress, Text, Title } from '@mantine/core';
import type { OneRun } from './useOneRun.ts';

interface RunHeadProps {
  readonly title: string;
  readonly id: string;
  /** What the button says that begins it. */
  readonly ask: string;
  /** What the bar counts. */
  readonly counted: string;
  readonly run: Pick<OneRun<unknown>, 'share' | 'isRunning' | 'failed' | 'start' | 'stop'>;
}

/** The head of a card whose content is computed when somebody asks: title, button, progress, what went wrong. */
export function RunHead({ title, id, ask, counted, run }: RunHeadProps) {
  return (
    <>
      <Group justify="space-between">
        <Title order={2} size="h4" id={id}>
          {title}
        </Title>
        <Button
          size={run.isRunning ? 'compact-xs' : 'xs'}
          variant="default"
          className="no-print"
          onClick={run.isRunning ? run.stop : run.start}
        >
          {run.isRunning ? 'Stop' : ask}
        </Button>
      </Group>
      {run.isRunning && <Progress mt={6} value={100 * run.share} aria-label={counted} />}
      {run.failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          The search came to no end: {run.failed}.
        </Text>
      )}
    </>
  );
}
