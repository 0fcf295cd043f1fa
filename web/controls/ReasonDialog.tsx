import { Button, Group, Modal, Stack, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { Refused } from './Refused.tsx';
import { useDoing } from './useDoing.ts';

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
  const { busy, refused, perform } = useDoing();
  async function confirm() {
    if (!(await perform(() => onDo(reason)))) return;
    setReason('');
    onClose();
  }
  return (
    <Modal opened={opened} onClose={onClose} title={title} centered>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void confirm();
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
          <Refused why={refused} />
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
