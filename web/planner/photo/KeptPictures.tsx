import { Button, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import type { PresetId } from '../../../core/table/preset.ts';
import { dayAndClock } from '../../words/dates.ts';
import type { KeptPicture } from './keptPictures.ts';
import { useKeptPictures } from './useKeptPictures.ts';

interface KeptPicturesProps {
  readonly preset: PresetId;
  readonly onOpen: (picture: KeptPicture) => void;
}

/** Kept pictures of a kind of table: opened again with their marks, or thrown away. */
export function KeptPictures({ preset, onOpen }: KeptPicturesProps) {
  const { pictures, keep, drop } = useKeptPictures();
  const [dropped, setDropped] = useState<KeptPicture>();
  const here = pictures.filter((each) => each.preset === preset);
  if (here.length === 0 && dropped === undefined) return null;
  return (
    <Stack gap={6} role="group" aria-label="Kept pictures">
      <Text size="sm" fw={700}>
        Kept on this device
      </Text>
      {here.map((picture) => {
        const words = `${dayAndClock(new Date(picture.at).toISOString())}, ${picture.balls.length === 1 ? 'one ball' : `${String(picture.balls.length)} balls`}`;
        return (
          <Group key={picture.id} gap={8}>
            <Button variant="default" onClick={() => onOpen(picture)}>
              {words}
            </Button>
            <Button
              variant="subtle"
              aria-label={`Throw away: ${words}`}
              onClick={() => {
                setDropped(picture);
                void drop(picture);
              }}
            >
              Throw away
            </Button>
          </Group>
        );
      })}
      {dropped !== undefined && (
        <Group gap={8}>
          <Text size="sm" role="status">
            The picture is thrown away.
          </Text>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              setDropped(undefined);
              void keep(dropped);
            }}
          >
            Bring it back
          </Button>
        </Group>
      )}
    </Stack>
  );
}
