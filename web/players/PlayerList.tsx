import {
  Button,
  Group,
  PasswordInput,
  Select,
  SimpleGrid,
  Stack,
  Switch,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { LEAST_PASSWORD, newPlayerSchema } from '../../core/records/club.ts';
import { call } from '../api/client.ts';
import { playersQuery } from '../api/queries.ts';
import { ago } from '../app/dates.ts';
import { Loading } from '../app/Loading.tsx';
import { useViewer } from '../app/viewer.ts';
import { checkedBy, errorsOf } from '../app/yupForm.ts';

/** The students of the club. */
export function PlayerList() {
  const viewer = useViewer();
  const players = useQuery(playersQuery);
  const [archived, setArchived] = useState(false);
  if (players.data === undefined) return <Loading what="the players" error={players.error} />;
  const shown = players.data.filter((player) => archived || !player.archived);
  return (
    <Stack>
      <Group justify="space-between">
        <Title order={1}>Players</Title>
        {players.data.some((player) => player.archived) && (
          <Switch
            label="Show archived"
            checked={archived}
            onChange={(event) => setArchived(event.currentTarget.checked)}
          />
        )}
      </Group>
      {players.data.length === 0 && (
        <Text>Nobody is here yet. Add the first player below; then start a round.</Text>
      )}
      <SimpleGrid cols={{ base: 1, sm: 2, md: 3 }}>
        {shown.map((player) => (
          <Link key={player.id} to={`/players/${player.id}`} className="card card-link">
            <Text fw={700} size="lg">
              {player.name}
              {player.archived ? ' (archived)' : ''}
            </Text>
            <Text size="sm" c="dimmed">
              {player.hand}-handed, {player.rounds === 1 ? '1 round' : `${player.rounds} rounds`}, last{' '}
              {ago(player.lastRoundAt)}
            </Text>
          </Link>
        ))}
      </SimpleGrid>
      {viewer.role === 'coach' && <AddPlayer />}
    </Stack>
  );
}

function AddPlayer() {
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const form = useForm({
    initialValues: { name: '', hand: 'right', email: '', password: '' },
    validate: (values) => checkedBy(newPlayerSchema)(requestOf(values)),
  });

  async function add(values: typeof form.values) {
    setBusy(true);
    try {
      await call('POST', '/players', requestOf(values));
      await queries.invalidateQueries({ queryKey: playersQuery.queryKey });
      form.reset();
    } catch (error) {
      form.setErrors(errorsOf(error, 'name'));
    } finally {
      setBusy(false);
    }
  }

  return (
    <form className="card" onSubmit={form.onSubmit((values) => void add(values))}>
      <Title order={2} size="h4" mb="xs">
        Add a player
      </Title>
      <Group align="start">
        <TextInput label="Name" {...form.getInputProps('name')} />
        <Select
          label="Hand"
          allowDeselect={false}
          w={120}
          data={[
            { value: 'right', label: 'right' },
            { value: 'left', label: 'left' },
          ]}
          {...form.getInputProps('hand')}
        />
        <TextInput label="E-mail, for a sign-in of their own" type="email" {...form.getInputProps('email')} />
        <PasswordInput
          label={`Password, ${LEAST_PASSWORD} characters or more`}
          w={230}
          autoComplete="new-password"
          {...form.getInputProps('password')}
        />
        <Button type="submit" loading={busy} mt={25}>
          Add the player
        </Button>
      </Group>
      {form.errors['form'] !== undefined && <Text c="var(--jr-coral-text)">{form.errors['form']}</Text>}
    </form>
  );
}

function requestOf(values: { name: string; hand: string; email: string; password: string }) {
  return {
    name: values.name,
    hand: values.hand,
    email: values.email === '' ? null : values.email,
    password: values.password === '' ? null : values.password,
  };
}
