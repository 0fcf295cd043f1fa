import { Alert, Table, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { driftBetween } from '../../core/calibration/drift.ts';
import { TABLE_UNKNOWNS, type TableUnknown } from '../../core/calibration/unknowns.ts';
import type { Calibration, TableWatch } from '../../core/records/calibration.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tableWatchQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { shortDay } from '../words/dates.ts';
import { percent } from '../words/units.ts';
import { valueInWords, valueWords } from './cardWords.ts';

/** The watch over a table: what each calibration found, and whether it has drifted. */
export function WatchPart({ table }: { readonly table: ClubTable }) {
  const watch = useQuery(tableWatchQuery(table.id));
  if (watch.data === undefined) return <Loading what="the calibrations" error={watch.error} />;
  const { calibrations } = watch.data;
  const drift = [...changesOf(calibrations), ...landingsOf(watch.data)];
  return (
    <section className="card" aria-labelledby="watch-title">
      <Title order={2} size="h4" id="watch-title">
        Calibrations
      </Title>
      {drift.map(({ isDrift, words }) =>
        isDrift ? (
          <Alert key={words} color="coral" variant="outline" p="xs" mt={6}>
            {words}
          </Alert>
        ) : (
          <Text key={words} size="sm" mt={4}>
            {words}
          </Text>
        ),
      )}
      {calibrations.length === 0 ? (
        <Text size="sm" mt={4}>
          Not calibrated yet: its numbers are those of its kind, and what was measured by hand.
        </Text>
      ) : (
        <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Calibrations">
          <Table fz="sm" mt={6}>
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Day</Table.Th>
                <Table.Th>By</Table.Th>
                <Table.Th ta="right">Shots</Table.Th>
                {TABLE_UNKNOWNS.map((name) => (
                  <Table.Th key={name} ta="right">
                    {valueWords(name).title}
                  </Table.Th>
                ))}
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {calibrations.map(({ id, at, by, document }) => (
                <Table.Tr key={id}>
                  <Table.Td>{shortDay(at)}</Table.Td>
                  <Table.Td>{by}</Table.Td>
                  <Table.Td ta="right">{document.read.length}</Table.Td>
                  {TABLE_UNKNOWNS.map((name) => {
                    const found = document.found.find((each) => each.name === name);
                    return (
                      <Table.Td key={name} ta="right">
                        {found?.isTold === true ? valueInWords(name, found.value) : 'not told'}
                      </Table.Td>
                    );
                  })}
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </div>
      )}
    </section>
  );
}

interface Watched {
  readonly isDrift: boolean;
  readonly words: string;
}

/** What has changed from one calibration to the newest. */
function changesOf([newest, before]: readonly Calibration[]): readonly Watched[] {
  if (newest === undefined || before === undefined) return [];
  const changed = driftBetween(before.document.found, newest.document.found);
  if (changed.length === 0)
    return [
      {
        isDrift: false,
        words: `As it was on ${shortDay(before.at)}: no number has changed beyond its interval.`,
      },
    ];
  return changed.map(({ name, from, to }) => ({
    isDrift: true,
    words: `${valueWords(name).title} has drifted since ${shortDay(before.at)}: from ${valueInWords(name, from)} to ${valueInWords(name, to)}, more than either calibration leaves open.${wayWords(name, from, to)}`,
  }));
}

/** What that means for a ball at the same pace, where it is plain: the way that it rolls goes as one by the friction. */
function wayWords(name: TableUnknown, from: number, to: number): string {
  if (name !== 'rollingFriction') return '';
  const share = from / to - 1;
  return ` A ball rolls ${percent(Math.abs(share))} ${share < 0 ? 'less far' : 'farther'} at the same pace.`;
}

/** What the landings of the club say of it. */
function landingsOf({ landings, since }: TableWatch): readonly Watched[] {
  if (landings === null) return [];
  const { along, players, alike, isTold } = landings;
  const where = along > 0 ? 'farther' : 'less far';
  if (isTold)
    return [
      {
        isDrift: true,
        words: `Since ${shortDay(since)} balls go ${percent(Math.abs(along))} ${where} here than those of the same players elsewhere (${alike} of ${players}): it is the table, not the players. Calibrate it again.`,
      },
    ];
  return [
    {
      isDrift: false,
      words: `Landings since ${shortDay(since)}: ${players === 1 ? 'one player' : `${players} players`} can be compared with themselves elsewhere, and nothing says that the table has drifted.`,
    },
  ];
}
