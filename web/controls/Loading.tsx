import { Alert, Loader, Stack, Text } from '@mantine/core';
import { OfflineError } from '../api/client.ts';

interface LoadingProps {
  readonly what: string;
  readonly error: Error | null;
  /** Height of what will stand here, pixels: the place is kept, so that nothing below moves when it comes. */
  readonly height?: number;
}

/** Stands in for what is not there yet, or says why it does not come. */
export function Loading({ what, error, height = 0 }: LoadingProps) {
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
    <Stack align="center" justify="center" p="xl" mih={height} role="status">
      <Loader />
      <Text c="dimmed">Loading {what}</Text>
    </Stack>
  );
}
