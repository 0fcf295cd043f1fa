import { Modal, Table, Text } from '@mantine/core';
import type { Drill, DrillStage } from '../../core/records/drill.ts';
import { countingLines } from '../words/countingWords.ts';
import { marksInWords, rulesInWords, scoringInWords, taskInWords } from '../words/drillWords.ts';
import { useWords } from '../words/useWords.ts';

interface CountingDialogProps {
  readonly opened: boolean;
  readonly onClose: () => void;
  /** As it is played at its stage. */
  readonly drill: Drill;
  readonly stage: DrillStage | undefined;
}

/** What is asked and how it counts, with what each grade means: at hand while it is scored. */
export function CountingDialog({ opened, onClose, drill, stage }: CountingDialogProps) {
  const { vocabulary } = useWords();
  const marks = marksInWords(stage?.marks ?? []);
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title="How it counts"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Text fw={700}>{taskInWords(drill, vocabulary)}</Text>
      <Text>{scoringInWords(drill)}</Text>
      <Table mt="xs" withRowBorders={false} verticalSpacing={3}>
        <Table.Tbody>
          {countingLines(drill, stage ?? { bands: [] }).map(([what, means]) => (
            <Table.Tr key={`${what} ${means}`}>
              <Table.Th scope="row" style={{ verticalAlign: 'top', whiteSpace: 'nowrap' }}>
                {what}
              </Table.Th>
              <Table.Td>{means}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {rulesInWords(drill).map((line) => (
        <Text key={line} size="sm">
          {line}
        </Text>
      ))}
      {marks !== undefined && <Text size="sm">{marks}</Text>}
    </Modal>
  );
}
