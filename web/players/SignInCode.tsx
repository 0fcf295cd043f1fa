import { Button, Group, Modal, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { signInCodeSchema } from '../../core/records/account.ts';
import type { Player } from '../../core/records/player.ts';
import { call } from '../api/client.ts';
import { longDay } from '../words/dates.ts';

/** A code with which a player makes their own sign-in; it is shown once. */
export function SignInCode({ player }: { readonly player: Player }) {
  const making = useMutation({
    mutationFn: async () =>
      signInCodeSchema.validate(await call('POST', `/players/${player.id}/sign-in-code`)),
  });
  return (
    <>
      <Button variant="default" loading={making.isPending} onClick={() => making.mutate()}>
        Sign-in code
      </Button>
      <Modal
        opened={making.isSuccess}
        onClose={() => making.reset()}
        title={`A code for ${player.name}`}
        centered
      >
        {making.data !== undefined && (
          <>
            <Text ta="center" className="big" data-testid="sign-in-code" style={{ letterSpacing: 2 }}>
              {making.data.code}
            </Text>
            <Text mt="sm">
              On the sign-in page under “I have a code” it gives {player.name} a sign-in of their own, once,
              until {longDay(making.data.expiresAt)}. It is shown only now; a new one takes its place.
              {player.hasSignIn ? ' The sign-in of before ends with it.' : ''}
            </Text>
            <Group justify="end" mt="md">
              <Button onClick={() => making.reset()}>It is noted</Button>
            </Group>
          </>
        )}
      </Modal>
      {making.isError && (
        <Text role="alert" c="var(--jr-coral-text)">
          {making.error.message}
        </Text>
      )}
    </>
  );
}
