import { Button, Stack, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { Shot } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import { readShotText, shotText } from '../../table/labShot.ts';

/** The shot as its open file: copy it from here, or put another one in. */
export function ShotFileForm({
  shot,
  onRead,
}: {
  readonly shot: Shot;
  readonly onRead: (shot: Shot) => void;
}) {
  const [text, setText] = useState(() => shotText(shot));
  const [error, setError] = useState<string>();
  return (
    <Stack>
      <Textarea
        label="jolly-rail/shot, version 1"
        autosize
        minRows={8}
        maxRows={16}
        value={text}
        error={error}
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <Button
        onClick={() => {
          try {
            const read = readShotText(text);
            simulate(read);
            onRead(read);
          } catch (cause) {
            setError(cause instanceof Error ? cause.message : 'this is no shot');
          }
        }}
      >
        Read this shot
      </Button>
    </Stack>
  );
}
