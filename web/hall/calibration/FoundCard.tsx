import { Button, Group, Table, Text, Title } from '@mantine/core';
import type { TablePreset } from '../../../core/table/preset.ts';
import { percent } from '../../words/units.ts';
import type { Calibrated } from '../../workers/calibrationProtocol.ts';
import { valueInWords, valueWords } from '../cardWords.ts';
import { entangled, foundValues, type FoundValue } from './foundValues.ts';

interface FoundCardProps {
  readonly preset: TablePreset;
  readonly calibrated: Calibrated;
  readonly titleOf: (shot: string) => string;
  /** Goes to a guided shot. */
  readonly onShot: (shot: string) => void;
  readonly busy: boolean;
  readonly failed: string | undefined;
  readonly onTake: (found: readonly FoundValue[]) => void;
}

/** What the guided shots say: each number with its interval beside that of the card, and what cannot be told apart yet. */
export function FoundCard({ preset, calibrated, titleOf, onShot, busy, failed, onTake }: FoundCardProps) {
  const { fit, next } = calibrated;
  const found = foundValues(preset, fit);
  const told = found.filter(({ isTold }) => isTold);
  const title = (i: number) => valueWords(found[i]?.unknown.name ?? 'length').title.toLowerCase();
  return (
    <section className="card" aria-labelledby="found-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="found-title">
          What the shots say
        </Title>
        <Button
          disabled={told.every(({ unknown }) => unknown.name === 'endMass')}
          loading={busy}
          onClick={() => onTake(found)}
        >
          Take into the card
        </Button>
      </Group>
      <Table fz="sm" mt={6} aria-label="Numbers that were found">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Number</Table.Th>
            <Table.Th ta="right">Card</Table.Th>
            <Table.Th ta="right">Found</Table.Th>
            <Table.Th>Nine times in ten</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {found.map(({ unknown: { name, before }, value, low, high, isTold }) => (
            <Table.Tr key={name}>
              <Table.Td>{valueWords(name).title}</Table.Td>
              <Table.Td ta="right">{valueInWords(name, before)}</Table.Td>
              <Table.Td ta="right">{isTold ? <b>{valueInWords(name, value)}</b> : 'not told yet'}</Table.Td>
              <Table.Td>
                {valueInWords(name, low)} to {valueInWords(name, high)}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {entangled(fit).map(([i, j]) => (
        <Text size="sm" mt={4} key={`${i} ${j}`}>
          {`${title(i)} and ${title(j)}`.replace(/^./, (letter) => letter.toUpperCase())} cannot be told apart
          yet: play more of the shots that tell of either.
        </Text>
      ))}
      {next !== undefined && (
        <Group gap={8} mt={6}>
          <Text size="sm" data-testid="next-shot">
            Most would be told next by “{titleOf(next.id)}”: played once more, {title(next.narrows)} would be
            open by {percent(next.to)} of what it is now.
          </Text>
          <Button size="compact-xs" variant="default" onClick={() => onShot(next.id)}>
            Show it
          </Button>
        </Group>
      )}
      <Text size="xs" c="dimmed" mt={4}>
        The card takes the numbers that are told, with their source; the cue’s end belongs to the cue. Rounds
        that were played keep the card of their day.
      </Text>
      {failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {failed}
        </Text>
      )}
    </section>
  );
}
