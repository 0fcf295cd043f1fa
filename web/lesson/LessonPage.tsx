import { Button, Group, SegmentedControl, Stack, Text, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { spokenDay } from '../words/dates.ts';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { setOrder } from '../../core/drill/setOrder.ts';
import { atStage } from '../../core/drill/stage.ts';
import { currentBlock } from '../../core/programme/currentBlock.ts';
import { TURNS, type LessonDocument, type LessonWithRounds } from '../../core/records/lesson.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { call } from '../api/client.ts';
import { drillsQuery } from '../api/drills.ts';
import { lessonsQuery } from '../api/lessons.ts';
import { playersQuery } from '../api/players.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { BlockCard } from './BlockCard.tsx';
import { BlockList } from './BlockList.tsx';
import { endLesson, goOn } from './lessonDraft.ts';
import { LessonSummary } from './LessonSummary.tsx';
import { ScreenCard } from './ScreenCard.tsx';
import { useLesson } from './useLesson.ts';
import { SavingNotice } from '../controls/SavingNotice.tsx';
import type { Saving } from '../outbox/documentStore.ts';

/** A lesson while it is given: the blocks with their time, who plays, what was noted; its summary when it is over. */
export function LessonPage() {
  const { id = '' } = useParams();
  const { query, document, saving, refusal, change, settle, again } = useLesson(id);
  const players = useQuery(playersQuery);
  const drills = useQuery(drillsQuery);
  const error = query.error ?? players.error ?? drills.error;
  if (query.data === undefined || document === undefined || players.data === undefined) {
    return <Loading what="the lesson" error={error} />;
  }
  if (drills.data === undefined) return <Loading what="the drills" error={error} />;
  const nameOf = (playerId: string) =>
    players.data.find((player) => player.id === playerId)?.name ?? 'somebody';
  return (
    <Lesson
      data={query.data}
      document={document}
      saving={saving}
      refusal={refusal}
      onChange={change}
      onSettle={(keep) => void settle(keep)}
      onAgain={again}
      nameOf={nameOf}
    />
  );
}

interface LessonProps {
  readonly data: LessonWithRounds;
  readonly document: LessonDocument;
  readonly saving: Saving;
  /** Why the server would not take it. */
  readonly refusal: string;
  readonly onChange: (document: LessonDocument) => void;
  readonly onSettle: (keep: 'mine' | 'theirs') => void;
  readonly onAgain: () => void;
  readonly nameOf: (playerId: string) => string;
}

function Lesson({ data, document, saving, refusal, onChange, onSettle, onAgain, nameOf }: LessonProps) {
  const viewer = useViewer();
  const queries = useQueryClient();
  const { lesson, rounds } = data;
  const [chosen, setChosen] = useState<string>();
  const block = document.blocks.find(({ id }) => id === chosen) ?? currentBlock(document);
  const editable = viewer.role === 'coach' || lesson.heldBy.id === viewer.id;
  const drills = useQuery(drillsQuery);
  const ballsOf = (shown: typeof block) => {
    const drill = drills.data?.find((each) => each.document.slug === shown?.drill)?.document;
    if (shown === undefined || drill?.stages[shown.stage - 1] === undefined) return 0;
    return setOrder(atStage(drill, shown.stage), TABLE_PRESETS[drill.table]).length;
  };
  const now = () => new Date().toISOString();

  async function archive(archived: boolean) {
    await call('PUT', `/lessons/${lesson.id}/archived`, { archived });
    // The lesson's own entry begins with the same key.
    await queries.invalidateQueries({ queryKey: lessonsQuery.queryKey });
  }

  return (
    <Stack gap="sm">
      <Group justify="space-between" align="end">
        <div>
          <Title order={1}>{document.title}</Title>
          <Text c="dimmed">
            {spokenDay(document.day)}, {document.playerIds.map(nameOf).join(', ')}; {lesson.heldBy.name}
          </Text>
        </div>
        <Group gap={8}>
          {document.evening !== undefined && viewer.role === 'coach' && (
            <Button component={Link} variant="default" to={`/lesson/evening/${document.evening.id}`}>
              The whole evening
            </Button>
          )}
          <SavingNotice saving={saving} refusal={refusal} onSettle={onSettle} onAgain={onAgain} />
          {editable && document.playerIds.length > 1 && (
            <SegmentedControl
              aria-label="Turns"
              size="xs"
              data={TURNS.map((value) => ({ value, label: `Turns ${value}` }))}
              value={document.turns}
              onChange={(value) => {
                const turns = TURNS.find((each) => each === value);
                if (turns !== undefined) onChange({ ...document, turns });
              }}
            />
          )}
          {editable && document.endedAt === null && document.startedAt !== null && (
            <Button variant="default" onClick={() => onChange(endLesson(document, now()))}>
              End the lesson
            </Button>
          )}
          {editable && document.endedAt !== null && (
            <Button variant="default" onClick={() => onChange(goOn(document))}>
              Go on with it
            </Button>
          )}
          {editable && (document.startedAt === null || lesson.archived) && (
            <Button variant="subtle" onClick={() => void archive(!lesson.archived)}>
              {lesson.archived ? 'Bring back' : 'Put away'}
            </Button>
          )}
        </Group>
      </Group>
      {document.endedAt !== null && (
        <LessonSummary
          document={document}
          rounds={rounds}
          nameOf={nameOf}
          editable={editable}
          onChange={onChange}
        />
      )}
      <div className="lesson">
        <Stack gap="sm">
          <BlockList
            document={document}
            chosen={block?.id}
            editable={editable}
            nameOf={nameOf}
            onChoose={setChosen}
            onChange={onChange}
          />
          {editable && document.endedAt === null && viewer.rules.screens && (
            <ScreenCard lessonId={lesson.id} balls={ballsOf(block)} />
          )}
        </Stack>
        {block === undefined ? (
          <Text>Add the first block: a drill, and how long it is played.</Text>
        ) : (
          <BlockCard
            key={block.id}
            lessonId={lesson.id}
            document={document}
            block={block}
            rounds={rounds.filter(({ lesson: of }) => of?.block === block.id)}
            nameOf={nameOf}
            editable={editable}
            onChange={onChange}
          />
        )}
      </div>
    </Stack>
  );
}
