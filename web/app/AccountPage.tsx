import { Button, Group, PasswordInput, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { LEAST_PASSWORD, passwordChangeSchema } from '../../core/records/account.ts';
import { call } from '../api/client.ts';
import { useViewer } from '../api/viewer.ts';
import { Refused } from '../controls/Refused.tsx';
import { useDoing } from '../controls/useDoing.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';
import { forgetQueries } from './keptQueries.ts';

/** What is one's own: the password, the devices, and what is kept of oneself. */
export function AccountPage() {
  const viewer = useViewer();
  return (
    <Stack>
      <div>
        <Title order={1}>Your sign-in</Title>
        <Text c="dimmed">
          {viewer.name}, {viewer.role} of {viewer.club}
        </Text>
      </div>
      <SimpleGrid cols={{ base: 1, md: 2 }}>
        <PasswordPart />
        <Stack>
          <DevicesPart />
          {viewer.role === 'player' && <OwnRecords playerId={viewer.id} />}
        </Stack>
      </SimpleGrid>
    </Stack>
  );
}

function PasswordPart() {
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState(false);
  const form = useForm({
    initialValues: { current: '', password: '' },
    validate: checkedBy(passwordChangeSchema),
  });
  async function change(values: typeof form.values) {
    setBusy(true);
    setDone(false);
    try {
      await call('PUT', '/password', values);
      form.reset();
      setDone(true);
    } catch (error) {
      form.setErrors(errorsOf(error, 'current'));
    } finally {
      setBusy(false);
    }
  }
  return (
    <form className="card" onSubmit={form.onSubmit((values) => void change(values))}>
      <Stack gap="sm">
        <Title order={2} size="h3">
          Another password
        </Title>
        <PasswordInput
          label="The one of now"
          autoComplete="current-password"
          {...form.getInputProps('current')}
        />
        <PasswordInput
          label={`The new one, ${LEAST_PASSWORD} characters or more`}
          description="Three or four words that do not belong together are good. Common ones, and your own name, are not taken."
          autoComplete="new-password"
          {...form.getInputProps('password')}
        />
        <Group>
          <Button type="submit" loading={busy}>
            Change it
          </Button>
          {done && <Text role="status">Changed. Your other devices are signed out.</Text>}
        </Group>
      </Stack>
    </form>
  );
}

function DevicesPart() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { busy, refused, perform } = useDoing();
  const leave = () =>
    perform(async () => {
      await call('POST', '/sign-out/everywhere', {});
      await forgetQueries(queries);
      await navigate('/sign-in');
    });
  return (
    <section className="card" aria-labelledby="devices-title">
      <Title order={2} size="h3" id="devices-title">
        Your devices
      </Title>
      <Text mb="sm">
        A telephone that was lost, a computer of the hall that was left open: sign out on all of them at once.
      </Text>
      <Button variant="default" loading={busy} onClick={() => void leave()}>
        Sign out everywhere
      </Button>
      <Refused why={refused} />
    </section>
  );
}

function OwnRecords({ playerId }: { readonly playerId: string }) {
  return (
    <section className="card" aria-labelledby="own-title">
      <Title order={2} size="h3" id="own-title">
        What is kept of you
      </Title>
      <Text mb="sm">
        Your rounds, calls, lessons, programmes and reports as files in one archive. To have it erased, ask
        your coach.
      </Text>
      <Button component="a" href={`/api/players/${playerId}/everything.zip`} download variant="default">
        Take everything of mine
      </Button>
    </section>
  );
}
