import {
  Button,
  Group,
  Modal,
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
import { useNavigate } from 'react-router';
import type { Player } from '../../core/records/player.ts';
import { call } from '../api/client.ts';
import { personQuery, playersQuery } from '../api/players.ts';
import { useDoing } from '../controls/useDoing.ts';
import { errorsOf } from '../controls/yupForm.ts';

/** What is kept of a player: put right, allowed, taken away, erased. For coaches. */
export function PlayerCare({ player }: { readonly player: Player }) {
  const [opened, setOpened] = useState(false);
  return (
    <>
      <Button variant="default" onClick={() => setOpened(true)}>
        Correct
      </Button>
      <Modal opened={opened} onClose={() => setOpened(false)} title={player.name} size="xl" centered>
        <Stack>
          <Correction player={player} onDone={() => setOpened(false)} />
          <Permission player={player} />
          <SimpleGrid cols={{ base: 1, sm: 2 }}>
            <section>
              <Title order={3} size="h5">
                Everything of theirs
              </Title>
              <Text size="sm" mb={6}>
                Rounds, calls, lessons, programmes and reports as files in one archive.
              </Text>
              <Button
                component="a"
                href={`/api/players/${player.id}/everything.zip`}
                download
                variant="default"
              >
                Take it as files
              </Button>
            </section>
            <Erasure player={player} />
          </SimpleGrid>
        </Stack>
      </Modal>
    </>
  );
}

function Correction({ player, onDone }: { readonly player: Player; readonly onDone: () => void }) {
  const person = useQuery(personQuery(player.id));
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const form = useForm<{ name: string; hand: string; email: string | undefined }>({
    initialValues: { name: player.name, hand: player.hand, email: undefined },
  });
  const email = form.values.email ?? person.data?.email ?? '';
  async function store({ name, hand }: typeof form.values) {
    setBusy(true);
    try {
      await call('PUT', `/players/${player.id}/person`, { name, hand, email: email === '' ? null : email });
      await queries.invalidateQueries({ queryKey: playersQuery.queryKey });
      onDone();
    } catch (error) {
      form.setErrors(errorsOf(error, 'name'));
    } finally {
      setBusy(false);
    }
  }
  return (
    <form onSubmit={form.onSubmit((values) => void store(values))}>
      <Group align="start">
        <TextInput label="Name" {...form.getInputProps('name')} />
        <Select
          label="Hand"
          allowDeselect={false}
          w={110}
          data={['right', 'left']}
          {...form.getInputProps('hand')}
        />
        <TextInput
          label="E-mail"
          type="email"
          disabled={!player.hasSignIn}
          description={player.hasSignIn ? undefined : 'comes with a sign-in'}
          {...form.getInputProps('email')}
          value={email}
        />
        <Button type="submit" loading={busy} disabled={person.data === undefined} mt={25}>
          Put it right
        </Button>
      </Group>
    </form>
  );
}

function Permission({ player }: { readonly player: Player }) {
  const queries = useQueryClient();
  const { refused, perform } = useDoing();
  const allow = (allowed: boolean) =>
    perform(async () => {
      await call('PUT', `/players/${player.id}/may-rewrite`, { allowed });
      await queries.invalidateQueries({ queryKey: playersQuery.queryKey });
    });
  return (
    <Switch
      label="May change what coaches entered"
      description="Without it a player takes back and corrects only what they entered themselves."
      checked={player.mayRewrite}
      error={refused === '' ? undefined : refused}
      onChange={(event) => void allow(event.currentTarget.checked)}
    />
  );
}

/** Asked twice: by the button, and by writing the name. */
function Erasure({ player }: { readonly player: Player }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [sure, setSure] = useState(false);
  const [name, setName] = useState('');
  const { refused, perform } = useDoing();
  const erase = () =>
    perform(async () => {
      await call('POST', `/players/${player.id}/erasure`, { name });
      await navigate('/players');
      await queries.invalidateQueries();
    });
  return (
    <section>
      <Title order={3} size="h5">
        Erase for good
      </Title>
      <Text size="sm" mb={6}>
        Name, sign-in, shots, calls, lessons, programmes and reports go, and do not come back. What the ended
        rounds came to stays in the club’s sums, under no name. Backups from before still have it.
      </Text>
      {sure ? (
        <Stack gap={6}>
          <TextInput
            label={`To erase, write “${player.name}”`}
            value={name}
            error={refused === '' ? undefined : refused}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Group gap={6}>
            <Button variant="default" onClick={() => setSure(false)}>
              Leave it
            </Button>
            <Button color="coral" disabled={name.trim() !== player.name} onClick={() => void erase()}>
              Erase for good
            </Button>
          </Group>
        </Stack>
      ) : (
        <Button variant="outline" color="coral" onClick={() => setSure(true)}>
          Erase {player.name}
        </Button>
      )}
    </section>
  );
}
