import { Group, Select } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import type { PanelProps } from './panel.ts';
import { freeNames, racksFor, withRack } from './edits.ts';

/** Where balls are thrown when nothing else is said: all of the cloth but its edges. */
const AREA = { from: { along: 0.08, across: 0.12 }, to: { along: 0.92, across: 0.88 } };
const APART = 1;

/** Balls that are not placed one by one: thrown at random, or racked. */
export function ThrowForm({ drill, edit }: PanelProps) {
  const { thrown, rack } = drill;
  const setThrown = (count: number) => {
    const names = freeNames({ ...drill, thrown: null }).filter((id) => id !== 'cue');
    const balls = names.slice(0, count);
    edit({ ...drill, thrown: count === 0 ? null : { area: AREA, apart: APART, ...thrown, balls } }, 'thrown');
  };
  return (
    <Group gap={8} mt={10} align="end">
      <NumberEntry
        whole
        label="Thrown at random"
        size="xs"
        w={120}
        min={0}
        max={15}
        value={thrown?.balls.length ?? 0}
        onEnter={setThrown}
      />
      {thrown !== null && (
        <NumberEntry
          digits={1}
          label="Apart, ball widths"
          size="xs"
          w={120}
          min={0}
          max={6}
          step={0.5}
          value={thrown.apart}
          onEnter={(apart) => edit({ ...drill, thrown: { ...thrown, apart } }, 'apart')}
        />
      )}
      <Select
        label="Rack"
        size="xs"
        w={150}
        clearable
        placeholder="none"
        data={[...new Set([...racksFor(drill), ...(rack === null ? [] : [rack.kind])])]}
        value={rack?.kind ?? null}
        onChange={(value) =>
          edit(
            withRack(
              drill,
              racksFor(drill).find((each) => each === value),
            ),
          )
        }
      />
    </Group>
  );
}
