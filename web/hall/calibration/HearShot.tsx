import { Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { SoundButtons } from '../../planner/SoundButtons.tsx';
import { useMicrophone } from '../../planner/useMicrophone.ts';

interface HearShotProps {
  /** The playing whose times are still to be told; undefined when all are. */
  readonly time: number | undefined;
  readonly onHear: (file: File) => Promise<readonly (number | undefined)[]>;
  readonly onHeard: (time: number, times: readonly (number | undefined)[]) => void;
}

/** The times of one playing by its sound: the tip, the balls, the cushions. */
export function HearShot({ time, onHear, onHeard }: HearShotProps) {
  const heard = useMutation({
    networkMode: 'always',
    mutationFn: async (file: File) => {
      if (time === undefined) return 0;
      const times = await onHear(file);
      const told = times.filter((each) => each !== undefined).length;
      if (told > 0) onHeard(time, times);
      return told;
    },
  });
  const microphone = useMicrophone((sound) => heard.mutate(sound));
  const refused = microphone.refused ?? (heard.error === null ? undefined : `${heard.error.message}.`);
  return (
    <>
      <SoundButtons microphone={microphone} isBusy={heard.isPending} onFile={heard.mutate} />
      {microphone.isOn && (
        <Text size="sm" role="status">
          Listening: play the shot, then stop.
        </Text>
      )}
      {heard.data === 0 && (
        <Text size="sm" role="status">
          No time could be told from it: the shot’s knocks were not heard.
        </Text>
      )}
      {refused !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {refused}
        </Text>
      )}
    </>
  );
}
