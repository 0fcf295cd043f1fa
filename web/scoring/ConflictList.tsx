import { Button, Group, Text } from '@mantine/core';
import { attemptWords } from '../words/attemptWords.ts';
import { useViewer } from '../api/viewer.ts';
import type { ScoringActions } from './useScoring.ts';

/** Shots that two devices told differently: both are kept until the coach says which one stands. */
export function ConflictList({ actions }: { readonly actions: ScoringActions }) {
  const { conflicts, settle, scoring } = actions;
  const viewer = useViewer();
  if (conflicts.length === 0) return null;
  return (
    <section className="card" aria-label="Told twice">
      <Text fw={700}>Two devices told these differently</Text>
      {conflicts.map((conflict) => {
        const { attempt, by } = conflict;
        const stored = scoring.attempts.find(({ ordinal }) => ordinal === attempt.ordinal);
        return (
          <div key={attempt.id}>
            <Text size="sm">
              Shot {attempt.ordinal}: {stored === undefined ? 'nothing' : attemptWords(stored.counted)}, or{' '}
              {attemptWords(attempt.counted)} ({by}).
            </Text>
            {viewer.role === 'coach' && (
              <Group gap={6} mb={6}>
                <Button size="compact-sm" variant="default" onClick={() => void settle(conflict, 'stored')}>
                  Keep the first
                </Button>
                <Button size="compact-sm" variant="default" onClick={() => void settle(conflict, 'other')}>
                  Take the second
                </Button>
              </Group>
            )}
          </div>
        );
      })}
    </section>
  );
}
