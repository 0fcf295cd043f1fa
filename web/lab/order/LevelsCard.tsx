import { Button, Group, Loader, Table, Text, Title } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { bestChoice } from '../../../core/planning/order/choices.ts';
import { LEVEL_NAMES } from '../../../core/player/levels.ts';
import { rangeWords } from '../../planner/order/planWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { planLevels } from '../../workers/order.ts';
import type { LevelTold, OrderAsked } from '../../workers/orderProtocol.ts';

interface LevelsCardProps {
  readonly asked: OrderAsked;
  /** Tells tables apart. */
  readonly tableKey: string;
}

interface Found {
  readonly key: string;
  readonly told: readonly LevelTold[];
  readonly running: boolean;
  readonly failed?: string;
}

/** The same table for every level: how often it is cleared, with which ball it begins, and which suit is the better one. */
export function LevelsCard({ asked, tableKey }: LevelsCardProps) {
  const [found, setFound] = useState<Found>();
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), [tableKey]);
  const now = found?.key === tableKey ? found : undefined;
  const compare = () => {
    stop.current();
    const told: LevelTold[] = [];
    const put = (running: boolean, failed?: string) =>
      setFound({ key: tableKey, told: [...told], running, ...(failed !== undefined && { failed }) });
    put(true);
    const working = planLevels(asked, (each) => {
      told.push(each);
      put(true);
    });
    working.answer.then(
      () => put(false),
      (error: unknown) => put(false, error instanceof Error ? error.message : String(error)),
    );
    stop.current = () => {
      working.stop();
      put(false);
    };
  };
  const suits = (now?.told ?? []).some(
    ({ answer }) => answer.kind === 'plan' && answer.plan.choices.length > 0,
  );
  return (
    <section className="card" aria-labelledby="levels-title" aria-busy={now?.running === true}>
      <Group justify="space-between">
        <Title order={2} size="h4" id="levels-title">
          By level
        </Title>
        {now?.running === true ? (
          <Group gap={6} className="no-print">
            <Loader size="xs" aria-hidden />
            <Text size="sm" c="dimmed" role="status">
              {now.told.length} of {LEVEL_NAMES.length}
            </Text>
            <Button size="compact-xs" variant="default" onClick={() => stop.current()}>
              Stop
            </Button>
          </Group>
        ) : (
          <Button size="xs" variant="default" className="no-print" onClick={compare}>
            Compare the levels
          </Button>
        )}
      </Group>
      {now === undefined && (
        <Text size="sm">How often players of each level clear this table, and how they begin.</Text>
      )}
      {now?.failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          The levels could not be compared: {now.failed}.
        </Text>
      )}
      {now !== undefined && now.told.length > 0 && (
        <Table verticalSpacing={2} horizontalSpacing={6} aria-labelledby="levels-title">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Level</Table.Th>
              <Table.Th>Clears</Table.Th>
              <Table.Th>First ball</Table.Th>
              {suits && <Table.Th>Suit</Table.Th>}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {now.told.map((told) => (
              <Row key={told.level} {...told} suits={suits} />
            ))}
          </Table.Tbody>
        </Table>
      )}
    </section>
  );
}

const SUITS = ['lower', 'higher'];

function Row({ level, answer, suits }: LevelTold & { readonly suits: boolean }) {
  const plan = answer.kind === 'plan' ? answer.plan : undefined;
  const better = plan === undefined || plan.choices.length === 0 ? undefined : bestChoice(plan.choices);
  return (
    <Table.Tr>
      <Table.Td>{capital(level)}</Table.Td>
      <Table.Td>{plan === undefined ? 'nothing is on' : rangeWords(plan.chance)}</Table.Td>
      <Table.Td>{plan?.steps[0]?.ball ?? '–'}</Table.Td>
      {suits && <Table.Td>{plan === undefined ? '–' : (SUITS[better ?? -1] ?? 'a tie')}</Table.Td>}
    </Table.Tr>
  );
}
