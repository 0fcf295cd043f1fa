import { Button, Group, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { invitedSchema, newCoachSchema, signInCodeSchema, type Coach } from '../../core/records/account.ts';
import { call } from '../api/client.ts';
import { coachesQuery } from '../api/club.ts';
import { useViewer } from '../api/viewer.ts';
import { CodeShown } from '../controls/CodeShown.tsx';
import { Loading } from '../controls/Loading.tsx';
import { Refused } from '../controls/Refused.tsx';
import { useDoing } from '../controls/useDoing.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

interface Given {
  readonly name: string;
  readonly hasSignIn: boolean;
  readonly code: string;
  readonly expiresAt: string;
}

/** The coaches of the club: invited with a code, helped with a new one, let go. */
export function CoachesPart() {
  const viewer = useViewer();
  const coaches = useQuery(coachesQuery);
  const queries = useQueryClient();
  const [given, setGiven] = useState<Given>();
  const { refused, perform } = useDoing();
  const form = useForm({ initialValues: { name: '' }, validate: checkedBy(newCoachSchema) });

  async function renew() {
    await queries.invalidateQueries({ queryKey: coachesQuery.queryKey });
    await queries.invalidateQueries({ queryKey: ['audit'] });
  }
  async function invite({ name }: { name: string }) {
    try {
      const { code, expiresAt } = await invitedSchema.validate(await call('POST', '/coaches', { name }));
      setGiven({ name, hasSignIn: false, code, expiresAt });
      form.reset();
      await renew();
    } catch (error) {
      form.setErrors(errorsOf(error, 'name'));
    }
  }
  const giveCode = ({ id, name, hasSignIn }: Coach) =>
    perform(async () => {
      const code = await signInCodeSchema.validate(await call('POST', `/coaches/${id}/sign-in-code`));
      setGiven({ name, hasSignIn, ...code });
      await renew();
    });
  const setRemoved = (id: string, removed: boolean) =>
    perform(async () => {
      await call('PUT', `/coaches/${id}/removed`, { removed });
      await renew();
    });

  return (
    <section className="card" aria-labelledby="coaches-title">
      <Title order={2} size="h3" id="coaches-title">
        Coaches
      </Title>
      {coaches.data === undefined ? (
        <Loading what="the coaches" error={coaches.error} />
      ) : (
        <Table aria-label="Coaches" verticalSpacing={6}>
          <Table.Tbody>
            {coaches.data.map((coach) => (
              <Table.Tr key={coach.id}>
                <Table.Td>
                  <b>{coach.name}</b>
                  <Text size="sm" c="dimmed">
                    {standingOf(coach, viewer.id)}
                  </Text>
                </Table.Td>
                <Table.Td>
                  {coach.id !== viewer.id && (
                    <Group gap={6} justify="end">
                      {!coach.removed && (
                        <Button size="compact-sm" variant="default" onClick={() => void giveCode(coach)}>
                          Code
                        </Button>
                      )}
                      <Button
                        size="compact-sm"
                        variant="default"
                        onClick={() => void setRemoved(coach.id, !coach.removed)}
                      >
                        {coach.removed ? 'Bring back' : 'Let go'}
                      </Button>
                    </Group>
                  )}
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Refused why={refused} />
      <form onSubmit={form.onSubmit((values) => void invite(values))}>
        <Stack gap={6} mt="sm">
          <Group align="start">
            <TextInput label="Another coach" placeholder="Their name" {...form.getInputProps('name')} />
            <Button type="submit" mt={25}>
              Invite
            </Button>
          </Group>
          <Text size="sm" c="dimmed">
            They come in with a code. A coach who is let go has no sign-in from that moment on; what they
            wrote stays the club’s.
          </Text>
        </Stack>
      </form>
      <CodeShown
        name={given?.name ?? ''}
        given={given}
        hasSignIn={given?.hasSignIn ?? false}
        onClose={() => setGiven(undefined)}
      />
    </section>
  );
}

function standingOf({ id, hasSignIn, removed, keeper }: Coach, own: string): string {
  const parts = [
    id === own ? 'you' : '',
    removed ? 'has left' : hasSignIn ? '' : 'invited, has not come in yet',
    keeper ? 'looks after the installation' : '',
  ].filter(Boolean);
  return parts.join(', ');
}
