import { Button, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { todayInClub } from '../words/clubTime.ts';
import { Link } from 'react-router';
import { resultText } from '../../core/counting/result.ts';
import type { DrillEntry } from '../../core/records/listedDrill.ts';
import type { Lesson } from '../../core/records/lesson.ts';
import type { RoundSummary } from '../../core/records/round.ts';
import { groupBy } from '../../core/statistics/groupBy.ts';
import { drillsQuery } from '../api/drills.ts';
import { lessonsQuery } from '../api/lessons.ts';
import { playersQuery } from '../api/players.ts';
import { todayQuery } from '../api/today.ts';
import { levelWords } from '../words/levelWords.ts';
import { resultWords } from '../words/resultWords.ts';
import { ago } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { Sight } from '../controls/Sight.tsx';
import { useViewer } from '../api/viewer.ts';
import { ProposalsNotice } from '../controls/ProposalsNotice.tsx';
import { Homework } from './Homework.tsx';
import { OwnGame } from './OwnGame.tsx';
import { PlansWaiting } from './PlansWaiting.tsx';
import { Waiting } from './Waiting.tsx';

function titleOf(drills: readonly DrillEntry[] | undefined, slug: string): string {
  return drills?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
}

/** What is on today: rounds left open, who waits for practice, what was just played. */
export function Today() {
  const viewer = useViewer();
  const today = useQuery(todayQuery);
  const drills = useQuery(drillsQuery);
  if (today.data === undefined) return <Loading what="today" error={today.error} />;
  const { open, recent, waiting } = today.data;

  return (
    <Stack>
      <div
        style={{
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'end',
          gap: 16,
          flexWrap: 'wrap',
        }}
      >
        <div>
          <Title order={1}>Today at {viewer.club}</Title>
          <Text c="dimmed">
            {open.length === 0
              ? 'Nothing is half-played. Start a round when the balls are up.'
              : `${open.length === 1 ? 'One round is' : `${open.length} rounds are`} half-played.`}
          </Text>
        </div>
        <Button component={Link} to="/lesson/round" size="lg">
          Start a round
        </Button>
      </div>

      {viewer.role === 'player' && (
        <>
          <Homework playerId={viewer.id} />
          <ProposalsNotice playerId={viewer.id} />
        </>
      )}
      {open.length > 0 && (
        <section aria-labelledby="open-title">
          <Title order={2} size="h3" id="open-title" mb="xs">
            Go on
          </Title>
          <SimpleGrid cols={{ base: 1, sm: 2, md: 3 }}>
            {open.map((round) => (
              <Link key={round.id} to={`/lesson/rounds/${round.id}`} className="card card-link">
                <Text fw={700}>{round.player}</Text>
                <Text>
                  {titleOf(drills.data, round.drill)}, {round.played} scored
                </Text>
                <Text size="sm" c="dimmed">
                  {round.table}, {ago(round.startedAt)}
                </Text>
              </Link>
            ))}
          </SimpleGrid>
        </section>
      )}

      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="lg">
        <Stack>
          <TodaysLessons />
          {viewer.role === 'player' ? (
            <OwnGame
              playerId={viewer.id}
              lastAt={waiting.find(({ id }) => id === viewer.id)?.lastRoundAt ?? null}
            />
          ) : (
            <>
              <PlansWaiting />
              <Waiting players={waiting} />
            </>
          )}
        </Stack>
        <section aria-labelledby="recent-title">
          <Title order={2} size="h3" id="recent-title" mb="xs">
            Just played
          </Title>
          <Stack gap={6}>
            {recent.length === 0 && <Text>The first finished round will stand here.</Text>}
            {recent.map((round) => (
              <RecentRound key={round.id} round={round} title={titleOf(drills.data, round.drill)} />
            ))}
          </Stack>
        </section>
      </SimpleGrid>
    </Stack>
  );
}

function RecentRound({ round, title }: { readonly round: RoundSummary; readonly title: string }) {
  const [text, words] = [resultText(round.result), resultWords(round.result)];
  return (
    <Link to={`/players/${round.playerId}?drill=${round.drill}`} className="card card-link">
      <div style={{ display: 'flex', gap: 12, alignItems: 'center' }}>
        <Sight size={20} fill="teal" />
        <div style={{ flex: 1 }}>
          <Text fw={700}>{round.player}</Text>
          <Text size="sm" c="dimmed">
            {title}, {ago(round.endedAt)}
          </Text>
        </div>
        <div style={{ textAlign: 'right' }}>
          <Text>
            <b className="big">{text}</b> {words.slice(text.length + 1)}
          </Text>
          {round.rating !== null && (
            <Text size="sm" c="dimmed">
              {levelWords(round.rating)}
            </Text>
          )}
        </div>
      </div>
    </Link>
  );
}

interface EveningCardProps {
  readonly tables: readonly Lesson[];
  readonly nameOf: (id: string) => string;
}

/** An evening that was planned, all its tables at once. */
function EveningCard({ tables, nameOf }: EveningCardProps) {
  const evening = tables[0]?.document.evening;
  if (evening === undefined) return null;
  const names = [...new Set(tables.flatMap(({ document }) => document.playerIds))].map(nameOf);
  const isGoingOn = tables.some(({ document }) => document.startedAt !== null);
  return (
    <Link to={`/lesson/evening/${evening.id}`} className="card card-link">
      <Text fw={700}>The evening from {evening.begins} on</Text>
      <Text>{names.join(', ')}</Text>
      <Text size="sm" c="dimmed">
        {tables.length === 1 ? '1 table' : `${tables.length} tables`}, {evening.minutes} min
        {isGoingOn ? ', going on' : ''}
      </Text>
    </Link>
  );
}

/** The lessons of this day: the first thing to do. */
function TodaysLessons() {
  const viewer = useViewer();
  const lessons = useQuery(lessonsQuery);
  const players = useQuery(playersQuery);
  const today = todayInClub();
  const here = (lessons.data ?? []).filter(
    ({ archived, document }) => !archived && document.day === today && document.endedAt === null,
  );
  if (here.length === 0) return null;
  const nameOf = (id: string) => players.data?.find((player) => player.id === id)?.name ?? 'somebody';
  // Whoever plans evenings comes to all tables of one at once.
  const isPlanned = ({ document }: Lesson) => viewer.role === 'coach' && document.evening !== undefined;
  const evenings = groupBy(here.filter(isPlanned), ({ document }) => document.evening?.id);
  return (
    <section aria-labelledby="lessons-title">
      <Title order={2} size="h3" id="lessons-title" mb="xs">
        Lessons today
      </Title>
      <Stack gap={6}>
        {[...evenings.values()].map((tables) => (
          <EveningCard key={tables[0]?.id} tables={tables} nameOf={nameOf} />
        ))}
        {here
          .filter((lesson) => !isPlanned(lesson))
          .map(({ id, document }) => (
            <Link key={id} to={`/lesson/${id}`} className="card card-link">
              <Text fw={700}>{document.title}</Text>
              <Text>{document.playerIds.map(nameOf).join(', ')}</Text>
              <Text size="sm" c="dimmed">
                {document.blocks.length === 1 ? '1 block' : `${document.blocks.length} blocks`},{' '}
                {document.blocks.reduce((sum, { minutes }) => sum + minutes, 0)} min
                {document.startedAt === null ? '' : ', going on'}
              </Text>
            </Link>
          ))}
      </Stack>
    </section>
  );
}
