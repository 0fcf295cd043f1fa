import { Button, Group, Modal, Text } from '@mantine/core';

interface EndDialogProps {
  readonly opened: boolean;
  readonly played: number;
  readonly shots: number;
  readonly onEnd: () => void;
  readonly onClose: () => void;
}

/** Asks before a round ends early; the last shot taken back opens it again. */
export function EndDialog({ opened, played, shots, onEnd, onClose }: EndDialogProps) {
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title="End the round early?"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Text>
        {played} of {shots} shots are scored. They are kept, but a round that is not complete is not placed
        among the levels. Undo opens it again.
      </Text>
      <Group mt="md" justify="end">
        <Button variant="default" onClick={onClose}>
          Play on
        </Button>
        <Button onClick={onEnd} data-autofocus>
          End the round
        </Button>
      </Group>
    </Modal>
  );
}
