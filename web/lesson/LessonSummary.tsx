import { Table, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { Round } from '../../core/records/round.ts';
import type { LessonDocument } from '../../core/records/lesson.ts';
import { drillsQuery } from '../api/drills.ts';
import { resultWords } from '../words/resultWords.ts';
import { NoteEditor } from '../controls/NoteEditor.tsx';

interface LessonSummaryProps {
  readonly document: LessonDocument;
  readonly rounds: readonly Round[];
  readonly nameOf: (playerId: string) => string;
  readonly editable: boolean;
  readonly onChange: (document: LessonDocument) => void;
}

const minutesBetween = (from: string, to: string) =>
  Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / 60_000));

/** What the lesson came to: done against planned, results by player, what is taken up next, the coach's words. */
export function LessonSummary({ document, rounds, nameOf, editable, onChange }: LessonSummaryProps) {
  const drills = useQuery(drillsQuery);
  const titleOf = (slug: string) =>
    drills.data?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const planned = document.blocks.reduce((sum, { minutes }) => sum + minutes, 0);
  const played = document.blocks.reduce(
    (sum, { startedAt, endedAt }) =>
      sum + (startedAt === null || endedAt === null ? 0 : minutesBetween(startedAt, endedAt)),
    0,
  );
  return (
    <section className="card" aria-labelledby="summary-title">
      <Title order={2} size="h3" id="summary-title">
        What it came to
      </Title>
      <Text className="summary" data-testid="lesson-summary">
        {rounds.length === 1 ? '1 round' : `${rounds.length} rounds`} in {played} of {planned} planned
        minutes.
      </Text>
      <Table mt={6}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Block</Table.Th>
            {document.playerIds.map((id) => (
              <Table.Th key={id}>{nameOf(id)}</Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {document.blocks.map((block) => (
            <Table.Tr key={block.id}>
              <Table.Td>
                {titleOf(block.drill)}, stage {block.stage}
              </Table.Td>
              {document.playerIds.map((id) => (
                <Table.Td key={id}>
                  {rounds
                    .filter(({ player, lesson }) => player.id === id && lesson?.block === block.id)
                    .map(({ result, advice }) => {
                      const choice =
                        advice === null ? '' : ` (${advice.accepted ? 'taken' : 'left'}: ${advice.proposal})`;
                      return `${resultWords(result)}${choice}`;
                    })
                    .join('; ') || '–'}
                </Table.Td>
              ))}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Text fw={700} mt={10} mb={4}>
        In the coach’s words
      </Text>
      <NoteEditor
        label="Summary of the lesson"
        html={document.summary}
        editable={editable}
        onChange={(summary) => onChange({ ...document, summary })}
      />
    </section>
  );
}
