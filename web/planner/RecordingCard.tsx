import { Button, Group, Text, Title } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import type { SpeedSetting } from '../../core/sound/breakSpeed.ts';
import { recordedWords } from '../words/breakStudyWords.ts';
import { soundIn } from './soundIn.ts';
import { SoundButtons } from './SoundButtons.tsx';
import { useMicrophone } from './useMicrophone.ts';
import { recordedSpeedOf } from '../workers/break.ts';
import { tapeLength } from '../words/lengths.ts';

interface RecordingCardProps {
  readonly setting: SpeedSetting;
  /** What a pace that was heard is taken up as. */
  readonly take: string;
  /** Takes the heard pace up, m/s. */
  readonly onTake: (speed: number) => void;
}

/** How hard a break was, from its sound. */
export function RecordingCard({ setting, take, onTake }: RecordingCardProps) {
  const heard = useMutation({
    networkMode: 'always',
    mutationFn: async (file: File) => recordedSpeedOf(await soundIn(file), setting),
  });
  const told = heard.data;
  const microphone = useMicrophone((sound) => heard.mutate(sound));
  const refused = microphone.refused ?? (heard.error === null ? undefined : `${heard.error.message}.`);
  return (
    <section
      className="card"
      style={{ marginBlock: 6 }}
      aria-labelledby="recording-title"
      aria-busy={heard.isPending}
    >
      <Group justify="space-between">
        <Title order={2} size="h4" id="recording-title">
          Pace by ear
        </Title>
        <SoundButtons microphone={microphone} isBusy={heard.isPending} onFile={heard.mutate} />
      </Group>
      {microphone.isOn && (
        <Text size="sm" role="status">
          Listening: play the break, then stop.
        </Text>
      )}
      {heard.isIdle && !microphone.isOn && (
        <Text size="sm">
          From the tip to the rack: the cue ball runs {tapeLength(setting.distance)} as it lies here. The
          recording stays on this device.
        </Text>
      )}
      {refused !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {refused}
        </Text>
      )}
      {told !== undefined && (
        <Text size="sm" data-testid="heard">
          {recordedWords(told)}
        </Text>
      )}
      {told?.kind === 'told' && (
        <Button
          mt={6}
          size="compact-xs"
          variant="default"
          onClick={() => onTake(Math.round(10 * told.speed) / 10)}
        >
          {take}
        </Button>
      )}
    </section>
  );
}
