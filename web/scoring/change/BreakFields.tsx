import { Switch } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { enteredOf, putEntered, type FieldsProps } from './fields.ts';

const SIDES = [
  { name: 'balls', label: 'Balls down', most: 15 },
  { name: 'control', label: 'Cue ball kept, 0 to 3', most: 3 },
  { name: 'layout', label: 'Layout, 0 to 3', most: 3 },
] as const;

/** What came of a break. */
export function BreakFields(props: FieldsProps) {
  const { opening } = enteredOf(props);
  if (opening === null) return null;
  const put = (change: Partial<typeof opening>) => {
    const next = { ...opening, ...change };
    putEntered(props, { opening: next, done: !next.inOff && next.balls > 0 });
  };
  return (
    <>
      {SIDES.map(({ name, label, most }) => (
        <NumberEntry
          whole
          key={name}
          label={label}
          min={0}
          max={most}
          value={opening[name]}
          onEnter={(value) => put({ [name]: value })}
        />
      ))}
      <Switch
        label="Cue ball lost"
        checked={opening.inOff}
        onChange={(event) => put({ inOff: event.currentTarget.checked })}
      />
    </>
  );
}
