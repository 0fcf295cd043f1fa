import { Button, Group, Table, Text } from '@mantine/core';
import type { RackKind } from '../../../core/rack/rack.ts';
import type { BreakStudy } from '../../../core/virtual/breaks/breakStudy.ts';
import { RunHead } from '../../planner/RunHead.tsx';
import type { OneRun } from '../../planner/useOneRun.ts';
import { studyLines } from '../../words/breakStudyWords.ts';
import { percent } from '../../words/units.ts';
import { useWords } from '../../words/useWords.ts';

/** A study with what was broken. */
export interface KeptStudy {
  readonly name: string;
  readonly study: BreakStudy;
}

interface StudyCardProps {
  readonly run: OneRun<BreakStudy>;
  readonly breaks: number;
  readonly kind: RackKind;
  readonly kept: KeptStudy | undefined;
  readonly onKeep: (study: BreakStudy | undefined) => void;
}

/** What many breaks come to, beside one that was kept to compare. */
export function StudyCard({ run, breaks, kind, kept, onKeep }: StudyCardProps) {
  const { vocabulary } = useWords();
  const study = run.answer;
  const other = kept && studyLines(kept.study, kind, vocabulary);
  return (
    <section className="card" aria-labelledby="study-title" aria-busy={run.isRunning}>
      <RunHead
        title="What comes of it"
        id="study-title"
        ask={`Break ${breaks} times`}
        counted="Breaks played"
        run={run}
      />
      {!run.isBegun && (
        <Text size="sm">Each time with a rack as this racker leaves it, and this player’s own errors.</Text>
      )}
      {study !== undefined && (
        <>
          <Table mt={6} data-testid="study" aria-label="What the breaks came to">
            {kept !== undefined && (
              <Table.Thead>
                <Table.Tr>
                  <Table.Th />
                  <Table.Th>Now</Table.Th>
                  <Table.Th>{kept.name}</Table.Th>
                </Table.Tr>
              </Table.Thead>
            )}
            <Table.Tbody>
              {studyLines(study, kind, vocabulary).map(([what, value]) => (
                <Table.Tr key={what}>
                  <Table.Th scope="row" fw={400}>
                    {what}
                  </Table.Th>
                  <Table.Td>{value}</Table.Td>
                  {other !== undefined && (
                    <Table.Td>{other.find(([each]) => each === what)?.[1] ?? '–'}</Table.Td>
                  )}
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
          <Text size="sm" mt={6}>
            {fallsWords(study)}
          </Text>
          {kept !== undefined && <Text size="sm">{decidedWords(study, kept)}</Text>}
          <Group gap={6} mt={6}>
            <Button size="compact-xs" variant="default" onClick={() => onKeep(study)}>
              Keep to compare
            </Button>
            {kept !== undefined && (
              <Button size="compact-xs" variant="default" onClick={() => onKeep(undefined)}>
                Drop the kept one
              </Button>
            )}
          </Group>
          <Text size="xs" c="dimmed" mt={4}>
            In brackets: where the true share lies in nine of ten cases.
          </Text>
        </>
      )}
    </section>
  );
}

/** Which balls of the rack fall, by their places. */
function fallsWords({ falls }: BreakStudy): string {
  const often = falls
    .map(({ share }, place) => ({ share, place }))
    .filter(({ share }) => share >= 0.03)
    .sort((a, b) => b.share - a.share)
    .slice(0, 5);
  if (often.length === 0) return 'No ball of the rack falls often.';
  return `Fall most often: ${often.map(({ share, place }) => `ball ${place + 1} ${percent(share)}`).join(', ')}.`;
}

/** Whether one of two breaks makes a ball more often, as far as these breaks tell. */
function decidedWords({ made }: BreakStudy, { name, study }: KeptStudy): string {
  if (made.low > study.made.high) return `A ball down: decided, more often than with “${name}”.`;
  if (made.high < study.made.low) return `A ball down: decided, less often than with “${name}”.`;
  return `A ball down: not decided between this and “${name}”.`;
}
