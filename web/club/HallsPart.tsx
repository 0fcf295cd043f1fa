import { Button, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Hall } from '../../core/records/hall.ts';
import { call } from '../api/client.ts';
import { hallsQuery } from '../api/club.ts';
import { Loading } from '../controls/Loading.tsx';
import { useDoing } from '../controls/useDoing.ts';
import { errorsOf } from '../controls/yupForm.ts';

/** The halls of the club; in which one a table stands is said on the table's card. */
export function HallsPart() {
  const halls = useQuery(hallsQuery);
  const queries = useQueryClient();
  const [newId, setNewId] = useState(() => crypto.randomUUID());
  const form = useForm({ initialValues: { name: '' } });

  async function store(id: string, hall: Omit<Hall, 'id'>) {
    await call('PUT', `/halls/${id}`, hall);
    await queries.invalidateQueries({ queryKey: hallsQuery.queryKey });
  }
  async function add({ name }: { name: string }) {
    try {
      await store(newId, { name, archived: false });
      setNewId(crypto.randomUUID());
      form.reset();
    } catch (error) {
      form.setErrors(errorsOf(error, 'name'));
    }
  }

  return (
    <section className="card" aria-labelledby="halls-title">
      <Title order={2} size="h3" id="halls-title">
        Halls
      </Title>
      {halls.data === undefined ? (
        <Loading what="the halls" error={halls.error} />
      ) : (
        <Stack gap={6}>
          {halls.data.length === 0 && <Text>One hall needs no name. With a second one, name both.</Text>}
          {halls.data.map((hall) => (
            <HallLine key={hall.id} hall={hall} onStore={(change) => store(hall.id, change)} />
          ))}
        </Stack>
      )}
      <form onSubmit={form.onSubmit((values) => void add(values))}>
        <Group align="start" mt="sm">
          <TextInput label="Another hall" placeholder="The upper floor" {...form.getInputProps('name')} />
          <Button type="submit" mt={25} variant="default" disabled={form.values.name.trim() === ''}>
            Add
          </Button>
        </Group>
      </form>
    </section>
  );
}

interface HallLineProps {
  readonly hall: Hall;
  readonly onStore: (hall: Omit<Hall, 'id'>) => Promise<void>;
}

function HallLine({ hall, onStore }: HallLineProps) {
  const [name, setName] = useState(hall.name);
  const { refused, perform } = useDoing();
  const store = (change: Omit<Hall, 'id'>) => perform(() => onStore(change));
  return (
    <Group gap={6} align="start">
      <TextInput
        aria-label={`Name of ${hall.name}`}
        value={name}
        error={refused === '' ? undefined : refused}
        onChange={(event) => setName(event.currentTarget.value)}
      />
      <Button
        variant="default"
        disabled={name.trim() === '' || name === hall.name}
        onClick={() => void store({ name, archived: hall.archived })}
      >
        Rename
      </Button>
      <Button variant="default" onClick={() => void store({ name: hall.name, archived: !hall.archived })}>
        {hall.archived ? 'Bring back' : 'Put away'}
      </Button>
    </Group>
  );
}
