import { Button, Group, Modal, Stack, Text, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';

interface ReasonDialogProps {
  readonly opened: boolean;
  readonly title: string;
  /** What will be done, as a button says it. */
  readonly action: string;
  readonly children?: ReactNode;
  /** Something else is to be said first. */
  readonly incomplete?: boolean;
  readonly onClose: () => void;
  /** @throws when it was not done: then the dialog stays, with what was typed and what was said */
  readonly onDo: (reason: string) => Promise<void>;
}

/** Asks for the reason before something is changed that others have seen. */
export function ReasonDialog({
  opened,
  title,
  action,
  children,
  incomplete = false,
  onClose,
  onDo,
}: ReasonDialogProps) {
  const [reason, setReason] = useState('');
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState('');
  async function perform() {
    setBusy(true);
    setRefused('');
    try {
      await onDo(reason);
      setReason('');
      onClose();
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'it was not done');
    } finally {
      setBusy(false);
    }
  }
  return (
    <Modal opened={opened} onClose={onClose} title={title} centered>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void perform();
        }}
      >
        <Stack gap="sm">
          {children}
          <TextInput
            label="Why"
            description="It stands in the list of changes."
            maxLength={200}
            data-autofocus
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          {refused !== '' && (
            <Text role="alert" c="var(--jr-coral-text)">
              {refused}
            </Text>
          )}
          <Group justify="end">
            <Button variant="default" onClick={onClose}>
              Leave it
            </Button>
            <Button type="submit" loading={busy} disabled={incomplete || reason.trim() === ''}>
              {action}
            </Button>
          </Group>
        </Stack>
      </form>
    </Modal>
  );
}
