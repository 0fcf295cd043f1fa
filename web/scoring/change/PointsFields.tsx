import { Group, NumberInput } from '@mantine/core';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

/** Points of a landing that is judged by eye. */
export function PointsFields(props: FieldsProps) {
  return (
    <NumberInput
      label="Points"
      min={0}
      value={enteredOf(props).points ?? 0}
      onChange={(points) => typeof points === 'number' && putEntered(props, { points, done: true })}
    />
  );
}

/** Points of a visit, and what a foul at its end gave away. */
export function BreakPointsFields(props: FieldsProps) {
  const { points, penalty } = enteredOf(props);
  return (
    <Group grow>
      <NumberInput
        label="Points"
        min={0}
        max={200}
        value={points ?? 0}
        onChange={(next) => typeof next === 'number' && putEntered(props, { points: next })}
      />
      <NumberInput
        label="Given away"
        min={0}
        max={40}
        value={penalty ?? 0}
        onChange={(next) => typeof next === 'number' && putEntered(props, { penalty: next })}
      />
    </Group>
  );
}
