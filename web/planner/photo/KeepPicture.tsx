import { Button, Group, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { PresetId } from '../../../core/table/preset.ts';
import { useViewer } from '../../api/viewer.ts';
import { asKept, type KeptPicture } from './keptPictures.ts';
import { useKeptPictures } from './useKeptPictures.ts';
import type { OpenedPicture } from './picture.ts';
import type { PhotoMarks } from './photoMarks.ts';

interface KeepPictureProps {
  readonly picture: OpenedPicture;
  readonly marks: PhotoMarks;
  readonly preset: PresetId;
  readonly kept: KeptPicture | undefined;
}

/** A coach's choice to keep a picture with its marks on this device. */
export function KeepPicture({ picture, marks, preset, kept }: KeepPictureProps) {
  const viewer = useViewer();
  const { keep } = useKeptPictures();
  const [first] = useState(() => ({
    id: kept?.id ?? crypto.randomUUID(),
    at: kept?.at ?? Date.now(),
    preset,
  }));
  const keeping = useMutation({
    networkMode: 'always',
    mutationFn: (of: PhotoMarks) => keep(asKept(picture, of, first)),
  });
  if (viewer.role !== 'coach') return null;
  // What is marked afterwards is not kept yet.
  const isKept = keeping.isSuccess && keeping.variables === marks;
  return (
    <Group gap={8}>
      <Button
        size="compact-sm"
        variant="default"
        loading={keeping.isPending}
        disabled={isKept}
        onClick={() => keeping.mutate(marks)}
      >
        {isKept ? 'Kept' : 'Keep it on this device'}
      </Button>
      <Text size="sm" c="dimmed" role="status">
        {keeping.isError
          ? 'It could not be kept: this device has no room for it.'
          : isKept
            ? 'With its marks, until you throw it away. It is in no backup.'
            : ''}
      </Text>
    </Group>
  );
}
