import { Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { viewerQuery } from '../api/account.ts';
import { OfflineError } from '../api/client.ts';
import { dayAndClock } from '../words/dates.ts';

/** How often the server is looked for while it is away, ms. */
const LOOK_EVERY_MS = 15_000;

/** Says that the server is away, and how fresh what is shown is; nothing while it is there. */
export function ServerAway() {
  const viewer = useQuery({
    ...viewerQuery,
    refetchInterval: ({ state }) =>
      state.error !== null || state.fetchStatus === 'paused' ? LOOK_EVERY_MS : false,
  });
  const away = viewer.error instanceof OfflineError || viewer.fetchStatus === 'paused';
  if (!away || viewer.data === undefined) return null;
  return (
    <Text size="sm" mb="xs" role="status">
      <b>The server is not reached.</b> You see what this device read{' '}
      {dayAndClock(new Date(viewer.dataUpdatedAt).toISOString())}. Scores are kept here.
    </Text>
  );
}
