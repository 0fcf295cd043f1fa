import { Button, Group, Modal, Text } from '@mantine/core';

interface EndDialogProps {
  readonly opened: boolean;
  readonly played: number;
  /** Of the whole round, where it is known. */
  readonly planned: number | undefined;
  readonly word: string;
  readonly onEnd: () => void;
  readonly onClose: () => void;
}

/** Asks before a round ends early; the last shot taken back opens it again. */
export function EndDialog({ opened, played, planned, word, onEnd, onClose }: EndDialogProps) {
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title="End the round early?"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Text>
        {planned === undefined ? `${played}` : `${played} of ${planned}`} {word}s are scored. They are kept,
        but a round that is not complete is not placed among the levels. Undo opens it again.
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
