import { Button, Group, Text } from '@mantine/core';
import { CUE_BALL } from '../../core/drill/layout.ts';
import type { PanelProps } from './panel.ts';

/** Places that the cue ball of a kick or a safety takes in turn: each is added where the cue ball stands. */
export function StationsForm({ drill, edit }: PanelProps) {
  const { stations = [], task } = drill;
  const cue = drill.balls.find(({ id }) => id === CUE_BALL);
  if ((task.kind !== 'kick' && task.kind !== 'safety') || cue === undefined) return null;
  return (
    <Group gap={6} mt={8}>
      <Text size="sm" c="dimmed">
        {stations.length === 0
          ? 'The cue ball always lies here.'
          : `The cue ball lies at ${stations.length} ${stations.length === 1 ? 'place' : 'places'} in turn.`}
      </Text>
      <Button
        size="compact-xs"
        variant="default"
        onClick={() => edit({ ...drill, stations: [...stations, cue.at] })}
      >
        Add where it stands
      </Button>
      {stations.length > 0 && (
        <Button
          size="compact-xs"
          variant="default"
          onClick={() =>
            edit({ ...drill, stations: stations.length === 1 ? undefined : stations.slice(0, -1) })
          }
        >
          Remove the last place
        </Button>
      )}
    </Group>
  );
}
