import { Group } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

/** Points of a landing that is judged by eye. */
export function PointsFields(props: FieldsProps) {
  return (
    <NumberEntry
      whole
      label="Points"
      min={0}
      value={enteredOf(props).points ?? 0}
      onEnter={(next) => putEntered(props, { points: next, done: true })}
    />
  );
}

/** Points of a visit, and what a foul at its end gave away. */
export function BreakPointsFields(props: FieldsProps) {
  const { points, penalty } = enteredOf(props);
  return (
    <Group grow>
      <NumberEntry
        whole
        label="Points"
        min={0}
        max={200}
        value={points ?? 0}
        onEnter={(next) => putEntered(props, { points: next })}
      />
      <NumberEntry
        whole
        label="Given away"
        min={0}
        max={40}
        value={penalty ?? 0}
        onEnter={(next) => putEntered(props, { penalty: next })}
      />
    </Group>
  );
}
