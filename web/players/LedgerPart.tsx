import { Button, Group, Select, Table, Text, Title } from '@mantine/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { KindProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import type { LedgerEntry } from '../../core/virtual/ledger.ts';
import { playerRoundsQuery } from '../api/players.ts';
import { tableStateQuery } from '../api/tables.ts';
import { dayAndClock } from '../words/dates.ts';
import { asPlayed } from '../table/tableChoice.ts';
import { percent } from '../words/units.ts';
import { ledgerOfAttempt } from '../workers/solver.ts';
import { ledgerAttempts, type LedgerAttempt } from './ledgerAttempts.ts';
import { DearestDrill } from './DearestDrill.tsx';
import { ASSUMED_RATING, costWords, dearestOf } from './ledgerWords.ts';

interface LedgerPartProps {
  readonly playerId: string;
  readonly kind: KindProgress;
  /** The drill of the rounds as it is played at their stage. */
  readonly drill: Drill;
  readonly ratings: readonly SkillRating[];
}

/** What each shot of a clearance cost in chance of clearing; for attempts that were written down shot by shot. */
export function LedgerPart({ playerId, kind, drill, ratings }: LedgerPartProps) {
  const { table, revision, stage } = kind;
  const rounds = useQuery(
    playerRoundsQuery(playerId, { drill: kind.drill, revision, stage, table: table.fingerprint }),
  );
  const state = useQuery(tableStateQuery(table));
  const [chosen, setChosen] = useState<string | null>(null);
  const [soFar, setSoFar] = useState<readonly LedgerEntry[]>([]);
  const rating = ratings.find(({ skill }) => skill === 'run-out')?.rating;
  const { written, carrying } = useMemo(
    () => ledgerAttempts(rounds.data ?? [], drill, TABLE_PRESETS[table.preset]),
    [rounds.data, drill, table.preset],
  );
  const working = useMutation({
    mutationFn: async ({ attempt, layout, drill: set }: LedgerAttempt) => {
      if (state.data === undefined) return [];
      return ledgerOfAttempt(
        {
          drill: set,
          on: asPlayed(state.data),
          rating: rating ?? ASSUMED_RATING,
          objects: layout.balls,
          cue: layout.cue,
          shots: attempt.log.shots,
        },
        setSoFar,
      );
    },
    networkMode: 'always',
  });
  if (!written) return null;
  const asked = carrying.find(({ attempt }) => attempt.id === chosen) ?? carrying[0];
  return (
    <section className="card" aria-labelledby="ledger-title">
      <Group justify="space-between" align="end">
        <div>
          <Title order={2} size="h4" id="ledger-title">
            Ledger
          </Title>
          <Text size="sm" c="dimmed">
            What each shot cost in chance of clearing, for{' '}
            {rating === undefined ? 'a team player' : `a player rated ${Math.round(rating)} in run-outs`}.
          </Text>
        </div>
        {asked !== undefined && (
          <Group gap="xs" className="no-print">
            <Select
              aria-label="Attempt"
              w={300}
              allowDeselect={false}
              data={carrying.map(({ startedAt, attempt }) => ({
                value: attempt.id,
                label: `${dayAndClock(startedAt)}, attempt ${attempt.ordinal}, ${lengthWords(attempt)}`,
              }))}
              value={asked.attempt.id}
              onChange={(id) => {
                setChosen(id);
                setSoFar([]);
              }}
            />
            <Button
              variant="default"
              loading={working.isPending}
              disabled={state.data === undefined}
              onClick={() => {
                setSoFar([]);
                working.mutate(asked);
              }}
            >
              Work it out
            </Button>
          </Group>
        )}
      </Group>
      {soFar.length > 0 && <LedgerTable entries={soFar} />}
      {!working.isPending && asked !== undefined && state.data !== undefined && (
        <DearestDrill entries={soFar} asked={asked} drill={asked.drill} state={state.data} />
      )}
      {asked === undefined && (
        <Text mt="xs">
          Where the cue ball stopped was not marked, so there is nothing to work out yet: tap its places when
          you log shot by shot.
        </Text>
      )}
      {working.isError && (
        <Text role="alert" c="var(--jr-coral-text)">
          {working.error.message}
        </Text>
      )}
    </section>
  );
}

function lengthWords({ counted, log }: StoredAttempt): string {
  if (counted.done) return 'cleared';
  return log.shots.length === 1 ? '1 shot' : `${log.shots.length} shots`;
}

const signed = (share: number) => {
  const points = Math.round(100 * share);
  return points === 0 ? '0' : points > 0 ? `−${points}` : `+${-points}`;
};

function LedgerTable({ entries }: { readonly entries: readonly LedgerEntry[] }) {
  const dearest = dearestOf(entries);
  return (
    <>
      <Table mt="xs" verticalSpacing={3} fz="sm" data-testid="ledger">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Shot</Table.Th>
            <Table.Th>Ball</Table.Th>
            <Table.Th ta="right">before</Table.Th>
            <Table.Th ta="right">after</Table.Th>
            <Table.Th ta="right">choice</Table.Th>
            <Table.Th ta="right">pot</Table.Th>
            <Table.Th ta="right">position</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {entries.map((entry) => (
            <Table.Tr key={entry.shot} fw={entry === dearest ? 700 : 400}>
              <Table.Td>{entry.shot}</Table.Td>
              <Table.Td>{entry.ball}</Table.Td>
              <Table.Td ta="right">{percent(entry.before)}</Table.Td>
              <Table.Td ta="right">{percent(entry.after)}</Table.Td>
              {[entry.choice, entry.pot, entry.position].map((cost, i) => (
                <Table.Td key={i} ta="right">
                  {signed(cost)}
                </Table.Td>
              ))}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {dearest !== undefined && <Text data-testid="ledger-dearest">{costWords(dearest)}</Text>}
      <Text size="xs" c="dimmed" mt={4}>
        By the best plan at these errors, in points of a hundred. A pot that falls wins what was open. Other
        balls are taken to lie where they were set.
      </Text>
    </>
  );
}
