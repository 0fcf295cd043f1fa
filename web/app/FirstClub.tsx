import { Button, PasswordInput, Stack, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { LEAST_PASSWORD, newClubSchema } from '../../core/records/account.ts';
import { deviceZone } from '../words/clubTime.ts';
import { call } from '../api/client.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

/** The first visitor of a new installation makes the club and its first coach. */
export function FirstClub({ onEntered }: { readonly onEntered: () => Promise<void> }) {
  const [busy, setBusy] = useState(false);
  const form = useForm({
    initialValues: { club: '', name: '', email: '', password: '' },
    validate: checkedBy(newClubSchema),
  });

  async function make(values: typeof form.values) {
    setBusy(true);
    try {
      await call('POST', '/club', { ...values, zone: deviceZone() });
      await onEntered();
    } catch (error) {
      form.setErrors(errorsOf(error, 'club'));
    } finally {
      setBusy(false);
    }
  }

  return (
    <form onSubmit={form.onSubmit((values) => void make(values))}>
      <Stack maw={460}>
        <Title order={1}>Open your club</Title>
        <Text>
          This installation is new. Name the club and its first coach; a pool table and a snooker table are
          put in to begin with.
        </Text>
        <TextInput label="Club" {...form.getInputProps('club')} />
        <TextInput label="Your name" autoComplete="name" {...form.getInputProps('name')} />
        <TextInput label="E-mail" type="email" autoComplete="username" {...form.getInputProps('email')} />
        <PasswordInput
          label="Password"
          description={`At least ${LEAST_PASSWORD} characters`}
          autoComplete="new-password"
          {...form.getInputProps('password')}
        />
        <Button type="submit" size="md" loading={busy}>
          Open the club
        </Button>
      </Stack>
    </form>
  );
}
