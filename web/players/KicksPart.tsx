import { Group, SegmentedControl, Table, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { KickSum } from '../../core/records/kickSum.ts';
import { allKicks, groupKicks, KICK_TRAITS, type KickTrait } from '../../core/scoring/kickSums.ts';
import { driftWords, kickGroupWords } from '../words/kickSumWords.ts';
import { interval } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';

/** How often a player's kicks meet their ball, by cushions and by distance, and where the called misses go. */
export function KicksPart({ kicks }: { readonly kicks: readonly KickSum[] }) {
  const [trait, setTrait] = useState<KickTrait>('cushions');
  const { term, vocabulary } = useWords();
  if (kicks.length === 0) return null;
  const all = allKicks(kicks);
  const traitWord = (each: KickTrait) =>
    each === 'distance' ? each : each === 'side' ? term('side') : `${term('cushion')}s`;
  return (
    <section className="card" aria-labelledby="kicks-title">
      <Group justify="space-between" align="end">
        <Title order={2} size="h4" id="kicks-title">
          {capital(term('kick'))}s
        </Title>
        <SegmentedControl
          aria-label="Kicks by"
          size="xs"
          data={KICK_TRAITS.map((value) => ({
            value,
            label: `by ${traitWord(value)}`,
          }))}
          value={trait}
          onChange={(value) => setTrait(KICK_TRAITS.find((each) => each === value) ?? 'cushions')}
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
          {groupKicks(kicks, trait).map((group) => (
            <Table.Tr key={group.value}>
              <Table.Td>{kickGroupWords(group.value, trait, vocabulary)}</Table.Td>
              <Table.Td ta="right">{group.kicks}</Table.Td>
              <Table.Td ta="right">{interval(group.hits)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}
