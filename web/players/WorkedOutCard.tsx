import { Button, Group, Text, Title } from '@mantine/core';
import { useId, type ReactNode } from 'react';

interface WorkedOutCardProps {
  readonly title: string;
  /** What the button says. */
  readonly ask: string;
  readonly onAsk: () => void;
  readonly working: boolean;
  readonly disabled?: boolean;
  readonly error: Error | null;
  readonly children: ReactNode;
}

/** A card whose answer takes a while: it is worked out when it is asked for. */
export function WorkedOutCard({ title, ask, onAsk, working, disabled, error, children }: WorkedOutCardProps) {
  const id = useId();
  return (
    <section className="card" aria-labelledby={id}>
      <Group justify="space-between" align="start" wrap="nowrap">
        <Title order={2} size="h4" id={id}>
          {title}
        </Title>
        <Button
          size="xs"
          variant="default"
          className="no-print"
          style={{ flexShrink: 0 }}
          loading={working}
          disabled={disabled ?? false}
          onClick={onAsk}
        >
          {ask}
        </Button>
      </Group>
      {children}
      {error !== null && (
        <Text role="alert" c="var(--jr-coral-text)">
          {error.message}
        </Text>
      )}
    </section>
  );
}
