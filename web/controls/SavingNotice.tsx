import { Button, Group, Text } from '@mantine/core';

interface SavingNoticeProps {
  readonly saving: 'saved' | 'saving' | 'kept here' | 'changed elsewhere' | 'refused';
  /** Why the server would not take it. */
  readonly refusal: string;
  readonly onSettle: (keep: 'mine' | 'theirs') => void;
  readonly onAgain: () => void;
}

const WORDS: Readonly<Record<SavingNoticeProps['saving'], string>> = {
  saved: 'All is stored.',
  saving: 'Storing.',
  'kept here': 'No connection: kept on this device, sent when it is back.',
  'changed elsewhere': 'Somebody else changed the same at the same time:',
  refused: 'Kept on this device, but not stored:',
};

/** How what is worked on is kept; asks where that needs a word. */
export function SavingNotice({ saving, refusal, onSettle, onAgain }: SavingNoticeProps) {
  return (
    <Group gap={8} className="no-print">
      <Text size="sm" c="dimmed" role="status">
        {WORDS[saving]}
        {saving === 'refused' ? ` ${refusal}` : ''}
      </Text>
      {saving === 'changed elsewhere' && (
        <>
          <Button size="compact-sm" variant="default" onClick={() => onSettle('theirs')}>
            Take theirs
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => onSettle('mine')}>
            Keep mine
          </Button>
        </>
      )}
      {saving === 'refused' && (
        <Button size="compact-sm" variant="default" onClick={onAgain}>
          Send it again
        </Button>
      )}
    </Group>
  );
}
