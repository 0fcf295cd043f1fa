import { SimpleGrid, Table, Text, Title } from '@mantine/core';
import { lazy } from 'react';
import type { MonthSums } from '../../core/records/progress.ts';
import { addSums, meanLanding } from '../../core/scoring/roundSums.ts';
import { Z_90 } from '../../core/statistics/wilson.ts';
import { alongAndAcross, percent } from '../words/units.ts';
import { capital } from '../words/vocabulary.ts';
import { ChartFigure } from '../charts/ChartFigure.tsx';
import { shortLength, shortUnit } from '../words/lengths.ts';

const BiasChart = lazy(() => import('../charts/BiasChart.tsx'));
const CausesChart = lazy(() => import('../charts/CausesChart.tsx'));

/** What the shots of a period say month by month: where the cue ball stops against the plan, and why shots fail. */
export function MonthsPart({ months }: { readonly months: readonly MonthSums[] }) {
  const total = addSums(months.map(({ sums }) => sums));
  const bias = meanLanding(total.landings, Z_90);
  return (
    <SimpleGrid cols={{ base: 1, md: 2 }} spacing="md">
      {bias !== undefined && (
        <section className="card" aria-labelledby="bias-title">
          <Title order={2} size="h4" id="bias-title">
            Landings against the plan
          </Title>
          <Text>
            {capital(alongAndAcross(bias.along.mean, bias.across.mean))} on average of {total.landings.count}{' '}
            landings, ± {shortLength(Math.max(0.01, bias.along.margin))} along and ±{' '}
            {shortLength(Math.max(0.01, bias.across.margin))} across.
          </Text>
          <ChartFigure label={`Mean landing error by month, ${shortUnit().unit}`} height={190}>
            <BiasChart months={months} />
          </ChartFigure>
        </section>
      )}
      <section className="card" aria-labelledby="causes-title">
        <Title order={2} size="h4" id="causes-title">
          Why shots fail
        </Title>
        {total.causes.length === 0 ? (
          <Text c="dimmed" size="sm">
            No cause was noted in this time. One key at the table says why a shot went wrong; it adds up here.
          </Text>
        ) : (
          <>
            <Text size="sm">{total.causes.map(({ cause, count }) => `${cause} ${count}`).join(', ')}.</Text>
            <ChartFigure label="Causes noted, by month" height={190}>
              <CausesChart months={months} />
            </ChartFigure>
          </>
        )}
        {total.shots > 0 && (
          <Table mt="xs" withRowBorders={false} verticalSpacing={2} fz="sm">
            <Table.Tbody>
              <Table.Tr>
                <Table.Td>with side</Table.Td>
                <Table.Td ta="right">
                  {total.withSide} of {total.shots} shots, {percent(total.withSide / total.shots)}
                </Table.Td>
              </Table.Tr>
              <Table.Tr>
                <Table.Td>rescues</Table.Td>
                <Table.Td ta="right">
                  {total.rescues}
                  {total.lucky > 0 ? `, and ${total.lucky} by luck` : ''}
                </Table.Td>
              </Table.Tr>
            </Table.Tbody>
          </Table>
        )}
      </section>
    </SimpleGrid>
  );
}
