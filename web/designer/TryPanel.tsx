import { Button, Group, Stack, Table, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import { LEVEL_NAMES, type LevelName } from '../../core/player/levels.ts';
import { tryQuery } from '../api/queries.ts';
import { OneOf } from './fields.tsx';
import type { TableAsPlayed } from '../workers/protocol.ts';

interface TryPanelProps {
  /** Undefined while the draft is no position drill that can be played. */
  readonly drill: PositionDrill | undefined;
  readonly stage: number;
  readonly on: TableAsPlayed;
  readonly ready: boolean;
}

/** A round by a virtual player, to see at once whether the drill asks too much or too little. */
export function TryPanel({ drill, stage, on, ready }: TryPanelProps) {
  const [level, setLevel] = useState<LevelName>('team');
  const [seed, setSeed] = useState(0);
  const round = useQuery(tryQuery(seed === 0 || !ready ? undefined : drill, on, stage, level, seed));
  if (drill === undefined) {
    return (
      <Text size="sm">
        A virtual player plays drills of one pot and its position, once nothing of them is missing. Set the
        balls of others in the lab and try them there.
      </Text>
    );
  }
  return (
    <Stack gap={8}>
      <OneOf label="A player of" value={level} values={LEVEL_NAMES} onChange={setLevel} />
      <Group>
        <Button size="xs" disabled={!ready} onClick={() => setSeed(seed + 1)}>
          {seed === 0 ? 'Play a round' : 'Play another'}
        </Button>
        {round.isFetching && <Text size="sm">is playing…</Text>}
      </Group>
      {round.data !== undefined && (
        <>
          <Text className="big" data-testid="tried">
            {round.data.points} of {round.data.maximum}
          </Text>
          <Text size="sm">
            Over many rounds {round.data.mean.toFixed(1)} in the mean, {Math.round(100 * round.data.potted)} %
            potted.
          </Text>
          <Table verticalSpacing={2} fz="xs">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Shot</Table.Th>
                <Table.Th>Outcome</Table.Th>
                <Table.Th>Points</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {round.data.shots.map(({ outcome, points }, i) => (
                <Table.Tr key={i}>
                  <Table.Td>{i + 1}</Table.Td>
                  <Table.Td>{outcome}</Table.Td>
                  <Table.Td>{points}</Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </>
      )}
    </Stack>
  );
}
