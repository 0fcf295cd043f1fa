import { Group } from '@mantine/core';
import { BallField, PocketField } from '../../controls/fields.tsx';
import type { TaskProps } from './taskProps.ts';

/** A ball potted by way of another. */
export function PlantTask({ drill, task, put }: TaskProps<'plant'>) {
  return (
    <Group gap={8} wrap="nowrap">
      <BallField label="Hit" drill={drill} value={task.first} onChange={(first) => put({ ...task, first })} />
      <BallField label="Pot" drill={drill} value={task.pot} onChange={(pot) => put({ ...task, pot })} />
      <PocketField label="into" value={task.pocket} onChange={(pocket) => put({ ...task, pocket })} />
    </Group>
  );
}
