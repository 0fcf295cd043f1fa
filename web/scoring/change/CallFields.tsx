import { Select } from '@mantine/core';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

/** What was called. */
export function CallFields(props: FieldsProps) {
  const { call } = enteredOf(props);
  if (call === null) return null;
  return (
    <Select
      label="Called"
      allowDeselect={false}
      data={[...new Set([call.called, call.computed, 'yes', 'no', 'otherwise'])]}
      value={call.called}
      onChange={(called) => {
        if (called !== null) putEntered(props, { call: { ...call, called }, done: called === call.computed });
      }}
    />
  );
}
