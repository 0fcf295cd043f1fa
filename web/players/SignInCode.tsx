import { Button } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { signInCodeSchema } from '../../core/records/account.ts';
import type { Player } from '../../core/records/player.ts';
import { call } from '../api/client.ts';
import { Refused } from '../controls/Refused.tsx';
import { CodeShown } from '../controls/CodeShown.tsx';

/** A code with which a player makes their own sign-in, or a new password for it. */
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
      <CodeShown
        name={player.name}
        given={making.data}
        hasSignIn={player.hasSignIn}
        onClose={() => making.reset()}
      />
      <Refused why={making.error?.message ?? ''} />
    </>
  );
}
