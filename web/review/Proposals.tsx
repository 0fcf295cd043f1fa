import { Button, Group, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { adviceAfter, type PlayedRound } from '../../core/scoring/advice.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { playerRoundsQuery } from '../api/players.ts';
import { KeyCap } from '../controls/KeyCap.tsx';
import { useKeys } from '../controls/useKeys.ts';
import { keep } from '../outbox/outbox.ts';
import { topicOfRound } from '../outbox/roundCopy.ts';
import { useViewer } from '../api/viewer.ts';
import { progressOf, type Course } from '../../core/scoring/course.ts';
import type { ScoredSoFar } from '../../core/scoring/course.ts';

interface ProposalsProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
}

/** What to play next by the results: a proposal that the coach takes or leaves with a key, and the choice is kept. */
export function Proposals({ open, course, scoring }: ProposalsProps) {
  const { round } = open;
  const viewer = useViewer();
  const navigate = useNavigate();
  const rounds = useQuery(
    playerRoundsQuery(round.player.id, {
      drill: round.drill,
      revision: round.revision,
      table: round.table.fingerprint,
    }),
  );
  const [chosen, setChosen] = useState(round.advice);
  const { result } = progressOf(course, scoring.attempts);
  const before = (rounds.data ?? []).filter((other) => other.id !== round.id && other.result.complete);
  const now: PlayedRound = {
    stage: round.stage,
    ladderStart: round.ladderStart,
    result,
    attempts: scoring.attempts.map(({ counted }) => counted),
  };
  const played = [
    ...before.map((other) => ({ ...other, attempts: other.attempts.map(({ counted }) => counted) })),
    ...(result.complete ? [now] : []),
  ];
  const advice = adviceAfter(course.counting.drill, round.stage, played);

  function choose(accepted: boolean) {
    const choice = {
      proposal: advice.reason,
      stage: advice.stage,
      accepted,
      at: new Date().toISOString(),
    };
    setChosen(choice);
    keep(viewer, [
      {
        topic: topicOfRound(round.id),
        method: 'PUT',
        path: `/rounds/${round.id}/advice`,
        body: choice,
        label: 'The choice after the round',
      },
    ]);
    const next = `/lesson/round?drill=${round.drill}&stage=${advice.stage}&player=${round.player.id}`;
    const lesson = round.lesson === null ? '' : `&lesson=${round.lesson.id}&block=${round.lesson.block}`;
    if (accepted) void navigate(`${next}${lesson}`);
  }
  useKeys(
    [
      { key: 'y', label: 'Take it', run: () => choose(true) },
      { key: 'n', label: 'Leave it', run: () => choose(false) },
    ],
    { paused: chosen !== null || !result.complete },
  );
  if (!result.complete) return null;
  return (
    <section className="card" aria-label="Next">
      <Text fw={700}>Next</Text>
      <Text data-testid="proposal">{advice.reason.charAt(0).toUpperCase() + advice.reason.slice(1)}.</Text>
      {chosen === null ? (
        <Group gap={8} mt={6}>
          <Button onClick={() => choose(true)}>
            Take it&nbsp;<KeyCap>Y</KeyCap>
          </Button>
          <Button variant="default" onClick={() => choose(false)}>
            Leave it&nbsp;<KeyCap>N</KeyCap>
          </Button>
        </Group>
      ) : (
        <Text size="sm" c="dimmed">
          {chosen.accepted ? 'Taken.' : 'Left.'} It is kept with the round.
        </Text>
      )}
    </section>
  );
}
