import { Group, MultiSelect, Stack, TextInput, Title } from '@mantine/core';
import type { Address } from '../../controls/useAddress.ts';
import { DayField } from '../../controls/DayField.tsx';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { BOUNDS, type EveningAsked } from './eveningAsked.ts';
import type { Choice } from './choices.ts';

interface EveningFormProps {
  readonly asked: EveningAsked;
  readonly players: readonly Choice[];
  readonly tables: readonly Choice[];
  readonly coaches: readonly Choice[];
  readonly set: Address['set'];
}

const choices = (all: readonly Choice[]) => all.map(({ id, name }) => ({ value: id, label: name }));

/** Who comes, on which tables, for how long; all of it stands in the address. */
export function EveningForm({ asked, players, tables, coaches, set }: EveningFormProps) {
  const number = (
    label: string,
    name: string,
    value: number,
    [min, max]: readonly [number, number, number],
  ) => (
    <NumberEntry
      label={label}
      value={value}
      digits={0}
      min={min}
      max={max}
      onEnter={(minutes) => set({ [name]: String(Math.round(minutes)) })}
    />
  );
  return (
    <section className="card no-print" aria-labelledby="evening-form">
      <Title order={2} size="h3" id="evening-form">
        Who comes?
      </Title>
      <Stack gap={8} mt={6}>
        <MultiSelect
          label="Students"
          searchable
          hidePickedOptions
          maxValues={24}
          data={choices(players)}
          value={[...asked.students]}
          onChange={(student) => set({ student })}
        />
        <MultiSelect
          label="Tables"
          searchable
          hidePickedOptions
          maxValues={12}
          data={choices(tables)}
          value={[...asked.tables]}
          onChange={(table) => set({ table })}
        />
        <MultiSelect
          label="Coaches"
          searchable
          hidePickedOptions
          maxValues={12}
          data={choices(coaches)}
          value={[...asked.coaches]}
          onChange={(coach) => set({ coach })}
        />
        <Group grow align="start">
          <DayField label="Day" value={asked.day} onChange={(day) => set({ day })} />
          <TextInput
            label="Begins"
            type="time"
            value={asked.begins}
            onChange={(event) => {
              if (event.currentTarget.value !== '') set({ begins: event.currentTarget.value });
            }}
          />
        </Group>
        <Group grow align="start">
          {number('Minutes', 'minutes', asked.minutes, BOUNDS.minutes)}
          {number('Of a turn', 'turn', asked.turn, BOUNDS.turn)}
        </Group>
        <Group grow align="start">
          {number('Rest after', 'rest', asked.restAfter, BOUNDS.restAfter)}
          {number('At most each', 'most', asked.most, BOUNDS.most)}
        </Group>
      </Stack>
    </section>
  );
}
