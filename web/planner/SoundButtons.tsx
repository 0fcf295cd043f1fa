import { Button, FileButton, Group } from '@mantine/core';
import type { Microphone } from './useMicrophone.ts';

interface SoundButtonsProps {
  readonly microphone: Microphone;
  readonly isBusy: boolean;
  readonly onFile: (file: File) => void;
}

/** A recording by the microphone, where there is one, or from a file. */
export function SoundButtons({ microphone, isBusy, onFile }: SoundButtonsProps) {
  return (
    <Group gap={6}>
      {microphone.isThere && (
        <Button
          size="xs"
          variant={microphone.isOn ? 'filled' : 'default'}
          onClick={microphone.isOn ? microphone.stop : microphone.start}
        >
          {microphone.isOn ? 'Stop' : 'Listen'}
        </Button>
      )}
      <FileButton accept="audio/*" onChange={(file) => file !== null && onFile(file)}>
        {(props) => (
          <Button size="xs" variant="default" loading={isBusy} {...props}>
            A recording
          </Button>
        )}
      </FileButton>
    </Group>
  );
}
