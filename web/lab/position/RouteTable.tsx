import { Button, Group, Table, Text, Title } from '@mantine/core';
import { memo } from 'react';
import type { Route } from '../../../core/planning/routes.ts';
import { cushionWords, paceRange, pocketSideWords, strokeWords } from '../../words/strokeWords.ts';
import { percent } from '../../words/units.ts';
import { shortLength, speedWords } from '../../words/lengths.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import type { RoutesFound } from '../../planner/useRoutes.ts';

interface RouteTableProps {
  readonly found: RoutesFound;
  /** Numbers of the route that is played and of the one beside it, from 0. */
  readonly compared: number | undefined;
  readonly title: string;
  readonly onTake: (route: Route) => void;
  readonly onCompare: (number: number | undefined) => void;
}

/** The routes side by side, the surest first. */
export const RouteTable = memo(function RouteTable({
  found,
  compared,
  title,
  onTake,
  onCompare,
}: RouteTableProps) {
  const { vocabulary } = useWords();
  const routes = found.search?.routes ?? [];
  return (
    <section className="card" aria-labelledby="routes-title" aria-busy={found.running}>
      <Group justify="space-between">
        <Title order={2} size="h4" id="routes-title">
          {title}
        </Title>
        <Text size="sm" c="dimmed" role="status">
          {found.running ? `looking, ${percent(found.search?.done ?? 0)}` : ''}
          {found.running && (
            <Button size="compact-xs" variant="default" onClick={found.stop}>
              Stop
            </Button>
          )}
        </Text>
      </Group>
      {found.failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          The search came to no end: {found.failed.message}. Move a ball to try again.
        </Text>
      )}
      {routes.length === 0 && !found.running && found.failed === undefined && (
        <Text size="sm">
          No stroke found that does it: the pot is too thin, hidden, or leads nowhere useful.
        </Text>
      )}
      {routes.length > 0 && (
        <Table verticalSpacing={3} fz="sm" className="route-table">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Stroke</Table.Th>
              <Table.Th>Way</Table.Th>
              <Table.Th>Pace</Table.Th>
              <Table.Th>May be off by</Table.Th>
              <Table.Th>Length on</Table.Th>
              <Table.Th>On next</Table.Th>
              <Table.Th>Both pots</Table.Th>
              <Table.Th aria-label="Choose" />
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {routes.map((route, i) => (
              <Table.Tr key={`${route.strike.speed} ${route.strike.tip.side} ${route.strike.tip.height}`}>
                <Table.Td>
                  <b>{i + 1}</b> {capital(strokeWords(route.strike.tip, route.side, vocabulary))}
                </Table.Td>
                <Table.Td>
                  {[cushionWords(route.cushions.length, vocabulary), pocketSideWords(route.pocketSide)]
                    .filter((part) => part !== undefined)
                    .join(', ')}
                </Table.Td>
                <Table.Td>{speedWords(route.strike.speed)}</Table.Td>
                <Table.Td>{paceRange(route.pace)}</Table.Td>
                <Table.Td>{route.pace.length > 0 ? shortLength(route.pace.length) : '–'}</Table.Td>
                <Table.Td>{percent(route.assessment.on.share)}</Table.Td>
                <Table.Td>
                  <b>{percent(route.assessment.chance)}</b>
                </Table.Td>
                <Table.Td>
                  <Group gap={4} wrap="nowrap" justify="end">
                    <Button size="compact-xs" disabled={!found.current} onClick={() => onTake(route)}>
                      Use it
                    </Button>
                    <Button
                      size="compact-xs"
                      disabled={!found.current}
                      variant={compared === i ? 'filled' : 'default'}
                      aria-pressed={compared === i}
                      onClick={() => onCompare(compared === i ? undefined : i)}
                    >
                      Compare
                    </Button>
                  </Group>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </section>
  );
});
