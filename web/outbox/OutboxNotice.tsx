import { Alert, Button, Group, Text } from '@mantine/core';
import { saveAs } from 'file-saver';
import { useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { sendAgain, onOutboxChange, outboxStatus, takeOut } from './outbox.ts';
import type { Kept } from './kept.ts';
import type { Person } from './sending.ts';

export function useOutbox() {
  return useSyncExternalStore(onOutboxChange, outboxStatus);
}

const entries = (count: number) => (count === 1 ? '1 entry' : `${count} entries`);

/** Says what is kept on this device and why; nothing when all is stored. @param person who is signed in */
export function OutboxNotice({ person }: { readonly person: Person }) {
  const { waiting, others, offline, signedOut, kept } = useOutbox();
  return (
    <div aria-live="polite">
      {signedOut && waiting > 0 && (
        <Alert color="coral" variant="outline" mb="sm" title="Sign in again">
          {entries(waiting)} of yours {waiting === 1 ? 'is' : 'are'} kept on this device and sent after you{' '}
          <Link to="/sign-in">sign in</Link>.
        </Alert>
      )}
      {offline && waiting > 0 && (
        <Text size="sm" mb="xs">
          <b>No connection.</b> {entries(waiting)} {waiting === 1 ? 'is' : 'are'} kept here and sent when it
          is back.
        </Text>
      )}
      {others.map(({ name, waiting: theirs }) => (
        <Text key={name} size="sm" mb="xs">
          {entries(theirs)} of {name} {theirs === 1 ? 'waits' : 'wait'} on this device until they sign in
          here.
        </Text>
      ))}
      {kept.length > 0 && <KeptEntries kept={kept} person={person} />}
    </div>
  );
}

function fileOf(kept: readonly Kept[]): Blob {
  return new Blob([JSON.stringify(kept, null, 2)], { type: 'application/json' });
}

/** What the server would not take: nothing of it is thrown away before its owner has it as a file. */
function KeptEntries({ kept, person }: { readonly kept: readonly Kept[]; readonly person: Person }) {
  const [saved, setSaved] = useState<ReadonlySet<string>>(new Set());
  const all = kept.every(({ id }) => saved.has(id));
  async function again() {
    for (const { id } of kept) await sendAgain(id, person);
  }
  async function remove() {
    for (const { id } of kept) await takeOut(id);
  }
  return (
    <Alert
      color="coral"
      variant="outline"
      mb="sm"
      title={`Not stored: ${entries(kept.length)} kept on this device`}
    >
      {kept.map(({ id, label, reason, person: of }) => (
        <Text key={id} size="sm">
          {label}: {reason}.{of === null ? ' Send it again only if it is yours.' : ''}
        </Text>
      ))}
      <Group mt="xs" gap="xs">
        <Button size="xs" onClick={() => void again()}>
          Send again
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            saveAs(fileOf(kept), 'not-stored.json');
            setSaved(new Set(kept.map(({ id }) => id)));
          }}
        >
          Save as a file
        </Button>
        {all && (
          <Button size="xs" variant="default" onClick={() => void remove()}>
            I have the file: remove them here
          </Button>
        )}
      </Group>
    </Alert>
  );
}
