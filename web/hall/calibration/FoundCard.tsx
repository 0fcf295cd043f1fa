import { Button, Group, Table, Text, Title } from '@mantine/core';
import type { Unknown } from '../../../core/calibration/unknowns.ts';
import { percent } from '../../words/units.ts';
import type { Calibrated } from '../../workers/calibrationProtocol.ts';
import { tapeLength } from '../../words/lengths.ts';
import { valueInWords } from '../cardWords.ts';
import { entangled, foundValues, type FoundValue } from './foundValues.ts';

interface FoundCardProps {
  readonly calibrated: Calibrated;
  /** How a number is named: the table's by itself, a cue's end by its cue. */
  readonly nameOf: (unknown: Unknown) => string;
  readonly titleOf: (shot: string) => string;
  /** Goes to a guided shot. */
  readonly onShot: (shot: string) => void;
  readonly busy: boolean;
  readonly failed: string | undefined;
  readonly onTake: (found: readonly FoundValue[]) => void;
}

/** What the guided shots say: each number with its interval beside that of the card, and what cannot be told apart yet. */
export function FoundCard({ calibrated, nameOf, titleOf, onShot, busy, failed, onTake }: FoundCardProps) {
  const { unknowns, fit, leftOut, next } = calibrated;
  const found = foundValues(calibrated);
  const title = (i: number) => {
    const unknown = unknowns[i];
    return unknown === undefined ? '' : lowered(nameOf(unknown));
  };
  return (
    <section className="card" aria-labelledby="found-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="found-title">
          What the shots say
        </Title>
        <Button disabled={found.every(({ isTold }) => !isTold)} loading={busy} onClick={() => onTake(found)}>
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
          {found.map(({ unknown, value, low, high, isTold }) => {
            const { name, cue, before } = unknown;
            return (
              <Table.Tr key={`${name} ${cue ?? ''}`}>
                <Table.Td>{nameOf(unknown)}</Table.Td>
                <Table.Td ta="right">{valueInWords(name, before)}</Table.Td>
                <Table.Td ta="right">{isTold ? <b>{valueInWords(name, value)}</b> : 'not told yet'}</Table.Td>
                <Table.Td>
                  {valueInWords(name, low)} to {valueInWords(name, high)}
                </Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
      {leftOut !== undefined && (
        <Text size="sm" mt={6} data-testid="left-out">
          On shots that were left out one by one ({leftOut.shots}), places along the cushions were foretold{' '}
          <b>{tapeLength(leftOut.after)}</b> off by the others; by the card {tapeLength(leftOut.before)}. Your
          strokes and the tape alone make {tapeLength(leftOut.chance)}.
        </Text>
      )}
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
        The card takes the numbers that are told, with their source, and a cue that was named takes its end.
        Rounds that were played keep the card of their day.
      </Text>
      {failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {failed}
        </Text>
      )}
    </section>
  );
}

const lowered = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
