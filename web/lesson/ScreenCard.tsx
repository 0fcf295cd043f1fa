import { Button, Group, SegmentedControl, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { FIRST_SHOWN, SCREEN_VIEWS, type Shown } from '../../core/records/screen.ts';
import { call } from '../api/client.ts';
import { lessonScreenQuery, showOnScreen } from '../api/screens.ts';

interface ScreenCardProps {
  readonly lessonId: string;
  /** How many balls the drill of the block has to be set; none where there is no drill. */
  readonly balls: number;
}

const VIEW_WORDS = {
  'set up': 'Set up',
  task: 'Task',
  plan: 'Plan',
  landings: 'Landings',
  call: 'Call it',
} as const;

/** The second screen of the lesson: its code, and what it shows. */
export function ScreenCard({ lessonId, balls }: ScreenCardProps) {
  const queries = useQueryClient();
  const query = lessonScreenQuery(lessonId);
  const screen = useQuery(query);
  const showing = useMutation({
    mutationFn: (shown: Shown) => showOnScreen(lessonId, shown),
    onMutate: (shown) => {
      // The button answers at once; what the server says comes after it.
      queries.setQueryData(query.queryKey, (before) => (before ? { ...before, shown } : before));
    },
    onSuccess: (told) => queries.setQueryData(query.queryKey, told),
    onError: () => void queries.invalidateQueries({ queryKey: query.queryKey }),
  });
  const closing = useMutation({
    mutationFn: () => call('DELETE', `/lessons/${lessonId}/screen`),
    onSuccess: () => queries.setQueryData(query.queryKey, null),
  });
  const open = screen.data ?? null;
  const shown = open?.shown ?? FIRST_SHOWN;
  const failed = showing.error ?? closing.error;
  return (
    <section className="card" aria-labelledby="screen-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="screen-title">
          Second screen
        </Title>
        {open === null ? (
          <Button
            size="xs"
            variant="default"
            loading={showing.isPending}
            disabled={screen.data === undefined}
            onClick={() => showing.mutate(FIRST_SHOWN)}
          >
            Open it
          </Button>
        ) : (
          <Button size="xs" variant="default" onClick={() => closing.mutate()}>
            Close it
          </Button>
        )}
      </Group>
      {open === null ? (
        <Text size="sm">
          A television or tablet that shows the balls to be set, the task, the plan and the landings, without
          a sign-in.
        </Text>
      ) : (
        <>
          <Text size="sm">
            On the other device open <b>{location.host}/screen</b> and type{' '}
            <b data-testid="screen-code">{open.code}</b>, or{' '}
            <Link to={`/screen/${open.code}`} target="_blank">
              open it here
            </Link>
            ; for a projector over the table{' '}
            <Link to={`/screen/${open.code}/projector`} target="_blank">
              lines only
            </Link>
            . Whoever has the code can look for twelve hours: first names, no results.
          </Text>
          <Group gap={8} mt={6}>
            <SegmentedControl
              aria-label="What the screen shows"
              size="xs"
              data={SCREEN_VIEWS.map((view) => ({ value: view, label: VIEW_WORDS[view] }))}
              value={shown.view}
              onChange={(value) => {
                const view = SCREEN_VIEWS.find((each) => each === value);
                if (view !== undefined) showing.mutate({ ...shown, view });
              }}
            />
            {shown.view === 'call' && (
              <Button component={Link} to={`/lab/call?screen=${lessonId}`} size="xs">
                Set a position to call
              </Button>
            )}
            {shown.view === 'set up' && balls > 0 && (
              <>
                <Button
                  size="xs"
                  variant="default"
                  disabled={shown.set === 0}
                  onClick={() => showing.mutate({ ...shown, set: shown.set - 1 })}
                >
                  Ball before
                </Button>
                <Button
                  size="xs"
                  disabled={shown.set >= balls}
                  onClick={() => showing.mutate({ ...shown, set: shown.set + 1 })}
                >
                  Next ball
                </Button>
                <Text size="sm" data-testid="balls-set">
                  {Math.min(shown.set, balls)} of {balls} set
                </Text>
              </>
            )}
          </Group>
        </>
      )}
      {failed !== null && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {failed.message}
        </Text>
      )}
    </section>
  );
}
