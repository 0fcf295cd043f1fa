import { Alert, Button, FileButton, Group, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useViewer } from '../../api/viewer.ts';
import type { PlaceReaderProps } from '../places/placeSource.ts';
import type { KeptPicture } from './keptPictures.ts';
import { KeptPictures } from './KeptPictures.tsx';
import { MarkedPicture } from './MarkedPicture.tsx';
import { openPicture, type OpenedPicture } from './picture.ts';

/** A picture of a table becomes balls on it: corners and balls are marked, the rest is worked out on this device. */
export function PhotoReader({ table, onBalls }: PlaceReaderProps) {
  const viewer = useViewer();
  const [opened, setOpened] = useState<{
    readonly picture: OpenedPicture;
    readonly kept: KeptPicture | undefined;
  }>();
  const opening = useMutation({
    networkMode: 'always',
    mutationFn: async ({ file, kept }: { readonly file: File; readonly kept: KeptPicture | undefined }) => ({
      picture: await openPicture(file),
      kept,
    }),
    onSuccess: setOpened,
  });
  return (
    <Stack gap="xs">
      <Group gap={8}>
        <FileButton
          accept="image/*"
          onChange={(file) => file !== null && opening.mutate({ file, kept: undefined })}
        >
          {(props) => (
            <Button
              variant={opened === undefined ? 'filled' : 'default'}
              loading={opening.isPending}
              {...props}
            >
              {opened === undefined ? 'Take or choose a picture' : 'Another picture'}
            </Button>
          )}
        </FileButton>
        <Text size="sm" c="dimmed">
          It is read on this device and sent nowhere;{' '}
          {viewer.role === 'coach' ? 'it is kept only if you say so' : 'it is not kept'}. Leave people out of
          it.
        </Text>
      </Group>
      {opening.error !== null && (
        <Alert color="coral" variant="outline" p="xs" role="alert">
          {opening.error.message}
        </Alert>
      )}
      {opened === undefined && viewer.role === 'coach' && (
        <KeptPictures
          preset={table.preset.id}
          onOpen={(kept) => opening.mutate({ file: new File([kept.image], 'The kept picture'), kept })}
        />
      )}
      {opened !== undefined && (
        <MarkedPicture key={opened.picture.url} {...opened} table={table} onBalls={onBalls} />
      )}
    </Stack>
  );
}
