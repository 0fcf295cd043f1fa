import { Button, Group, SegmentedControl, Stack, Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { drillFromOrder } from '../../../core/drill/orderDrill.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { useViewer } from '../../api/viewer.ts';
import { useDraftDrill } from '../../controls/useDraftDrill.ts';
import { PLACE_SOURCES } from '../../planner/places/placeSources.ts';
import { CUE, shotToLink, shotWith } from '../../table/labShot.ts';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import { LabHead } from '../LabHead.tsx';
import { firstPosition } from '../labStart.ts';
import { WithTables } from '../WithTables.tsx';

/** A picture of a table, or what a camera over it sees, becomes a position: for the lab, the order of a clearance, or a drill. */
export function PhotoPage() {
  return <WithTables>{(tables) => <PhotoBench tables={tables} />}</WithTables>;
}

function PhotoBench({ tables }: { readonly tables: readonly ClubTable[] }) {
  const [params] = useSearchParams();
  const [chosen, setChosen] = useState(() => firstPosition(params, tables).chosen);
  const [balls, setBalls] = useState<readonly BallOnTable[]>([]);
  const viewer = useViewer();
  const sources = PLACE_SOURCES.filter(({ rule }) => viewer.rules[rule]);
  const [key, setKey] = useState<string>();
  const source = sources.find((each) => each.key === key) ?? sources[0];
  const { vocabulary } = useWords();
  const openDraft = useDraftDrill();
  const table = useMemo(
    () =>
      chosen === undefined
        ? firstPosition(new URLSearchParams(), []).shot.table
        : tableOfCard(chosen.card, chosen.conditions),
    [chosen],
  );
  const shot = shotToLink(shotWith(table, balls));
  const objects = balls.filter(({ id }) => id !== CUE);
  const makeDrill = () =>
    openDraft(
      `photo ${crypto.randomUUID()}`,
      drillFromOrder(
        {
          order: { kind: 'any' },
          conditions: [],
          table,
          balls: objects,
          cue: balls.find(({ id }) => id === CUE),
        },
        [],
        (pocket) => pocketWords(pocket, vocabulary),
      ),
    );
  return (
    <Stack gap="sm">
      <LabHead tables={tables} table={table} chosen={chosen} onChoose={setChosen} />
      <div className="photo-page">
        {source === undefined ? (
          <Text>
            The club wants neither pictures nor cameras at its tables. A coach can change that under Players,
            Coaches and club.
          </Text>
        ) : (
          <Stack gap="xs">
            {sources.length > 1 && (
              <SegmentedControl
                aria-label="Where the balls are read from"
                data={sources.map(({ key: value, label }) => ({ value, label }))}
                value={source.key}
                onChange={setKey}
              />
            )}
            <source.Reader key={`${source.key} ${table.preset.id}`} table={table} onBalls={setBalls} />
          </Stack>
        )}
        <Stack gap="xs">
          <TableDrawing table={table} label="The balls as they were read">
            <LyingBalls balls={balls} positions={undefined} selected="" />
          </TableDrawing>
          <Text size="sm" c="dimmed">
            {balls.length === 0
              ? 'The balls appear here as they are found.'
              : 'This is what goes on: compare it with the table.'}
          </Text>
          {objects.length > 0 && (
            <Group gap={8}>
              <Button component={Link} to={`/lab?shot=${shot}`}>
                To the stroke
              </Button>
              <Button component={Link} to={`/lab/position?shot=${shot}`} variant="default">
                Position
              </Button>
              <Button component={Link} to={`/lab/order?shot=${shot}`} variant="default">
                Order of the table
              </Button>
              {viewer.role === 'coach' && (
                <Button variant="default" onClick={() => void makeDrill()}>
                  Make a drill of it
                </Button>
              )}
            </Group>
          )}
        </Stack>
      </div>
    </Stack>
  );
}
