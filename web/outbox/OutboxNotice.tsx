import { Alert, Button, Group, Text } from '@mantine/core';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { forgetRefusals, onOutboxChange, outboxStatus } from './outbox.ts';

export function useOutbox() {
  return useSyncExternalStore(onOutboxChange, outboxStatus);
}

/** Says what is kept on this device and why; nothing when all is stored. */
export function OutboxNotice() {
  const { waiting, offline, signedOut, refused } = useOutbox();
  return (
    <div aria-live="polite">
      {signedOut && waiting > 0 && (
        <Alert color="coral" variant="outline" mb="sm" title="Sign in again">
          {waiting} {waiting === 1 ? 'entry is' : 'entries are'} kept on this device and sent after you{' '}
          <Link to="/sign-in">sign in</Link>.
        </Alert>
      )}
      {offline && waiting > 0 && (
        <Text size="sm" mb="xs">
          <b>No connection.</b> {waiting} {waiting === 1 ? 'entry is' : 'entries are'} kept here and sent when
          it is back.
        </Text>
      )}
      {refused.length > 0 && (
        <Alert color="coral" variant="outline" mb="sm" title="The server did not take">
          {refused.map((line) => (
            <Text key={line} size="sm">
              {line}
            </Text>
          ))}
          <Group mt="xs">
            <Button size="xs" variant="default" onClick={forgetRefusals}>
              Understood
            </Button>
          </Group>
        </Alert>
      )}
    </div>
  );
}
