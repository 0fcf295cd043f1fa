import { Modal, Table } from '@mantine/core';
import { KeyCap } from '../app/KeyCap.tsx';
import { useWords } from '../words/useWords.ts';

interface KeysDialogProps {
  readonly opened: boolean;
  readonly onClose: () => void;
}

export function KeysDialog({ opened, onClose }: KeysDialogProps) {
  const { term } = useWords();
  const keys = [
    ['Space', 'potted: then set where the cue ball stopped'],
    ['Arrows', 'move the cross by 1 cm; with Shift 10 cm, with Alt 1 mm'],
    ['Enter', 'the cue ball stopped at the cross'],
    ['X', 'missed'],
    ['F', term('inOff')],
    ['U', 'take the last entry back'],
    ['R', 'bring it back again'],
    ['E', 'end the round early'],
  ] as const;
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
            <Table.Tr key={key}>
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
