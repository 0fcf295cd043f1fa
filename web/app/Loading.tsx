import { Alert, Loader, Stack, Text } from '@mantine/core';
import { OfflineError } from '../api/client.ts';

interface LoadingProps {
  readonly what: string;
  readonly error: Error | null;
}

/** Stands in for what is not there yet, or says why it does not come. */
export function Loading({ what, error }: LoadingProps) {
  if (error !== null) {
    return (
      <Alert color="coral" variant="outline" title={`Could not load ${what}`} m="md" role="alert">
        {error instanceof OfflineError
          ? 'The server cannot be reached. Scores stay on this device and are sent when it is back.'
          : error.message}
      </Alert>
    );
  }
  return (
    <Stack align="center" p="xl" role="status">
      <Loader />
      <Text c="dimmed">Loading {what}</Text>
    </Stack>
  );
}
