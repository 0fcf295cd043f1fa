import { Table, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { CALL_KINDS, type CallKind } from '../../core/judgement/kinds.ts';
import type { StoredCall } from '../../core/records/call.ts';
import type { CalledInRounds } from '../../core/records/callRounds.ts';
import { callRoundsQuery, playerCallsQuery } from '../api/calls.ts';
import { capital } from '../words/vocabulary.ts';
import { kindWords } from '../words/callWords.ts';
import { percent } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';

function meanOf(scores: readonly number[]): number {
  return scores.reduce((sum, score) => sum + score, 0) / scores.length;
}

interface Row {
  /** The question, and where it was called. */
  readonly name: string;
  readonly count: number;
  readonly score: number;
  readonly newest: number;
  readonly coach: number | undefined;
}

function rowsOfLab(calls: readonly StoredCall[], nameOf: (kind: CallKind) => string): readonly Row[] {
  return CALL_KINDS.flatMap((kind) => {
    const own = calls.filter((call) => call.kind === kind);
    if (own.length === 0) return [];
    const beside = own.flatMap(({ coach }) => (coach === null ? [] : [coach.score]));
    return [
      {
        name: nameOf(kind),
        count: own.length,
        score: meanOf(own.map(({ score }) => score)),
        newest: meanOf(own.slice(0, 10).map(({ score }) => score)),
        coach: beside.length === 0 ? undefined : meanOf(beside),
      },
    ];
  });
}

function rowsOfRounds(called: readonly CalledInRounds[]): readonly Row[] {
  return called.map(({ question, calls, right, newest }) => ({
    name: `${capital(question)}, in rounds`,
    count: calls,
    score: right / calls,
    newest: newest.right / newest.calls,
    coach: undefined,
  }));
}

/** A player's judgement: how well each kind of question was called. */
export function CallRecord({ playerId }: { readonly playerId: string }) {
  const calls = useQuery(playerCallsQuery(playerId));
  const { vocabulary } = useWords();
  const rounds = useQuery(callRoundsQuery(playerId));
  const rows = [
    ...rowsOfLab(calls.data ?? [], (kind) => kindWords(kind, vocabulary)),
    ...rowsOfRounds(rounds.data ?? []),
  ];
  return (
    <section className="card" aria-labelledby="call-record-title">
      <Title order={2} size="h4" id="call-record-title">
        Judgement
      </Title>
      {rows.length === 0 ? (
        <Text size="sm">
          Nothing called yet. Rounds in which something is foretold are counted here, and positions of the
          lab’s “Call it”.
        </Text>
      ) : (
        <Table fz="xs" verticalSpacing={3} horizontalSpacing={4} className="figures">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Question</Table.Th>
              <Table.Th>Calls</Table.Th>
              <Table.Th>Score</Table.Th>
              <Table.Th>Last 10</Table.Th>
              <Table.Th>Coach</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map((row) => (
              <Table.Tr key={row.name}>
                <Table.Td>{row.name}</Table.Td>
                <Table.Td>{row.count}</Table.Td>
                <Table.Td>{percent(row.score)}</Table.Td>
                <Table.Td>{percent(row.newest)}</Table.Td>
                <Table.Td>{row.coach === undefined ? '–' : percent(row.coach)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </section>
  );
}
