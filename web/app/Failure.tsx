import { Anchor, Text, Title } from '@mantine/core';
import { Link, useRouteError } from 'react-router';

/** For an address that leads nowhere, and for a screen that broke. */
export function Failure() {
  const error = useRouteError();
  return (
    <main className="page">
      <Title order={1}>
        {error === undefined ? 'There is nothing at this address' : 'This screen failed'}
      </Title>
      <Text mt="sm">
        {error instanceof Error ? `${error.message}. ` : ''}
        What was scored is kept.{' '}
        <Anchor component={Link} to="/" reloadDocument underline="always">
          Go to today
        </Anchor>
      </Text>
    </main>
  );
}
