import { Group } from '@mantine/core';
import { BallField, OneOf } from '../../controls/fields.tsx';
import { LeaveField } from './LeaveField.tsx';
import type { TaskProps } from './taskProps.ts';

/** A ball to meet first, and what is to be left. */
export function SafetyTask({ drill, task, put }: TaskProps<'safety'>) {
  return (
    <>
      <Group gap={8} wrap="nowrap">
        <BallField
          label="Meet first"
          drill={drill}
          value={task.target}
          onChange={(target) => put({ ...task, target })}
        />
        <OneOf
          label="and"
          value={task.aim}
          values={['hide', 'far away', 'hold', 'contain', 'nothing on', 'shot to nothing']}
          onChange={(aim) => put({ ...task, aim })}
        />
      </Group>
      <LeaveField value={task.leave} mayBeAnything={false} onChange={(leave) => put({ ...task, leave })} />
    </>
  );
}
