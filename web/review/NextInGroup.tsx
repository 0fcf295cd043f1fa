import { Button, Group, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { OpenRound } from '../../core/records/openRound.ts';
import { lessonQuery } from '../api/lessons.ts';
import { playersQuery } from '../api/players.ts';
import { useViewer } from '../api/viewer.ts';
import { resultWords } from '../words/resultWords.ts';
import { BlockClock } from '../controls/BlockClock.tsx';
import type { ScoredSoFar } from '../../core/scoring/course.ts';
import { nextPlayer, playersOf } from '../../core/programme/turns.ts';

interface NextInGroupProps {
  readonly open: OpenRound;
  readonly scoring: ScoredSoFar;
}

/** How often the others' scores are asked for, ms. */
const ASK_EVERY_MS = 5_000;

/** In a lesson: the block's clock, how the others of the group do, and whose turn is next. */
export function NextInGroup({ open, scoring }: NextInGroupProps) {
  const { round } = open;
  const ref = round.lesson;
  const lesson = useQuery({
    ...lessonQuery(ref?.id ?? ''),
    enabled: ref !== null,
    refetchInterval: ASK_EVERY_MS,
  });
  const known = useQuery({ ...playersQuery, enabled: ref !== null });
  const viewer = useViewer();
  if (ref === null || lesson.data === undefined) return null;
  const { document } = lesson.data.lesson;
  const block = document.blocks.find(({ id }) => id === ref.block);
  if (block === undefined) return null;
  const mine = { ...round, attempts: scoring.attempts, endedAt: scoring.ended?.at ?? null };
  const rounds = [
    ...lesson.data.rounds.filter((other) => other.lesson?.block === ref.block && other.id !== round.id),
    mine,
  ];
  const players = playersOf(document, block);
  const group = players.length > 1;
  const next = group ? nextPlayer(players, rounds, document.turns) : undefined;
  const nameOf = (playerId: string) => known.data?.find(({ id }) => id === playerId)?.name;
  const theirs = rounds.find(({ player, endedAt }) => player.id === next && endedAt === null);
  const address =
    theirs === undefined
      ? `/lesson/round?drill=${block.drill}&stage=${block.stage}&player=${next ?? ''}&table=${document.tableId}&lesson=${ref.id}&block=${ref.block}`
      : `/lesson/rounds/${theirs.id}`;
  return (
    <section className="card" aria-label="In this lesson">
      <Group justify="space-between">
        <Text fw={700}>In this lesson</Text>
        <BlockClock block={block} />
      </Group>
      {group &&
        rounds
          .filter(({ id }) => id !== round.id)
          .map((other) => (
            <Text key={other.id} size="sm">
              {other.player.name}: {resultWords(other.result)}
            </Text>
          ))}
      {next !== undefined && next !== round.player.id && (
        <Button component={Link} to={address} mt={6} variant="default">
          Next: {nameOf(next) ?? 'the next player'}
        </Button>
      )}
      {document.evening !== undefined && viewer.role === 'coach' && (
        <Button component={Link} to={`/lesson/evening/${document.evening.id}`} mt={6} variant="default">
          The whole evening
        </Button>
      )}
    </section>
  );
}
