import { Table, Text, Title } from '@mantine/core';
import type { AuditAction } from '../../core/records/audit.ts';
import { useQuery } from '@tanstack/react-query';
import { auditQuery } from '../api/club.ts';
import { Loading } from '../controls/Loading.tsx';
import { capital } from '../words/vocabulary.ts';
import { dayAndClock } from '../words/dates.ts';

/** Who changed what, and when. */
export function AuditPart() {
  const audit = useQuery(auditQuery());
  return (
    <section className="card" aria-labelledby="audit-title" style={{ overflowX: 'auto' }}>
      <Title order={2} size="h3" id="audit-title">
        What was changed
      </Title>
      {audit.data === undefined ? (
        <Loading what="the changes" error={audit.error} />
      ) : audit.data.length === 0 ? (
        <Text>
          Nothing yet. Corrections, codes, rounds put away and the like will stand here with who did it.
        </Text>
      ) : (
        <Table aria-label="What was changed" verticalSpacing={4}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>When</Table.Th>
              <Table.Th>Who</Table.Th>
              <Table.Th>What</Table.Th>
              <Table.Th>Why</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {audit.data.map(({ id, at, by, action, name, other, reason }) => (
              <Table.Tr key={id}>
                <Table.Td style={{ whiteSpace: 'nowrap' }}>{dayAndClock(at)}</Table.Td>
                <Table.Td>{by}</Table.Td>
                <Table.Td>
                  {capital(actionWords(action))}: {name}
                  {other === null ? '' : `, before ${other}’s`}
                </Table.Td>
                <Table.Td>{reason ?? ''}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </section>
  );
}

/** An action in the words of the pages: what is hidden is put away. */
function actionWords(action: AuditAction): string {
  return action === 'player archived' ? 'player put away' : action;
}
