import { Group } from '@mantine/core';
import { BallField, PocketField } from '../../controls/fields.tsx';
import { CushionsField } from './CushionsField.tsx';
import type { TaskProps } from './taskProps.ts';

/** A ball potted by way of cushions. */
export function DoubleTask({ drill, task, put }: TaskProps<'double'>) {
  return (
    <>
      <Group gap={8} wrap="nowrap">
        <BallField label="Pot" drill={drill} value={task.pot} onChange={(pot) => put({ ...task, pot })} />
        <PocketField label="into" value={task.pocket} onChange={(pocket) => put({ ...task, pocket })} />
      </Group>
      <CushionsField value={task.cushions} onChange={(cushions) => put({ ...task, cushions })} />
    </>
  );
}
