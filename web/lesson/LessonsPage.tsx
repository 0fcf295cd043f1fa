import { DayField } from '../controls/DayField.tsx';
import { Button, Group, MultiSelect, Select, SimpleGrid, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { todayInClub } from '../words/clubTime.ts';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Player } from '../../core/records/player.ts';
import type { Lesson, LessonDocument } from '../../core/records/lesson.ts';
import { call } from '../api/client.ts';
import { lessonsQuery } from '../api/lessons.ts';
import { playersQuery } from '../api/players.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';

/** The lessons: today's first, and a new one from a plan of before or from nothing. */
export function LessonsPage() {
  const lessons = useQuery(lessonsQuery);
  const players = useQuery(playersQuery);
  const viewer = useViewer();
  const error = lessons.error ?? players.error;
  if (lessons.data === undefined || players.data === undefined) {
    return <Loading what="the lessons" error={error} />;
  }
  const here = lessons.data.filter(({ archived }) => !archived);
  const away = lessons.data.filter(({ archived }) => archived);
  const today = todayInClub();
  const nameOf = (id: string) => players.data.find((player) => player.id === id)?.name ?? 'somebody';
  const groups = [
    { title: 'Today', lessons: here.filter(({ document }) => document.day === today) },
    { title: 'To come', lessons: here.filter(({ document }) => document.day > today).reverse() },
    { title: 'Before', lessons: here.filter(({ document }) => document.day < today) },
  ];
  return (
    <div className="lessons">
      <Stack>
        <Group justify="space-between" align="end">
          <Title order={1}>Lessons</Title>
          <Group gap={8}>
            {viewer.role === 'coach' && (
              <Button component={Link} to="/lesson/evening" variant="default">
                Plan the evening
              </Button>
            )}
            <Button component={Link} to="/lesson/round" variant="default">
              Score a round without a lesson
            </Button>
          </Group>
        </Group>
        {here.length === 0 && (
          <Text>
            A lesson holds who is there, what is played for how long, and what was noted. Begin one beside
            this, and it will stand here.
          </Text>
        )}
        {groups.map(({ title, lessons: each }) =>
          each.length === 0 ? null : (
            <section key={title} aria-label={title}>
              <Title order={2} size="h3" mb="xs">
                {title}
              </Title>
              <SimpleGrid cols={{ base: 1, md: 2 }}>
                {each.map((lesson) => (
                  <LessonCard key={lesson.id} lesson={lesson} nameOf={nameOf} />
                ))}
              </SimpleGrid>
            </section>
          ),
        )}
        {away.length > 0 && <PutAway lessons={away} />}
      </Stack>
      <NewLesson
        players={players.data.filter(({ archived }) => !archived)}
        plans={here}
        own={viewer.role === 'player' ? viewer.id : undefined}
        today={today}
      />
    </div>
  );
}

/** Lessons that were put away; each can be brought back. */
function PutAway({ lessons }: { readonly lessons: readonly Lesson[] }) {
  const queries = useQueryClient();
  const bringing = useMutation({
    mutationFn: (id: string) => call('PUT', `/lessons/${id}/archived`, { archived: false }),
    onSuccess: () => queries.invalidateQueries({ queryKey: lessonsQuery.queryKey }),
  });
  return (
    <details className="card">
      <summary>
        {lessons.length === 1 ? '1 lesson was put away' : `${lessons.length} lessons were put away`}
      </summary>
      {lessons.map(({ id, document }) => (
        <Group key={id} justify="space-between" mt={6}>
          <Link to={`/lesson/${id}`}>
            {document.title}, {dayjs(document.day).format('D MMM')}
          </Link>
          <Button
            size="xs"
            variant="default"
            loading={bringing.isPending && bringing.variables === id}
            onClick={() => bringing.mutate(id)}
          >
            Bring back
          </Button>
        </Group>
      ))}
      {bringing.isError && (
        <Text role="alert" c="var(--jr-coral-text)">
          Not brought back: {bringing.error.message}.
        </Text>
      )}
    </details>
  );
}

function LessonCard({
  lesson,
  nameOf,
}: {
  readonly lesson: Lesson;
  readonly nameOf: (id: string) => string;
}) {
  const { document, heldBy } = lesson;
  const minutes = document.blocks.reduce((sum, block) => sum + block.minutes, 0);
  const state = document.endedAt !== null ? 'ended' : document.startedAt !== null ? 'going on' : 'not begun';
  return (
    <Link to={`/lesson/${lesson.id}`} className="card card-link">
      <Text fw={700}>{document.title}</Text>
      <Text size="sm">{document.playerIds.map(nameOf).join(', ')}</Text>
      <Text size="sm" c="dimmed">
        {dayjs(document.day).format('D MMM')}, {document.blocks.length}{' '}
        {document.blocks.length === 1 ? 'block' : 'blocks'}, {minutes} min, {heldBy.name}, {state}
      </Text>
    </Link>
  );
}

interface NewLessonProps {
  readonly players: readonly Player[];
  /** Lessons whose blocks may be taken over. */
  readonly plans: readonly Lesson[];
  /** A student practises alone. */
  readonly own: string | undefined;
  readonly today: string;
}

function NewLesson({ players, plans, own, today }: NewLessonProps) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const tables = useQuery(tablesQuery);
  const inUse = (tables.data ?? []).filter(({ archived }) => !archived);
  const [title, setTitle] = useState('');
  const [playerIds, setPlayerIds] = useState<string[]>(own === undefined ? [] : [own]);
  const [tableId, setTableId] = useState<string | null>(null);
  const [day, setDay] = useState(today);
  const [plan, setPlan] = useState<string | null>(null);
  const table = inUse.find(({ id }) => id === tableId) ?? inUse[0];
  const making = useMutation({
    mutationFn: async () => {
      const id = crypto.randomUUID();
      const from = plans.find((lesson) => lesson.id === plan);
      const document: LessonDocument = {
        title: title.trim() === '' ? (own === undefined ? 'Lesson' : 'Practice') : title.trim(),
        day,
        tableId: table?.id ?? '',
        playerIds,
        turns: 'after each round',
        blocks: (from?.document.blocks ?? []).map((block) => ({
          ...block,
          id: crypto.randomUUID(),
          startedAt: null,
          endedAt: null,
          note: '',
        })),
        startedAt: null,
        endedAt: null,
        summary: '',
      };
      await call('PUT', `/lessons/${id}`, { document, basedOn: null });
      return id;
    },
    onSuccess: async (id) => {
      await queries.invalidateQueries({ queryKey: lessonsQuery.queryKey });
      await navigate(`/lesson/${id}`);
    },
  });
  return (
    <form
      className="card"
      aria-labelledby="new-lesson"
      onSubmit={(event) => {
        event.preventDefault();
        making.mutate();
      }}
    >
      <Title order={2} size="h3" id="new-lesson">
        {own === undefined ? 'New lesson' : 'Practise alone'}
      </Title>
      <Stack gap={8} mt={6}>
        <TextInput
          label="Title"
          maxLength={80}
          placeholder={own === undefined ? 'Lesson' : 'Practice'}
          value={title}
          onChange={(event) => setTitle(event.currentTarget.value)}
        />
        {own === undefined && (
          <MultiSelect
            label="Students"
            searchable
            hidePickedOptions
            maxValues={16}
            data={players.map(({ id, name }) => ({ value: id, label: name }))}
            value={playerIds}
            onChange={setPlayerIds}
          />
        )}
        <Select
          label="Table"
          allowDeselect={false}
          data={inUse.map(({ id, name }) => ({ value: id, label: name }))}
          value={table?.id ?? null}
          onChange={setTableId}
        />
        <DayField label="Day" value={day} onChange={setDay} />
        <Select
          label="Plan"
          clearable
          searchable
          placeholder="from nothing"
          data={plans.map(({ id, document }) => ({
            value: id,
            label: `as ${document.title}, ${dayjs(document.day).format('D MMM')}`,
          }))}
          value={plan}
          onChange={setPlan}
        />
        <Button
          type="submit"
          size="lg"
          loading={making.isPending}
          disabled={playerIds.length === 0 || table === undefined || day === ''}
        >
          {own === undefined ? 'Set the lesson up' : 'Set the practice up'}
        </Button>
        {making.isError && (
          <Text role="alert" c="var(--jr-coral-text)">
            Not stored: {making.error.message}. What you typed is still here.
          </Text>
        )}
      </Stack>
    </form>
  );
}
