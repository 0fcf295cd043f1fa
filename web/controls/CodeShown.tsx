import { Button, Group, Modal, Text } from '@mantine/core';
import { longDay } from '../words/dates.ts';

interface CodeShownProps {
  /** For whom; nothing is shown without a code. */
  readonly name: string;
  readonly given: { readonly code: string; readonly expiresAt: string } | undefined;
  /** They have a sign-in, which ends with the code. */
  readonly hasSignIn: boolean;
  readonly onClose: () => void;
}

/** A code for a sign-in, shown once. */
export function CodeShown({ name, given, hasSignIn, onClose }: CodeShownProps) {
  return (
    <Modal opened={given !== undefined} onClose={onClose} title={`A code for ${name}`} centered>
      {given !== undefined && (
        <>
          <Text ta="center" className="big" data-testid="sign-in-code" style={{ letterSpacing: 2 }}>
            {given.code}
          </Text>
          <Text mt="sm">
            On the sign-in page under “I have a code” it gives {name} a sign-in with a password of their own,
            once, until {longDay(given.expiresAt)}. It is shown only now; a new one takes its place.
            {hasSignIn ? ' Their old sign-in stops working.' : ''}
          </Text>
          <Group justify="end" mt="md">
            <Button onClick={onClose}>It is noted</Button>
          </Group>
        </>
      )}
    </Modal>
  );
}
