import { useWords } from '../words/useWords.ts';
import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { atStage } from '../../core/drill/stage.ts';
import type { Round } from '../../core/records/round.ts';
import type { LessonBlock, LessonDocument } from '../../core/records/lesson.ts';
import { drillsQuery } from '../api/drills.ts';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { CAUTION_WORDS } from '../words/cautionWords.ts';
import { resultWords } from '../words/resultWords.ts';
import { BlockClock } from '../controls/BlockClock.tsx';
import { begin, withBlock } from './lessonDraft.ts';
import { NoteEditor } from '../controls/NoteEditor.tsx';
import { nextPlayer, playersOf } from '../../core/programme/turns.ts';

interface BlockCardProps {
  readonly lessonId: string;
  readonly document: LessonDocument;
  readonly block: LessonBlock;
  /** Of this block. */
  readonly rounds: readonly Round[];
  readonly nameOf: (playerId: string) => string;
  readonly editable: boolean;
  readonly onChange: (document: LessonDocument) => void;
}

/** One block: its drill, its clock, who plays, what was noted. */
export function BlockCard(props: BlockCardProps) {
  const { lessonId, document, block, rounds, nameOf, editable, onChange } = props;
  const { say } = useWords();
  const drills = useQuery(drillsQuery);
  const entry = drills.data?.find((each) => each.document.slug === block.drill);
  const drill =
    entry?.document.stages[block.stage - 1] === undefined ? undefined : atStage(entry.document, block.stage);
  const at = () => new Date().toISOString();
  const over = document.endedAt !== null;
  const running = block.startedAt !== null && block.endedAt === null;
  const players = playersOf(document, block);
  const turn = nextPlayer(players, rounds, document.turns);
  return (
    <Stack gap="sm">
      <section className="card" aria-label="This block">
        <Group justify="space-between">
          <Title order={2} size="h3">
            {drill?.title ?? block.drill}
            {drill === undefined ? '' : `, ${drill.stages[block.stage - 1]?.title.toLowerCase() ?? ''}`}
          </Title>
          <Group gap="md">
            <BlockClock block={block} />
            {editable && !running && document.endedAt === null && (
              <Button onClick={() => onChange(begin(document, block.id, at()))}>
                {block.startedAt === null ? 'Begin the block' : 'Take it up again'}
              </Button>
            )}
            {editable && running && (
              <Button
                variant="default"
                onClick={() => onChange(withBlock(document, block.id, { endedAt: at() }))}
              >
                Block done
              </Button>
            )}
          </Group>
        </Group>
        {drill !== undefined && (
          <>
            <Text size="sm">{say(drill.purpose)}</Text>
            {drill.cautions.map((caution) => (
              <Text key={caution} size="sm" fw={700}>
                {CAUTION_WORDS[caution]}
              </Text>
            ))}
          </>
        )}
      </section>
      <div className="block-body">
        <section className="card" aria-label="Players">
          <Stack gap={8}>
            {players.map((playerId) => {
              const own = rounds.filter(({ player }) => player.id === playerId);
              const open = own.find(({ endedAt }) => endedAt === null);
              return (
                <Group key={playerId} justify="space-between" wrap="nowrap">
                  <div>
                    <Text fw={700}>
                      {nameOf(playerId)}
                      {!over && players.length > 1 && playerId === turn ? ', next' : ''}
                    </Text>
                    <Text size="sm" c="dimmed" data-testid={`results-${playerId}`}>
                      {own.length === 0
                        ? 'no round yet'
                        : own.map(({ result }) => resultWords(result)).join(', ')}
                    </Text>
                  </div>
                  {!over && (
                    <Button
                      component={Link}
                      variant={playerId === turn ? 'filled' : 'default'}
                      to={
                        open === undefined
                          ? `/lesson/round?drill=${block.drill}&stage=${block.stage}&player=${playerId}&table=${document.tableId}&lesson=${lessonId}&block=${block.id}`
                          : `/lesson/rounds/${open.id}`
                      }
                    >
                      {open === undefined ? 'Play' : 'Go on'}
                    </Button>
                  )}
                </Group>
              );
            })}
          </Stack>
        </section>
        {drill !== undefined && <DrillDrawing drill={drill} stage={block.stage} small />}
      </div>
      <section aria-label="Notes of the block">
        <Text fw={700} mb={4}>
          Notes
        </Text>
        <NoteEditor
          label="Notes of the block"
          html={block.note}
          editable={editable}
          onChange={(note) => onChange(withBlock(document, block.id, { note }))}
        />
      </section>
    </Stack>
  );
}
