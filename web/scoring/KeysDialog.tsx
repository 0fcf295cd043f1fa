import { Modal, Table } from '@mantine/core';
import { KeyCap } from '../controls/KeyCap.tsx';
import { keyWord, type PadAction } from '../controls/padAction.ts';

interface KeysDialogProps {
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly actions: readonly PadAction[];
  /** Keys without a button: the key and what it does. */
  readonly more: readonly (readonly [string, string])[];
}

/** The keys of the screen as it is now. */
export function KeysDialog({ opened, onClose, actions, more }: KeysDialogProps) {
  const keys = [
    ...actions
      .filter(({ label }) => label !== '')
      .map(({ key, label }): readonly [string, string] => [keyWord(key), label]),
    ...more,
  ];
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title="Keys of this screen"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Table>
        <Table.Tbody>
          {keys.map(([key, what]) => (
            <Table.Tr key={`${key} ${what}`}>
              <Table.Td>
                <KeyCap>{key}</KeyCap>
              </Table.Td>
              <Table.Td>{what}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Modal>
  );
}
