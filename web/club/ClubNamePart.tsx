import { Button, Group, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { clubNameSchema } from '../../core/records/account.ts';
import { call } from '../api/client.ts';
import { viewerQuery } from '../api/account.ts';
import { useViewer } from '../api/viewer.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

/** What the club is called. */
export function ClubNamePart() {
  const viewer = useViewer();
  const queries = useQueryClient();
  const [done, setDone] = useState(false);
  const form = useForm({ initialValues: { name: viewer.club }, validate: checkedBy(clubNameSchema) });
  async function rename(values: { name: string }) {
    try {
      await call('PUT', '/club/name', values);
      await queries.invalidateQueries({ queryKey: viewerQuery.queryKey });
      setDone(true);
    } catch (error) {
      form.setErrors(errorsOf(error, 'name'));
    }
  }
  return (
    <form className="card" onSubmit={form.onSubmit((values) => void rename(values))}>
      <Title order={2} size="h3">
        The club
      </Title>
      <Group align="start">
        <TextInput label="Name" {...form.getInputProps('name')} />
        <Button type="submit" mt={25} variant="default" disabled={form.values.name === viewer.club}>
          Rename
        </Button>
      </Group>
      {done && form.values.name === viewer.club && <Text role="status">That is its name now.</Text>}
    </form>
  );
}
