import { LineKey } from '../../table/LineKey.tsx';
import { Anchor, Button, Group, Table, Text, Title } from '@mantine/core';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { TableText } from '../../../core/planning/position/question.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import type { ApartLine } from '../../../core/shot/kicks/thumb/crib.ts';
import { ROUNDS } from '../../../core/shot/kicks/thumb/threeCushions.ts';
import { THUMB_PACES } from '../../../core/shot/kicks/thumb/thumbRules.ts';
import { tableFingerprint } from '../../../core/table/table.ts';
import { Loading } from '../../controls/Loading.tsx';
import { thumbFiguresQuery } from '../../planner/kick/thumbFigures.ts';
import { alongWords, markWords, thirdsWords } from '../../words/thumbWords.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { thumbSolver } from '../../workers/thumb.ts';
import { firstPosition } from '../labStart.ts';
import { WithTables } from '../WithTables.tsx';
import { RoundDrawing } from './RoundDrawing.tsx';
import { placeUnit, speedWords } from '../../words/lengths.ts';

const cribQuery = (table: TableText, key: string) =>
  queryOptions({
    queryKey: ['crib', key],
    staleTime: Infinity,
    networkMode: 'always',
    queryFn: () => thumbSolver().crib(table),
  });

/** The lines of one table on a page to print: by one cushion, and round by three. */
export function CribPage() {
  return <WithTables>{(tables) => <CribCard tables={tables} />}</WithTables>;
}

function CribCard({ tables }: { readonly tables: readonly ClubTable[] }) {
  const [params] = useSearchParams();
  const { vocabulary, term } = useWords();
  const { shot, chosen } = useMemo(() => firstPosition(params, tables), [params, tables]);
  const { table } = shot;
  const { preset } = table;
  const [text, key] = useMemo(
    () => [{ preset: table.preset, parameters: table.parameters }, tableFingerprint(table)] as const,
    [table],
  );
  const figures = useQuery(thumbFiguresQuery(text, key));
  const crib = useQuery(cribQuery(text, key));
  if (figures.data === undefined || crib.data === undefined)
    return <Loading what="the card of this table" error={figures.error ?? crib.error} />;
  const { across, along, round } = crib.data;
  const name = tables.find(({ id }) => id === chosen?.key)?.name ?? preset.name;
  const unit = preset.sights ? 'diamonds' : placeUnit().unit;
  const rail = term('cushion');
  const at = (metres: number | undefined) => (metres === undefined ? '–' : alongWords(metres, preset));
  const arrivals = [...new Set(round.map(({ arrival }) => arrival))];
  const starts = [...new Set(round.map(({ start }) => start))];
  return (
    <main className="sheet">
      <Group className="sheet-head" justify="space-between" align="end">
        <div>
          <Anchor
            component={Link}
            to={`/lab/kick?${params.toString()}`}
            size="sm"
            underline="always"
            className="no-print"
          >
            Back to the lab
          </Anchor>
          <Title order={1}>{capital(term('kick'))}s on this table</Title>
          <Text c="dimmed">
            {name}; all in {unit} from {preset.sights ? 'the corner' : 'the pocket'}, worked out for this
            cloth and these {rail}s
          </Text>
        </div>
        <Button className="no-print" onClick={() => window.print()}>
          Print
        </Button>
      </Group>
      <section aria-labelledby="round-title">
        <Title order={2} size="h3" id="round-title">
          Round by three {rail}s
        </Title>
        <RoundDrawing table={table} lines={round.filter(({ arrival }) => arrival === 0)} />
        <LineKey cueBall="soft" kept="from other places" aim="where it is aimed" />
        <Text size="sm" mt={4}>
          Running {term('side')}, a third of the way out. The cue ball lies beside the near {rail}; aim along
          the far one. All counted from the {term('headEnd')} end.
        </Text>
        {arrivals.map((arrival) => (
          <Table key={arrival} verticalSpacing={2} fz="sm" mt={6} captionSide="top">
            <Table.Caption>
              {arrival === 0 ? 'To the corner' : `To ${at(arrival)} from the corner`}
            </Table.Caption>
            <Table.Thead>
              <Table.Tr>
                <Table.Th>cue ball at</Table.Th>
                {starts.map((start) => (
                  <Table.Th key={start} ta="right">
                    {at(start)}
                  </Table.Th>
                ))}
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {THUMB_PACES.map((pace) => (
                <Table.Tr key={pace}>
                  <Table.Td>{pace}, aim at</Table.Td>
                  {starts.map((start) => (
                    <Table.Td key={start} ta="right">
                      {at(round.find((line) => line.start === start && line.arrival === arrival)?.[pace])}
                    </Table.Td>
                  ))}
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        ))}
      </section>
      <section aria-labelledby="one-title">
        <Title order={2} size="h3" id="one-title">
          By one {rail}
        </Title>
        <Text size="sm">
          Both balls equally far from the {rail}, no {term('side')}. How far along to aim, from the cue ball
          on.
        </Text>
        <ApartTable title={`Across, by a long ${rail}`} lines={across} at={at} />
        <ApartTable title={`Along, by a short ${rail}`} lines={along} at={at} />
        <Title order={2} size="h3" mt="md">
          Rules of thumb
        </Title>
        {THUMB_PACES.map((pace) => {
          const known = figures.data[pace];
          const [first] = ROUNDS;
          if (known === undefined || first === undefined)
            return (
              <Text size="sm" key={pace}>
                {capital(pace)}: this pace does not carry round.
              </Text>
            );
          return (
            <Text size="sm" key={pace} mt={4}>
              <b>{capital(pace)}</b> ({speedWords(known.speed)}). One far mark for the corner:{' '}
              {markWords(known, first, table, vocabulary)}; for a ball {at(table.length / 8)} from the corner
              move it {at((known.shift * table.length) / 8)} towards the {term('headEnd')}. Thirds, counted
              along the long {rail}s: aim at {thirdsWords(known, preset)}.
            </Text>
          );
        })}
      </section>
    </main>
  );
}

interface ApartTableProps {
  readonly title: string;
  readonly lines: readonly ApartLine[];
  readonly at: (metres: number | undefined) => string;
}

function ApartTable({ title, lines, at }: ApartTableProps) {
  return (
    <Table verticalSpacing={2} fz="sm" mt={6} captionSide="top">
      <Table.Caption>{title}</Table.Caption>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>balls apart</Table.Th>
          <Table.Th ta="right">equal angles</Table.Th>
          <Table.Th ta="right">soft</Table.Th>
          <Table.Th ta="right">firm</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {lines.map((line) => (
          <Table.Tr key={line.apart}>
            <Table.Td>{at(line.apart)}</Table.Td>
            <Table.Td ta="right">{at(line.equal)}</Table.Td>
            <Table.Td ta="right">{at(line.soft)}</Table.Td>
            <Table.Td ta="right">{at(line.firm)}</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}
