import { Button, PasswordInput, Stack, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { codeSignInSchema, LEAST_PASSWORD } from '../../core/records/account.ts';
import { call } from '../api/client.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

/** A first sign-in, or a new password in the place of a forgotten one, with the code from a coach. */
export function CodeSignIn({ onEntered }: { readonly onEntered: () => Promise<void> }) {
  const [busy, setBusy] = useState(false);
  const form = useForm({
    initialValues: { code: '', email: '', password: '' },
    validate: checkedBy(codeSignInSchema),
  });
  async function enter(values: typeof form.values) {
    setBusy(true);
    try {
      await call('POST', '/sign-in/code', values);
      await onEntered();
    } catch (error) {
      form.setErrors(errorsOf(error, 'code'));
    } finally {
      setBusy(false);
    }
  }
  return (
    <form onSubmit={form.onSubmit((values) => void enter(values))}>
      <Stack>
        <Title order={1}>Come in with a code</Title>
        <TextInput label="Code from a coach" autoComplete="one-time-code" {...form.getInputProps('code')} />
        <TextInput label="E-mail" type="email" autoComplete="username" {...form.getInputProps('email')} />
        <PasswordInput
          label={`A password of your own, ${LEAST_PASSWORD} characters or more`}
          autoComplete="new-password"
          {...form.getInputProps('password')}
        />
        <Button type="submit" size="md" loading={busy}>
          Come in
        </Button>
      </Stack>
    </form>
  );
}
