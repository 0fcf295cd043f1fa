import { Group } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { QUESTIONS } from '../../../core/records/drillText/task.ts';
import { OneOf } from '../../controls/fields.tsx';
import type { TaskProps } from './taskProps.ts';

/** What is to be foretold, how often. */
export function CallTask({ task, put }: TaskProps<'call'>) {
  return (
    <Group gap={8} wrap="nowrap" align="end">
      <OneOf
        label="Question"
        value={task.question}
        values={QUESTIONS}
        onChange={(question) => put({ ...task, question })}
      />
      <NumberEntry
        whole
        label="Positions"
        size="xs"
        w={90}
        min={1}
        max={60}
        value={task.positions}
        onEnter={(positions) => put({ ...task, positions })}
      />
    </Group>
  );
}
