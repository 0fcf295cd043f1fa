import { Button, Group, Modal, Stack, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { AttemptLog } from '../../../core/records/attempt.ts';
import type { StoredAttempt } from '../../../core/records/storedAttempt.ts';
import type { Course } from '../../../core/scoring/course.ts';
import { attemptWords } from '../../words/attemptWords.ts';
import { countedOrWhy } from './fields.ts';
import { fieldsFor } from './fieldsFor.ts';

interface ChangeDialogProps {
  readonly attempt: StoredAttempt;
  readonly course: Course;
  readonly onClose: () => void;
  readonly onChange: (log: AttemptLog, reason: string) => void;
}

/** Tells a past attempt otherwise, and why; what it was is kept. */
export function ChangeDialog({ attempt, course, onClose, onChange }: ChangeDialogProps) {
  const [log, setLog] = useState(attempt.log);
  const [reason, setReason] = useState('');
  const counted = countedOrWhy(course, log);
  return (
    <Modal
      opened
      onClose={onClose}
      title={`Change attempt ${attempt.ordinal}`}
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (typeof counted !== 'string' && reason.trim() !== '') onChange(log, reason.trim());
        }}
      >
        <Stack gap={8}>
          <Text>It was: {attemptWords(attempt.counted)}.</Text>
          {attempt.changed !== null && (
            <Text size="sm" c="dimmed">
              Changed before by {attempt.changed.by}: {attempt.changed.reason}
            </Text>
          )}
          {fieldsFor(course.counting.drill)({ course, log, onLog: setLog })}
          <Text role="status">
            {typeof counted === 'string' ? counted : `Now: ${attemptWords(counted)}.`}
          </Text>
          <TextInput
            label="Why"
            required
            maxLength={200}
            placeholder="what was wrong with the entry"
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          <Group justify="end">
            <Button variant="default" onClick={onClose}>
              Leave it
            </Button>
            <Button type="submit" disabled={typeof counted === 'string' || reason.trim() === ''}>
              Change
            </Button>
          </Group>
        </Stack>
      </form>
    </Modal>
  );
}
