import { Group } from '@mantine/core';
import { BallField, PocketField } from '../../controls/fields.tsx';
import type { TaskProps } from './taskProps.ts';

/** Pot a ball and come on to the next. */
export function PositionTask({ drill, task, put }: TaskProps<'position'>) {
  return (
    <>
      <Group gap={8} wrap="nowrap">
        <BallField label="Pot" drill={drill} value={task.pot} onChange={(pot) => put({ ...task, pot })} />
        <PocketField label="into" value={task.pocket} onChange={(pocket) => put({ ...task, pocket })} />
      </Group>
      <Group gap={8} wrap="nowrap">
        <BallField
          label="Then"
          drill={drill}
          value={task.next.ball}
          onChange={(ball) => put({ ...task, next: { ...task.next, ball } })}
        />
        <PocketField
          label="into"
          value={task.next.pocket}
          onChange={(pocket) => put({ ...task, next: { ...task.next, pocket } })}
        />
      </Group>
    </>
  );
}
