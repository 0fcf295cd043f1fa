import { Group, Select, Table, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { MonthSums } from '../../core/records/progress.ts';
import { addSums } from '../../core/scoring/roundSums.ts';
import {
  allBreaks,
  BREAK_TRAITS,
  compareBreaks,
  groupBreaks,
  type BreakGroup,
  type BreakTrait,
} from '../../core/scoring/breakComparison.ts';
import { wingRecord } from '../../core/scoring/wingBall.ts';
import { monthName } from '../words/dates.ts';
import { interval } from '../words/units.ts';
import { comparisonWords } from './comparisonWords.ts';
import { BreakRests } from './BreakRests.tsx';
import { WingPart } from './WingPart.tsx';
import { numberIn, speedUnit, speedWords } from '../words/lengths.ts';

const BY_MONTH = 'month';
const GROUPED_BY = [...BREAK_TRAITS, BY_MONTH] as const;
type GroupedBy = BreakTrait | typeof BY_MONTH;

const TRAIT_WORDS: Readonly<Record<GroupedBy, string>> = {
  month: 'month',
  cue: 'cue',
  place: 'place of the cue ball',
  aim: 'what is hit',
  pace: 'pace',
  speed: 'speed of the cue ball',
  table: 'table',
  rack: 'rack',
  rackBy: 'racked by',
};

/** A value as it is read: a speed is the whole m/s that it begins with. */
function groupWords(trait: GroupedBy, value: string): string {
  return trait === 'speed'
    ? `${numberIn(speedUnit(0), Number(value))} to ${speedWords(Number(value) + 1, 0)}`
    : value;
}

/** The breaks of each month in which there were some, with the month's name. */
function breaksByMonth(months: readonly MonthSums[]): readonly BreakGroup[] {
  return months.flatMap(({ month, sums: { breaks } }) =>
    breaks.length === 0 ? [] : [{ value: monthName(month), ...allBreaks(breaks) }],
  );
}

/** How a player breaks, and whether one cue or place is better than another, or not decided yet. */
export function BreaksPart({ months }: { readonly months: readonly MonthSums[] }) {
  const { breaks, breakRests: rests } = addSums(months.map(({ sums }) => sums));
  const several = BREAK_TRAITS.filter((each) => groupBreaks(breaks, each).length > 1);
  const [trait, setTrait] = useState<GroupedBy>(several[0] ?? 'cue');
  if (breaks.length === 0) return null;
  const all = allBreaks(breaks);
  const groups = trait === BY_MONTH ? breaksByMonth(months) : groupBreaks(breaks, trait);
  const wing = wingRecord(breaks);
  const [a, b] = groups;
  return (
    <section className="card" aria-labelledby="breaks-title">
      <Group justify="space-between" align="end">
        <Title order={2} size="h4" id="breaks-title">
          Breaks
        </Title>
        <Select
          aria-label="Compare by"
          size="xs"
          w={190}
          allowDeselect={false}
          data={GROUPED_BY.map((value) => ({ value, label: `by ${TRAIT_WORDS[value]}` }))}
          value={trait}
          onChange={(value) => setTrait(GROUPED_BY.find((each) => each === value) ?? 'cue')}
        />
      </Group>
      <Text size="sm">
        A ball down and the cue ball kept in {interval(all.good)} of {all.breaks} breaks,{' '}
        {all.ballsEach.toFixed(1)} balls a break, in-off in {interval(all.inOffs)}.{' '}
        {Number.isNaN(all.dry.share) ? '' : `Dry: ${interval(all.dry)}. `}
        {all.followed > 0 && `Run out afterwards: ${interval(all.runOuts)} of ${all.followed}.`}
      </Text>
      {wing !== undefined && <WingPart record={wing} />}
      {rests !== undefined && <BreakRests rests={rests} />}
      {groups.length > 0 && (
        <Table mt="xs" verticalSpacing={3} fz="sm">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>{TRAIT_WORDS[trait]}</Table.Th>
              <Table.Th ta="right">breaks</Table.Th>
              <Table.Th ta="right">good, 90 % interval</Table.Th>
              <Table.Th ta="right">balls</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {groups.map((group) => (
              <Table.Tr key={group.value}>
                <Table.Td>{groupWords(trait, group.value)}</Table.Td>
                <Table.Td ta="right">{group.breaks}</Table.Td>
                <Table.Td ta="right">{interval(group.good)}</Table.Td>
                <Table.Td ta="right">{group.ballsEach.toFixed(1)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      {trait !== BY_MONTH && (
        <Text mt={6} data-testid="break-comparison">
          {a === undefined || b === undefined
            ? `Only one ${TRAIT_WORDS[trait]} was noted: nothing to compare.`
            : comparisonWords(
                groupWords(trait, a.value),
                groupWords(trait, b.value),
                compareBreaks(breaks, trait, a.value, b.value),
              )}
        </Text>
      )}
    </section>
  );
}
