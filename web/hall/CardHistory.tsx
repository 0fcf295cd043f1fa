import { Button, Table, Text, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ClubTable } from '../../core/records/clubTable.ts';
import type { NotedConditions } from '../../core/records/conditions.ts';
import type { TableCard } from '../../core/table/card.ts';
import { call } from '../api/client.ts';
import { tableLogQuery, tablesQuery } from '../api/tables.ts';
import { dayAndClock } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { useWords } from '../words/useWords.ts';
import { cardInWords } from './cardWords.ts';
import { conditionsInWords } from '../words/conditionWords.ts';

interface CardHistoryProps {
  readonly table: ClubTable;
  /** Puts an older card into the form; undefined for who may not change it. */
  readonly onTake: ((card: TableCard) => void) | undefined;
}

/** What was noted and changed, with dates: rounds keep the card and the conditions of their time. */
export function CardHistory({ table, onTake }: CardHistoryProps) {
  const queries = useQueryClient();
  const { vocabulary } = useWords();
  const log = useQuery(tableLogQuery(table.id));
  if (log.data === undefined) return <Loading what="the log" error={log.error} />;

  async function bringBack({ id, conditions, note, notedAt }: NotedConditions) {
    await call('PUT', `/tables/${table.id}/conditions/${id}`, { conditions, note, notedAt });
    await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
  }

  return (
    <section className="card" aria-labelledby="log-title">
      <Title order={2} size="h4" id="log-title">
        Log
      </Title>
      <Table verticalSpacing={3} mt={4}>
        <Table.Tbody>
          {log.data.conditions.map((noted) => (
            <Table.Tr key={noted.id}>
              <Table.Td>{dayAndClock(noted.notedAt)}</Table.Td>
              <Table.Td>
                <Text size="sm" td={noted.withdrawn ? 'line-through' : undefined}>
                  Conditions: {conditionsInWords(noted.conditions)}. {noted.note}
                </Text>
              </Table.Td>
              <Table.Td>{noted.by}</Table.Td>
              <Table.Td ta="right">
                {noted.withdrawn && onTake !== undefined && (
                  <Button size="compact-xs" variant="default" onClick={() => void bringBack(noted)}>
                    Bring back
                  </Button>
                )}
              </Table.Td>
            </Table.Tr>
          ))}
          {log.data.revisions.map((each) => (
            <Table.Tr key={each.revision}>
              <Table.Td>{dayAndClock(each.at)}</Table.Td>
              <Table.Td>
                <Text size="sm">
                  Card {each.revision}: {cardInWords(each.card, vocabulary)}
                </Text>
              </Table.Td>
              <Table.Td>{each.by}</Table.Td>
              <Table.Td ta="right">
                {each.revision !== table.state.revision && onTake !== undefined && (
                  <Button size="compact-xs" variant="default" onClick={() => onTake(each.card)}>
                    Take it into the form
                  </Button>
                )}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}
