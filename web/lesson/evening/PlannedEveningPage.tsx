import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { spokenDay } from '../../words/dates.ts';
import { minutesSince, todayInClub } from '../../words/clubTime.ts';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { EveningAsk, Turn } from '../../../core/evening/ask.ts';
import { lessonsOfEvening } from '../../../core/evening/lessons.ts';
import { restOfEvening } from '../../../core/evening/restOf.ts';
import type { Lesson, LessonEvening } from '../../../core/records/lesson.ts';
import { call } from '../../api/client.ts';
import { plannedEveningQuery, wantsQuery } from '../../api/evenings.ts';
import { Loading } from '../../controls/Loading.tsx';
import { clockAt } from '../../words/eveningWords.ts';
import { begin, withBlock } from '../lessonDraft.ts';
import { EveningEditor } from './EveningEditor.tsx';
import { RestForm } from './RestForm.tsx';
import { storedTurns, type StoredTurn } from './storedTurns.ts';
import { Timetable } from './Timetable.tsx';
import { useEveningCast } from './useEveningNames.ts';
import { TurnPanel } from './TurnPanel.tsx';
import { useTimetable } from './useTimetable.ts';
import { useTurns } from './useTurns.ts';

const ASK_EVERY_MS = 10_000;
const NO_WANTS: readonly [] = [];

/** An evening that was planned: the timetable, each turn begun with one tap; the rest planned anew when something comes between. */
export function PlannedEveningPage() {
  const { id = '' } = useParams();
  const evening = useQuery({ ...plannedEveningQuery(id), refetchInterval: ASK_EVERY_MS });
  const { cast, error } = useEveningCast();
  const first = evening.data?.[0]?.document;
  if (evening.data === undefined || first?.evening === undefined || cast === undefined) {
    return <Loading what="the evening" error={evening.error ?? error} />;
  }
  return <Evening id={id} lessons={evening.data} evening={first.evening} day={first.day} cast={cast} />;
}

interface EveningProps {
  readonly id: string;
  readonly lessons: readonly Lesson[];
  readonly evening: LessonEvening;
  readonly day: string;
  readonly cast: NonNullable<ReturnType<typeof useEveningCast>['cast']>;
}

function Evening({ id, lessons, evening, day, cast }: EveningProps) {
  const { names, tables, drills } = cast;
  const { begins } = evening;
  const queries = useQueryClient();
  const navigate = useNavigate();
  // As it was when it was asked for: what others do meanwhile does not change it under the hand.
  const [rest, setRest] = useState<{ readonly ask: EveningAsk; readonly lessons: readonly Lesson[] }>();
  const students = [...new Set(lessons.flatMap(({ document }) => document.playerIds))];
  const [guest, setGuest] = useState<string | null>(null);
  const known = useQuery(wantsQuery(guest === null ? students : [...students, guest])).data;
  const wants = known ?? NO_WANTS;
  const here = tables.filter((table) => lessons.some(({ document }) => document.tableId === table.id));
  const ask = rest?.ask;
  const plan = useTimetable(ask);
  const edited = useTurns(plan.data?.turns);
  const turns = storedTurns(lessons, [...wants], drills);
  const { queryKey } = plannedEveningQuery(id);
  const again = () => queries.invalidateQueries({ queryKey });

  const keeping = useMutation({
    mutationFn: (next: readonly Turn[]) =>
      call('PUT', `/evenings/${id}`, {
        lessons: lessonsOfEvening(
          {
            evening,
            day,
            titleOf: (table) => `Evening at ${names.table(table)}`.slice(0, 80),
            newId: () => crypto.randomUUID(),
          },
          next,
          rest?.lessons ?? lessons,
        ),
      }),
    onSuccess: async () => {
      setRest(undefined);
      setGuest(null);
      await again();
    },
    onError: again,
  });
  const marking = useMutation({
    mutationFn: async ({ turn, done }: { readonly turn: StoredTurn; readonly done: boolean }) => {
      const { lesson, block } = turn;
      const at = new Date().toISOString();
      const document = done
        ? withBlock(lesson.document, block.id, { endedAt: at })
        : begin(lesson.document, block.id, at);
      await call('PUT', `/lessons/${lesson.id}`, { document, basedOn: lesson.version });
      await again();
      if (!done) await navigate(roundOf(turn));
    },
    onError: again,
  });
  const failed = keeping.error ?? marking.error;
  // On another day nothing has been played yet.
  const now = todayInClub() === day ? minutesSince(begins) : 0;

  return (
    <Stack gap="sm">
      <Group justify="space-between" align="end">
        <div>
          <Title order={1}>The evening of {spokenDay(day)}</Title>
          <Text c="dimmed">
            {begins} to {clockAt(begins, evening.minutes)}, {students.length}{' '}
            {students.length === 1 ? 'student' : 'students'}
            {evening.coachIds.length === 0 ? '' : `, with ${evening.coachIds.map(names.coach).join(' and ')}`}
          </Text>
        </div>
        <Button variant="default" className="no-print" onClick={() => window.print()}>
          Print
        </Button>
      </Group>
      {failed !== null && (
        <Text role="alert" c="var(--jr-coral-text)">
          Not stored: {failed.message}. The evening is shown as it is now.
        </Text>
      )}
      {ask !== undefined && plan.data !== undefined ? (
        <>
          <Text>
            {plan.data.turns.length === 0
              ? `Nothing fits into what is left after ${clockAt(begins, ask.from)}.`
              : `The rest, planned anew from ${clockAt(begins, ask.from)} on:`}
          </Text>
          <div className="evening">
            <EveningEditor
              ask={ask}
              edited={edited}
              begins={begins}
              names={names}
              keepLabel="Keep this rest"
              keeping={keeping.isPending || plan.isPlaceholderData}
              onKeep={(next) => keeping.mutate(next)}
            />
            <div>
              <TurnPanel ask={ask} edited={edited} begins={begins} names={names} />
              <Button variant="default" onClick={() => setRest(undefined)}>
                Leave it as it was
              </Button>
            </div>
          </div>
        </>
      ) : (
        <div className="evening">
          <Timetable
            begins={begins}
            tables={here.map((table) => table.id)}
            slots={[]}
            turns={turns.map((stored) => ({
              key: stored.block.id,
              turn: stored.turn,
              clashes: [],
              state: stateOf(stored),
              foot: (
                <Foot
                  stored={stored}
                  isNext={stored === nextAt(turns, stored.turn.table)}
                  busy={marking.isPending}
                  onStart={() => marking.mutate({ turn: stored, done: false })}
                  onDone={() => marking.mutate({ turn: stored, done: true })}
                  onOpen={() => void navigate(`/lesson/${stored.lesson.id}`)}
                />
              ),
            }))}
            names={names}
          />
          <RestForm
            begins={begins}
            students={students}
            others={cast.players.map((each) => each.id).filter((each) => !students.includes(each))}
            guest={guest}
            onGuest={setGuest}
            tables={here.map((table) => table.id)}
            names={names}
            now={Math.min(evening.minutes, Math.max(0, now))}
            isReady={known !== undefined}
            onPlan={(changes) =>
              setRest({
                ask: restOfEvening(evening, lessons, changes, { wants: [...wants], tables: here }),
                lessons,
              })
            }
          />
        </div>
      )}
    </Stack>
  );
}

function stateOf({ block }: StoredTurn): string {
  if (block.startedAt === null) return '';
  return block.endedAt === null ? 'being played' : 'played';
}

/** The next turn at a table that has not begun. */
function nextAt(turns: readonly StoredTurn[], table: string): StoredTurn | undefined {
  return turns.find(({ turn, block }) => turn.table === table && block.startedAt === null);
}

/** The round of a turn, begun as soon as its page is there. */
function roundOf({ lesson, block, turn }: StoredTurn): string {
  const { drill, stage, id } = block;
  return `/lesson/round?drill=${drill}&stage=${stage}&player=${turn.student}&table=${turn.table}&lesson=${lesson.id}&block=${id}&begin=now`;
}

interface FootProps {
  readonly stored: StoredTurn;
  /** Whether it is the next one at its table. */
  readonly isNext: boolean;
  readonly busy: boolean;
  readonly onStart: () => void;
  readonly onDone: () => void;
  readonly onOpen: () => void;
}

function Foot({ stored, isNext, busy, onStart, onDone, onOpen }: FootProps) {
  const state = stateOf(stored);
  return (
    <Group gap={4} className="no-print" p={4}>
      {state === '' && (
        <Button size="xs" variant={isNext ? 'filled' : 'subtle'} disabled={busy} onClick={onStart}>
          Start
        </Button>
      )}
      {state === 'being played' && (
        <Button size="xs" variant="default" disabled={busy} onClick={onDone}>
          Done
        </Button>
      )}
      {state !== '' && (
        <Button size="xs" variant="subtle" onClick={onOpen}>
          Notes and rounds
        </Button>
      )}
    </Group>
  );
}
