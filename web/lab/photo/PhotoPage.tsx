import { Button, Group, Stack, Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { drillFromOrder } from '../../../core/drill/orderDrill.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { useViewer } from '../../api/viewer.ts';
import { useDraftDrill } from '../../controls/useDraftDrill.ts';
import { PhotoReader } from '../../planner/photo/PhotoReader.tsx';
import { CUE, shotToLink, shotWith } from '../../table/labShot.ts';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import { LabHead } from '../LabHead.tsx';
import { firstPosition } from '../labStart.ts';
import { WithTables } from '../WithTables.tsx';

/** A picture of a table becomes a position: for the lab, the order of a clearance, or a drill. */
export function PhotoPage() {
  return <WithTables>{(tables) => <PhotoBench tables={tables} />}</WithTables>;
}

function PhotoBench({ tables }: { readonly tables: readonly ClubTable[] }) {
  const [params] = useSearchParams();
  const [chosen, setChosen] = useState(() => firstPosition(params, tables).chosen);
  const [balls, setBalls] = useState<readonly BallOnTable[]>([]);
  const viewer = useViewer();
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
        {viewer.rules.pictures ? (
          <PhotoReader key={table.preset.id} table={table} onBalls={setBalls} />
        ) : (
          <Text>
            The club wants no pictures of its tables. A coach can change that under Players, Coaches and club.
          </Text>
        )}
        <Stack gap="xs">
          <TableDrawing table={table} label="The balls as the picture has them">
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
