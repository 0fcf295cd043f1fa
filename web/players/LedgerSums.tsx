import { Button, Group, Table, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { SkillRating } from '../../core/records/rating.ts';
import {
  ledgerByKind,
  ledgerByMonth,
  ledgerSum,
  type LedgerSum,
  type WorkedAttempt,
} from '../../core/virtual/ledgerSums.ts';
import { monthName } from '../words/dates.ts';
import { ledgerOfAttempt } from '../workers/solver.ts';
import { ASSUMED_RATING, lostPoints, lostWords, POT_KIND_WORDS } from './ledgerWords.ts';
import { useLedgerAttempts } from './useLedgerAttempts.ts';
import { WorkedOutCard } from './WorkedOutCard.tsx';

interface LedgerSumsProps {
  readonly playerId: string;
  readonly ratings: readonly SkillRating[];
}

/** What the choice of balls costs a player against what misses and positions cost, over the newest clearances. */
export function LedgerSums({ playerId, ratings }: LedgerSumsProps) {
  const attempts = useLedgerAttempts(playerId);
  const [worked, setWorked] = useState<readonly WorkedAttempt[]>([]);
  const stopping = useRef(new AbortController());
  const rating = ratings.find(({ skill }) => skill === 'run-out')?.rating ?? ASSUMED_RATING;
  const working = useMutation({
    mutationFn: async () => {
      stopping.current = new AbortController();
      const { signal } = stopping.current;
      const done: WorkedAttempt[] = [];
      for (const { drill, on, startedAt, attempt, layout } of attempts ?? []) {
        if (signal.aborted) return;
        const { balls: objects, cue } = layout;
        const asked = { drill, on, rating, objects, cue, shots: attempt.log.shots };
        const entries = await ledgerOfAttempt(asked, () => undefined);
        done.push({ month: startedAt.slice(0, 7), entries });
        setWorked([...done]);
      }
    },
    networkMode: 'always',
  });
  if (attempts?.length === 0) return null;
  const entries = worked.flatMap((each) => each.entries);
  const months = ledgerByMonth(worked);
  return (
    <WorkedOutCard
      title="Choosing against playing"
      ask="Add it up"
      onAsk={() => working.mutate()}
      working={working.isPending}
      disabled={attempts === undefined}
      error={working.error}
    >
      {worked.length === 0 && !working.isPending && (
        <Text size="sm">
          What the choice of ball cost in the newest clearances that were logged shot by shot, and what misses
          and positions cost.
        </Text>
      )}
      {working.isPending && (
        <Group gap={8} className="no-print">
          <Text size="sm" role="status">
            {worked.length} of {attempts?.length ?? 0} attempts
          </Text>
          <Button size="compact-xs" variant="default" onClick={() => stopping.current.abort()}>
            Stop
          </Button>
        </Group>
      )}
      {entries.length > 0 && (
        <>
          <Text fw={700} data-testid="ledger-sum">
            {lostWords(ledgerSum(entries), worked.length)}
          </Text>
          <LostTable
            name="By kind of pot"
            head="Pot"
            rows={ledgerByKind(entries).map((sum) => ({
              name: POT_KIND_WORDS[sum.kind],
              count: sum.shots,
              sum,
              per: sum.shots,
            }))}
            unit="shots"
          />
          {months.length > 1 && (
            <LostTable
              name="By month"
              head="Month"
              rows={months.map((sum) => ({
                name: monthName(sum.month),
                count: sum.attempts,
                sum,
                per: sum.attempts,
              }))}
              unit="attempts"
            />
          )}
          <Text size="xs" c="dimmed" mt={4}>
            Points of a hundred of the chance of clearing, a shot and an attempt, by the best plan for a
            player rated {Math.round(rating)} in run-outs.
          </Text>
        </>
      )}
    </WorkedOutCard>
  );
}

interface LostTableProps {
  readonly name: string;
  readonly head: string;
  readonly unit: string;
  readonly rows: readonly {
    readonly name: string;
    readonly count: number;
    readonly sum: LedgerSum;
    readonly per: number;
  }[];
}

function LostTable({ name, head, unit, rows }: LostTableProps) {
  return (
    <Table mt="xs" verticalSpacing={3} fz="sm" aria-label={name}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>{head}</Table.Th>
          <Table.Th ta="right">{unit}</Table.Th>
          <Table.Th ta="right">choice</Table.Th>
          <Table.Th ta="right">misses</Table.Th>
          <Table.Th ta="right">position</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {rows.map(({ name: row, count, sum, per }) => (
          <Table.Tr key={row}>
            <Table.Td>{row}</Table.Td>
            <Table.Td ta="right">{count}</Table.Td>
            {[sum.choice, sum.pot, sum.position].map((lost, i) => (
              <Table.Td key={i} ta="right">
                {lostPoints(lost, per)}
              </Table.Td>
            ))}
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}
