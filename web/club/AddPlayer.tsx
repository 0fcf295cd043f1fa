import { Button, Group, PasswordInput, Select, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { LEAST_PASSWORD } from '../../core/records/account.ts';
import { newPlayerSchema } from '../../core/records/player.ts';
import { call } from '../api/client.ts';
import { playersQuery } from '../api/players.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

/** A new student; a sign-in of their own may come later, by a code. */
export function AddPlayer() {
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
