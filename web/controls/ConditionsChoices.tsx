import { Group, Text } from '@mantine/core';
import { AIR_KINDS, BALL_STATES, WARMTHS, type Conditions } from '../../core/table/cardChoices.ts';
import { ChoiceControl } from './ChoiceControl.tsx';

interface ConditionsChoicesProps {
  readonly conditions: Conditions;
  readonly onChange: (conditions: Conditions) => void;
}

/** Air, room and balls, each by one of three words. */
export function ConditionsChoices({ conditions, onChange }: ConditionsChoicesProps) {
  const row = <T extends string>(
    title: string,
    value: T,
    values: readonly T[],
    change: (value: T) => Partial<Conditions>,
  ) => (
    <Group gap={10} wrap="nowrap">
      <Text size="sm" w={46}>
        {title}
      </Text>
      <ChoiceControl
        label={`${title} tonight`}
        style={{ flex: 1 }}
        value={value}
        values={values}
        onChange={(chosen) => onChange({ ...conditions, ...change(chosen) })}
      />
    </Group>
  );
  return (
    <>
      {row('Air', conditions.air, AIR_KINDS, (air) => ({ air }))}
      {row('Room', conditions.warmth, WARMTHS, (warmth) => ({ warmth }))}
      {row('Balls', conditions.balls, BALL_STATES, (balls) => ({ balls }))}
    </>
  );
}
