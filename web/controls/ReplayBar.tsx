import { Button, Group, SegmentedControl, Slider, Text } from '@mantine/core';
import {
  IconPlayerPause,
  IconPlayerPlay,
  IconPlayerTrackNext,
  IconPlayerTrackPrev,
} from '@tabler/icons-react';
import type { Mark } from '../../core/motion/marks.ts';
import { KeyCap } from './KeyCap.tsx';
import { useReplayed, type Replay } from '../table/replay.ts';

interface ReplayBarProps {
  readonly replay: Replay;
  readonly duration: number;
  readonly marks: readonly Mark[];
}

/** The time of the nearest event after t, or before it. */
export function eventTime(marks: readonly Mark[], t: number, forwards: boolean): number | undefined {
  const times = marks.map(({ event }) => event.t);
  return forwards ? times.find((at) => at > t + 1e-6) : times.findLast((at) => at < t - 1e-6);
}

/** Play, pause, from event to event, and any moment by hand. */
export function ReplayBar({ replay, duration, marks }: ReplayBarProps) {
  const t = useReplayed(replay, (r) => r.time()) ?? 0;
  const playing = useReplayed(replay, (r) => r.playing());
  const rate = useReplayed(replay, (r) => r.rate());
  const step = (forwards: boolean) => replay.seek(eventTime(marks, t, forwards) ?? (forwards ? duration : 0));
  return (
    <Group wrap="nowrap" gap={10} className="replay-bar">
      <Button
        size="sm"
        leftSection={playing ? <IconPlayerPause size={16} /> : <IconPlayerPlay size={16} />}
        onClick={() => (playing ? replay.pause() : replay.play())}
      >
        {playing ? 'Pause' : 'Play'}&nbsp;<KeyCap>P</KeyCap>
      </Button>
      <Button size="sm" variant="default" px={8} aria-label="Event before" onClick={() => step(false)}>
        <IconPlayerTrackPrev size={16} />
      </Button>
      <Button size="sm" variant="default" px={8} aria-label="Next event" onClick={() => step(true)}>
        <IconPlayerTrackNext size={16} />
      </Button>
      <Slider
        style={{ flex: 1 }}
        thumbLabel="Time"
        min={0}
        max={Math.max(0.01, duration)}
        step={0.01}
        value={t}
        label={(value) => `${value.toFixed(2)} s`}
        onChange={(to) => replay.seek(to)}
      />
      <Text size="sm" style={{ whiteSpace: 'nowrap' }} data-testid="replay-time">
        {t.toFixed(2)} / {duration.toFixed(2)} s
      </Text>
      <SegmentedControl
        aria-label="Replay speed"
        size="xs"
        styles={{ label: { color: 'var(--jr-ink)' } }}
        value={String(rate)}
        onChange={(value) => replay.setRate(Number(value))}
        data={[
          { value: '1', label: '1×' },
          { value: '0.5', label: '½×' },
          { value: '0.1', label: '⅒×' },
        ]}
      />
    </Group>
  );
}
