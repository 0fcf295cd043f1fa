import { Group, SegmentedControl, Table, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { MonthSums } from '../../core/records/progress.ts';
import {
  allKicks,
  groupKicks,
  KICK_TRAITS,
  type KickGroup,
  type KickTrait,
} from '../../core/scoring/kickSums.ts';
import { monthName } from '../words/dates.ts';
import { driftWords, kickGroupWords } from '../words/kickSumWords.ts';
import { interval } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';

const BY_MONTH = 'month';
const GROUPED_BY = [...KICK_TRAITS, BY_MONTH] as const;
type GroupedBy = KickTrait | typeof BY_MONTH;

/** The kicks of each month in which there were some, with the month's name. */
function kicksByMonth(months: readonly MonthSums[]): readonly KickGroup[] {
  return months.flatMap(({ month, sums: { kicks = [] } }) =>
    kicks.length === 0 ? [] : [{ value: monthName(month), ...allKicks(kicks) }],
  );
}

/** How often a player's kicks meet their ball, by what was asked and by month, and where the called misses go. */
export function KicksPart({ months }: { readonly months: readonly MonthSums[] }) {
  const kicks = months.flatMap(({ sums }) => sums.kicks ?? []);
  const [trait, setTrait] = useState<GroupedBy>('cushions');
  const { term, vocabulary } = useWords();
  if (kicks.length === 0) return null;
  const all = allKicks(kicks);
  const traitWord = (each: GroupedBy) =>
    each === 'side' ? term('side') : each === 'cushions' ? `${term('cushion')}s` : each;
  const groups = trait === BY_MONTH ? kicksByMonth(months) : groupKicks(kicks, trait);
  return (
    <section className="card" aria-labelledby="kicks-title">
      <Group justify="space-between" align="end">
        <Title order={2} size="h4" id="kicks-title">
          {capital(term('kick'))}s
        </Title>
        <SegmentedControl
          aria-label="Kicks by"
          size="xs"
          data={GROUPED_BY.map((value) => ({ value, label: `by ${traitWord(value)}` }))}
          value={trait}
          onChange={(value) => setTrait(GROUPED_BY.find((each) => each === value) ?? 'cushions')}
        />
      </Group>
      <Text size="sm">
        The ball met in {interval(all.hits)} of {all.kicks}. {driftWords(all)}
      </Text>
      <Table mt="xs" verticalSpacing={3} fz="sm">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>{traitWord(trait)}</Table.Th>
            <Table.Th ta="right">tries</Table.Th>
            <Table.Th ta="right">met, 90 % interval</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {groups.map((group) => (
            <Table.Tr key={group.value}>
              <Table.Td>
                {trait === BY_MONTH ? group.value : kickGroupWords(group.value, trait, vocabulary)}
              </Table.Td>
              <Table.Td ta="right">{group.kicks}</Table.Td>
              <Table.Td ta="right">{interval(group.hits)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}
