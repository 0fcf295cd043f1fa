import { Button, Table, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { RemovedRound } from '../../core/records/corrections.ts';
import { call } from '../api/client.ts';
import { removedRoundsQuery } from '../api/club.ts';
import { drillsQuery } from '../api/drills.ts';
import { ReasonDialog } from '../controls/ReasonDialog.tsx';
import { dayAndClock } from '../words/dates.ts';

/** Rounds that were put away; nothing is shown when there is none. */
export function RemovedRounds() {
  const removed = useQuery(removedRoundsQuery);
  const drills = useQuery(drillsQuery);
  const queries = useQueryClient();
  const [asked, setAsked] = useState<RemovedRound>();
  if (removed.data === undefined || removed.data.length === 0) return null;
  const titleOf = (slug: string) =>
    drills.data?.find(({ document }) => document.slug === slug)?.document.title ?? slug;
  return (
    <section className="card" aria-labelledby="removed-title">
      <Title order={2} size="h3" id="removed-title">
        Rounds that were put away
      </Title>
      <Table aria-label="Rounds that were put away" verticalSpacing={6}>
        <Table.Tbody>
          {removed.data.map((round) => (
            <Table.Tr key={round.id}>
              <Table.Td>
                <b>{round.player}</b>
              </Table.Td>
              <Table.Td>{titleOf(round.drill)}</Table.Td>
              <Table.Td>{dayAndClock(round.startedAt)}</Table.Td>
              <Table.Td ta="right">
                <Button size="compact-sm" variant="default" onClick={() => setAsked(round)}>
                  Bring back
                </Button>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <ReasonDialog
        opened={asked !== undefined}
        title={`Bring the round of ${asked?.player ?? ''} back?`}
        action="Bring it back"
        onClose={() => setAsked(undefined)}
        onDo={async (reason) => {
          await call('PUT', `/rounds/${asked?.id ?? ''}/removed`, { removed: false, reason });
          await queries.invalidateQueries();
        }}
      />
    </section>
  );
}
