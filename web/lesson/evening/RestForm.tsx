import { Button, Checkbox, Group, Select, Stack, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import type { EveningChanges } from '../../../core/evening/restOf.ts';
import { clockAt, minutesTo } from '../../words/eveningWords.ts';
import type { EveningNames } from './Timetable.tsx';

interface RestFormProps {
  readonly begins: string;
  readonly students: readonly string[];
  /** Who could come besides, and who does. */
  readonly others: readonly string[];
  readonly guest: string | null;
  readonly onGuest: (id: string | null) => void;
  readonly tables: readonly string[];
  readonly names: EveningNames;
  /** Minutes after the beginning. */
  readonly now: number;
  /** Whether it is known what everybody gains by. */
  readonly isReady: boolean;
  readonly onPlan: (changes: EveningChanges) => void;
}

/** What has come between: somebody is late, does not come or comes besides, a table cannot be played on; the rest is planned anew from a time on. */
export function RestForm(props: RestFormProps) {
  const { begins, students, others, guest, onGuest, tables, names, now, isReady, onPlan } = props;
  const [from, setFrom] = useState(() => clockAt(begins, now));
  const [who, setWho] = useState<string | null>(null);
  const [until, setUntil] = useState(() => clockAt(begins, now + 20));
  const [never, setNever] = useState(false);
  const [broken, setBroken] = useState<string | null>(null);
  const named = (all: readonly string[], name: (id: string) => string) =>
    all.map((id) => ({ value: id, label: name(id) }));
  return (
    <form
      className="card no-print"
      aria-labelledby="rest-title"
      onSubmit={(event) => {
        event.preventDefault();
        onPlan({
          now: minutesTo(begins, from),
          late: who === null ? new Map() : new Map([[who, never ? null : minutesTo(begins, until)]]),
          broken: broken === null ? [] : [broken],
        });
      }}
    >
      <Title order={2} size="h3" id="rest-title">
        Something came between?
      </Title>
      <Text size="sm" c="dimmed">
        What has begun stays. The rest is planned anew, and you look at it before it counts.
      </Text>
      <Stack gap={8} mt={6}>
        <TextInput
          label="From"
          type="time"
          value={from}
          onChange={(event) => {
            if (event.currentTarget.value !== '') setFrom(event.currentTarget.value);
          }}
        />
        <Select
          label="Who is late"
          clearable
          placeholder="nobody"
          data={named(students, names.student)}
          value={who}
          onChange={setWho}
        />
        {who !== null && (
          <Group align="end" grow>
            <TextInput
              label="Comes at"
              type="time"
              disabled={never}
              value={until}
              onChange={(event) => {
                if (event.currentTarget.value !== '') setUntil(event.currentTarget.value);
              }}
            />
            <Checkbox
              label="Not tonight"
              checked={never}
              onChange={(event) => setNever(event.currentTarget.checked)}
            />
          </Group>
        )}
        <Select
          label="Who comes besides"
          clearable
          searchable
          placeholder="nobody"
          data={named(others, names.student)}
          value={guest}
          onChange={onGuest}
        />
        <Select
          label="Table that cannot be used"
          clearable
          placeholder="none"
          data={named(tables, names.table)}
          value={broken}
          onChange={setBroken}
        />
        <Button type="submit" variant="default" disabled={!isReady}>
          Plan the rest anew
        </Button>
      </Stack>
    </form>
  );
}
