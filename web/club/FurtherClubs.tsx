import { Button, Group, List, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { furtherClubSchema, invitedSchema } from '../../core/records/account.ts';
import { call } from '../api/client.ts';
import { allClubsQuery } from '../api/club.ts';
import { CodeShown } from '../controls/CodeShown.tsx';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

/** Other clubs in the same installation: each with people, tables and records of its own. */
export function FurtherClubs() {
  const clubs = useQuery(allClubsQuery);
  const queries = useQueryClient();
  const [given, setGiven] = useState<{ name: string; code: string; expiresAt: string }>();
  const form = useForm({ initialValues: { club: '', coach: '' }, validate: checkedBy(furtherClubSchema) });
  async function found(values: { club: string; coach: string }) {
    try {
      const { code, expiresAt } = await invitedSchema.validate(await call('POST', '/club/further', values));
      setGiven({ name: values.coach, code, expiresAt });
      form.reset();
      await queries.invalidateQueries({ queryKey: allClubsQuery.queryKey });
    } catch (error) {
      form.setErrors(errorsOf(error, 'club'));
    }
  }
  return (
    <section className="card" aria-labelledby="further-title">
      <Title order={2} size="h3" id="further-title">
        Clubs of this installation
      </Title>
      <Text size="sm">You look after the installation. Clubs see nothing of each other.</Text>
      <List my="xs" aria-label="Clubs">
        {(clubs.data ?? []).map(({ id, name, coaches }) => (
          <List.Item key={id}>
            <b>{name}</b>, {coaches.length === 0 ? 'without a coach' : coaches.join(', ')}
          </List.Item>
        ))}
      </List>
      <form onSubmit={form.onSubmit((values) => void found(values))}>
        <Group align="start">
          <TextInput label="Another club" {...form.getInputProps('club')} />
          <TextInput label="Its first coach" {...form.getInputProps('coach')} />
          <Button type="submit" mt={25} variant="default">
            Found it
          </Button>
        </Group>
      </form>
      <CodeShown
        name={given?.name ?? ''}
        given={given}
        hasSignIn={false}
        onClose={() => setGiven(undefined)}
      />
    </section>
  );
}
