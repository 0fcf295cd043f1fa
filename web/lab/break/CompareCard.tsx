import { ScrollArea, Table, Text } from '@mantine/core';
import type { BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import type { BreakStudy } from '../../../core/virtual/breaks/breakStudy.ts';
import { usualBreaks } from '../../../core/virtual/breaks/usualBreaks.ts';
import { RunHead } from '../../planner/RunHead.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { studyLines } from '../../words/breakStudyWords.ts';
import { useWords } from '../../words/useWords.ts';
import { comparedBreaksOf } from '../../workers/break.ts';
import type { BreakAsked } from '../../workers/breakProtocol.ts';

interface CompareCardProps {
  readonly asked: BreakAsked;
  readonly stroke: BreakStroke;
}

/** The breaks that practitioners choose between, beside each other: the same racks, the same luck. */
export function CompareCard({ asked, stroke }: CompareCardProps) {
  const { vocabulary } = useWords();
  const { kind } = asked.rack;
  const usual = usualBreaks(kind, stroke, asked.table.preset);
  const run = useOneRun<readonly BreakStudy[]>(JSON.stringify(asked), (onShare) =>
    comparedBreaksOf(
      asked,
      usual.map((each) => each.stroke),
      onShare,
    ),
  );
  const columns = run.answer?.map((study) => studyLines(study, kind, vocabulary)) ?? [];
  return (
    <section className="card" aria-labelledby="compare-title" aria-busy={run.isRunning}>
      <RunHead
        title="Side by side"
        id="compare-title"
        ask="Break all four"
        counted="Breaks played"
        run={run}
      />
      {!run.isBegun && (
        <Text size="sm">From where the cue ball lies: {usual.map(({ name }) => name).join('; ')}.</Text>
      )}
      {columns.length > 0 && (
        <ScrollArea>
          <Table mt={6} fz="xs" aria-label="Four breaks side by side">
            <Table.Thead>
              <Table.Tr>
                <Table.Th />
                {usual.map(({ name }) => (
                  <Table.Th key={name} scope="col">
                    {name}
                  </Table.Th>
                ))}
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {columns[0]?.map(([what]) => (
                <Table.Tr key={what}>
                  <Table.Th scope="row" fw={400}>
                    {what}
                  </Table.Th>
                  {columns.map((lines, i) => (
                    <Table.Td key={usual[i]?.name}>
                      {lines.find(([each]) => each === what)?.[1] ?? '–'}
                    </Table.Td>
                  ))}
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </ScrollArea>
      )}
    </section>
  );
}
