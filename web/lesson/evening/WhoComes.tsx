import { Chip, Group, Stack, Text, Title } from '@mantine/core';
import { Loading } from '../../controls/Loading.tsx';
import type { Address } from '../../controls/useAddress.ts';
import type { EveningAsked } from './eveningAsked.ts';
import type { Choice } from './choices.ts';

interface WhoComesProps {
  readonly asked: EveningAsked;
  readonly players: readonly Choice[];
  readonly tables: readonly Choice[];
  readonly set: Address['set'];
  /** Undefined while somebody or something has to be chosen. */
  readonly waiting: { readonly error: Error | null } | undefined;
}

/** Stands where the timetable will: names to tap, then tables. */
export function WhoComes({ asked, players, tables, set, waiting }: WhoComesProps) {
  if (waiting !== undefined) {
    return <Loading what="what everybody gains by" error={waiting.error} height={300} />;
  }
  return (
    <Stack>
      <section aria-labelledby="tap-names">
        <Title order={2} size="h3" id="tap-names" mb="xs">
          Tap who comes
        </Title>
        <Taps all={players} chosen={asked.students} onChange={(student) => set({ student })} />
      </section>
      <section aria-labelledby="tap-tables">
        <Title order={2} size="h3" id="tap-tables" mb="xs">
          Then the tables
        </Title>
        <Taps all={tables} chosen={asked.tables} onChange={(table) => set({ table })} />
      </section>
      <Text c="dimmed">
        The timetable stands here then: drag a turn to another place, or tap it to see why it is there.
      </Text>
    </Stack>
  );
}

interface TapsProps {
  readonly all: readonly Choice[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: readonly string[]) => void;
}

function Taps({ all, chosen, onChange }: TapsProps) {
  return (
    <Chip.Group multiple value={[...chosen]} onChange={onChange}>
      <Group gap={8}>
        {all.map(({ id, name }) => (
          <Chip key={id} value={id} size="lg">
            {name}
          </Chip>
        ))}
      </Group>
    </Chip.Group>
  );
}
