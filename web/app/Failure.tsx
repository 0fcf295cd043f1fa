import { Anchor, Text, Title } from '@mantine/core';
import { Link, useRouteError } from 'react-router';

function Onwards() {
  return (
    <Text mt="sm">
      What was scored is kept.{' '}
      <Anchor component={Link} to="/" reloadDocument underline="always">
        Go to today
      </Anchor>
    </Text>
  );
}

/** For an address that leads nowhere. */
export function NoSuchPage() {
  return (
    <>
      <Title order={1}>There is nothing at this address</Title>
      <Onwards />
    </>
  );
}

/** For a screen that broke. */
export function Failure() {
  const error = useRouteError();
  return (
    <main className="page">
      <Title order={1}>This screen failed</Title>
      {error instanceof Error && <Text mt="sm">{error.message}</Text>}
      <Onwards />
    </main>
  );
}
