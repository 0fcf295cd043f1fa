import { Button, PasswordInput, Stack, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { signInSchema, type Welcome } from '../../core/records/account.ts';
import { call } from '../api/client.ts';
import { viewerQuery, welcomeQuery } from '../api/account.ts';
import { CodeSignIn } from './CodeSignIn.tsx';
import { FirstClub } from './FirstClub.tsx';
import { Loading } from '../controls/Loading.tsx';
import { Sight } from '../controls/Sight.tsx';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';

/** Where to go after the sign-in: back to the page that asked for it, never to another site. */
function destination(params: URLSearchParams): string {
  const to = params.get('to') ?? '/';
  return to.startsWith('/') && !to.startsWith('//') ? to : '/';
}

/** The door: signs in, or makes the club when there is none yet. */
export function SignIn() {
  const welcome = useQuery(welcomeQuery);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [params] = useSearchParams();

  async function entered() {
    await queries.invalidateQueries({ queryKey: viewerQuery.queryKey });
    await queries.query(viewerQuery);
    await navigate(destination(params), { replace: true });
  }

  return (
    <>
      <header className="rail">
        <span className="rail-mark">
          <Sight size={30} fill="gold" />
          Jolly Rail
        </span>
      </header>
      <main className="page" style={{ maxWidth: 880 }}>
        {welcome.data === undefined ? (
          <Loading what="the club" error={welcome.error} />
        ) : welcome.data.empty ? (
          <FirstClub onEntered={entered} />
        ) : (
          <SignInForm demo={welcome.data.demo} onEntered={entered} />
        )}
      </main>
    </>
  );
}

interface SignInFormProps {
  readonly demo: Welcome['demo'];
  readonly onEntered: () => Promise<void>;
}

function SignInForm({ demo, onEntered }: SignInFormProps) {
  const [busy, setBusy] = useState(false);
  const [withCode, setWithCode] = useState(false);
  const form = useForm({ initialValues: { email: '', password: '' }, validate: checkedBy(signInSchema) });

  async function signIn(values: { email: string; password: string }) {
    setBusy(true);
    try {
      await call('POST', '/sign-in', values);
      await onEntered();
    } catch (error) {
      form.setErrors(errorsOf(error, 'password'));
    } finally {
      setBusy(false);
    }
  }

  return (
    <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(300px, 1fr))', gap: 24 }}>
      {withCode ? (
        <CodeSignIn onEntered={onEntered} />
      ) : (
        <form onSubmit={form.onSubmit((values) => void signIn(values))}>
          <Stack>
            <Title order={1}>Sign in</Title>
            <TextInput label="E-mail" type="email" autoComplete="username" {...form.getInputProps('email')} />
            <PasswordInput
              label="Password"
              autoComplete="current-password"
              {...form.getInputProps('password')}
            />
            <Button type="submit" size="md" loading={busy}>
              Sign in
            </Button>
            <Button variant="default" onClick={() => setWithCode(true)}>
              I have a code
            </Button>
            <Text size="sm" c="dimmed">
              Forgotten the password? A coach of your club gives you a code, and with it you choose a new one.
              Coaches get theirs from another coach, or from whoever looks after the server.
            </Text>
          </Stack>
        </form>
      )}
      {demo.length > 0 && (
        <section className="card" aria-labelledby="demo-title">
          <Title order={2} size="h3" id="demo-title">
            The demo club
          </Title>
          <Text size="sm" c="dimmed" mb="sm">
            Kittiwake Ferry Hall is made up, and so is everybody in it. Come in as
          </Text>
          <Stack gap="xs">
            {demo.map((person) => (
              <Button
                key={person.email}
                variant="default"
                justify="space-between"
                h="auto"
                py={8}
                rightSection={<Text size="sm">{person.role}</Text>}
                onClick={() => void signIn({ email: person.email, password: person.password })}
              >
                <span style={{ textAlign: 'left' }}>
                  {person.name}
                  <Text size="xs" c="dimmed" fw={400}>
                    {person.email} / {person.password}
                  </Text>
                </span>
              </Button>
            ))}
          </Stack>
        </section>
      )}
    </div>
  );
}
