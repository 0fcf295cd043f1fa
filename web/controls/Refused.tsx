import { Text } from '@mantine/core';

/** Why something was not done; nothing while nothing is wrong. */
export function Refused({ why }: { readonly why: string }) {
  if (why === '') return null;
  return (
    <Text role="alert" c="var(--jr-coral-text)">
      {why}
    </Text>
  );
}
