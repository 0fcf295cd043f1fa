import { Button, Group, Stack, Table, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { medianResult, resultText, type RoundResult } from '../../core/counting/result.ts';
import { LEVEL_NAMES, type LevelName } from '../../core/player/levels.ts';
import type { Drill } from '../../core/records/drill.ts';
import { canBePlayed } from '../../core/virtual/playRound.ts';
import { tryQuery } from '../planner/solved.ts';
import { attemptWords } from '../words/attemptWords.ts';
import { OneOf } from '../controls/fields.tsx';
import type { TableAsPlayed, TriedRound } from '../workers/protocol.ts';

interface TryPanelProps {
  /** Undefined while something of the draft is missing. */
  readonly drill: Drill | undefined;
  readonly stage: number;
  readonly on: TableAsPlayed;
}

function valueWords(result: RoundResult): string {
  const of = result.better === 'high' && result.maximum !== null ? ` of ${result.maximum}` : '';
  return `${resultText(result)}${of} ${result.unit}`;
}

/** A round by a virtual player, to see at once whether the drill asks too much or too little. */
export function TryPanel({ drill, stage, on }: TryPanelProps) {
  const [level, setLevel] = useState<LevelName>('team');
  const [seed, setSeed] = useState(0);
  const playable = drill !== undefined && canBePlayed(drill);
  const tried = useQuery(tryQuery(seed === 0 || !playable ? undefined : drill, on, stage, level, seed));
  if (drill !== undefined && !playable) {
    return <Text size="sm">A call is a player’s own: no virtual player makes it for you.</Text>;
  }
  return (
    <Stack gap={8}>
      <OneOf label="A player of" value={level} values={LEVEL_NAMES} onChange={setLevel} />
      <Group>
        <Button size="xs" disabled={!playable} onClick={() => setSeed(seed + 1)}>
          {seed === 0 ? 'Play a round' : 'Play another'}
        </Button>
        {tried.isFetching && <Text size="sm">is playing…</Text>}
      </Group>
      {drill === undefined && (
        <Text size="sm">Once nothing of the drill is missing, it can be tried here.</Text>
      )}
      {tried.isError && (
        <Text size="sm" c="coral">
          It cannot be played on this table: {tried.error.message}.
        </Text>
      )}
      {tried.data !== undefined && <Tried {...tried.data} />}
    </Stack>
  );
}

function Tried({ round, results }: TriedRound) {
  return (
    <>
      <Text className="big" data-testid="tried">
        {valueWords(round.result)}
      </Text>
      {results.length > 1 && (
        <Text size="sm">
          The middle one of {results.length} rounds: {valueWords(medianResult(results))}.
        </Text>
      )}
      <Table verticalSpacing={2} fz="xs">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Try</Table.Th>
            <Table.Th>What came of it</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {round.attempts.map((attempt, i) => (
            <Table.Tr key={i}>
              <Table.Td>{i + 1}</Table.Td>
              <Table.Td>{attemptWords(attempt)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}
