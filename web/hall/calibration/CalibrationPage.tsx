import { Alert, Anchor, Button, Group, Progress, Select, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { guidedShots } from '../../../core/calibration/guidedShots.ts';
import { axisOfReading } from '../../../core/calibration/reading.ts';
import type { Point } from '../../../core/math/point.ts';
import { placeFrom } from '../../../core/motion/marks.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import { LEVEL_NAMES } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { call } from '../../api/client.ts';
import { tablesQuery } from '../../api/tables.ts';
import { useViewer } from '../../api/viewer.ts';
import { NoSuchPage } from '../../app/Failure.tsx';
import { Loading } from '../../controls/Loading.tsx';
import { useKept } from '../../controls/useKept.ts';
import { useOneRun } from '../../planner/useOneRun.ts';
import { CUE } from '../../table/labShot.ts';
import { LineKey } from '../../table/LineKey.tsx';
import { AimMark, PathMark } from '../../table/marks.tsx';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { asPlayed, currentState } from '../../table/tableChoice.ts';
import { todayInClub } from '../../words/clubTime.ts';
import { percent } from '../../words/units.ts';
import { calibrationOf } from '../../workers/calibration.ts';
import type { Calibrated } from '../../workers/calibrationProtocol.ts';
import { shotTitle } from './calibrationWords.ts';
import { NOTHING_READ, playedOf, readDraft, readOf, withReading } from './calibrationDraft.ts';
import { FoundCard } from './FoundCard.tsx';
import { cardWith, type FoundValue } from './foundValues.ts';
import { firstEmpty, ShotCard } from './ShotCard.tsx';

/** How far the line of the stroke is drawn, metres. */
const LINE = 0.5;

/** A quarter of an hour with a ball, a tape and a watch: guided shots that tell how a table really plays. */
export function CalibrationPage() {
  const { id = '' } = useParams();
  const viewer = useViewer();
  const tables = useQuery(tablesQuery);
  if (tables.data === undefined) return <Loading what="the table" error={tables.error} />;
  const table = tables.data.find((each) => each.id === id);
  if (table === undefined || viewer.role !== 'coach') return <NoSuchPage />;
  return <Calibration key={table.id} table={table} />;
}

function Calibration({ table }: { readonly table: ClubTable }) {
  const viewer = useViewer();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [now] = useState(() => Date.now());
  const on = useMemo(() => asPlayed(currentState(table, now)), [table, now]);
  const built = useMemo(() => tableOfCard(on.card, on.conditions), [on]);
  const guided = useMemo(() => guidedShots(built), [built]);
  const [kept, keep] = useKept(`jolly-calibration:${viewer.id}:${table.id}`, readDraft);
  const draft = kept ?? NOTHING_READ;
  const [number, setNumber] = useState(0);
  const shot = guided[number];
  const read = playedOf(draft);
  const asked = { on, level: draft.level, read };
  const run = useOneRun<Calibrated>(JSON.stringify(asked), (onShare) => calibrationOf(asked, onShare));
  const taking = useMutation({
    mutationFn: async (found: readonly FoundValue[]) => {
      const { card, revision } = table.state;
      const source = `calibrated ${todayInClub()}, ${String(read.length)} guided shots`;
      await call('PUT', `/tables/${table.id}`, {
        name: table.name,
        archived: table.archived,
        card: cardWith(card, found, source),
        basedOn: revision,
      });
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
      keep(undefined);
      await navigate(`/hall/${table.id}`);
    },
  });
  if (shot === undefined) return null;
  const times = readOf(draft, shot);
  const result = simulate(shot.shot, { paths: true });
  const cue = shot.shot.balls.find(({ id }) => id === CUE);
  const put = (cell: readonly [number, number], value: number | null) =>
    keep(withReading(draft, shot, cell, value));
  const titleOf = (id: string) => {
    const named = guided.find((each) => each.id === id);
    return named === undefined ? id : shotTitle(named);
  };
  /** A tap tells a place: the next one that is still empty. */
  const tapped = (place: Point) => {
    const axisOf = (i: number) => {
      const reading = shot.readings[i];
      return reading && axisOfReading(reading);
    };
    const cell = firstEmpty(times, (i) => axisOf(i) !== undefined);
    const axis = cell && axisOf(cell[1]);
    if (cell !== undefined && axis !== undefined) put(cell, Number(place[axis].toFixed(3)));
  };
  return (
    <Stack gap="sm">
      <Group justify="space-between" align="end">
        <div>
          <Anchor component={Link} to={`/hall/${table.id}`} size="sm" underline="always">
            {table.name}
          </Anchor>
          <Title order={1}>Calibrate the table</Title>
          <Text c="dimmed">
            A quarter of an hour with a ball, a tape and a watch. Leave out any shot; three times each tell
            most. What you enter stays on this device.
          </Text>
        </div>
        <Group gap={8} align="end">
          <Select
            label="Who plays"
            w={150}
            allowDeselect={false}
            data={LEVEL_NAMES.map((level) => ({ value: level, label: level }))}
            value={draft.level}
            onChange={(value) => {
              const level = LEVEL_NAMES.find((each) => each === value);
              if (level !== undefined) keep({ ...draft, level });
            }}
          />
          <Button variant="default" disabled={kept === undefined} onClick={() => keep(undefined)}>
            Start over
          </Button>
          {run.isRunning ? (
            <Button variant="default" onClick={run.stop}>
              Stop
            </Button>
          ) : (
            <Button disabled={read.length === 0} onClick={run.start}>
              Work it out
            </Button>
          )}
        </Group>
      </Group>
      {run.isRunning && <Progress value={100 * run.share} aria-label={`Worked out: ${percent(run.share)}`} />}
      {run.failed !== undefined && (
        <Alert color="coral" variant="outline" p="xs" role="alert">
          {run.failed}
        </Alert>
      )}
      <div className="table-page">
        <Stack gap="xs">
          <TableDrawing table={built} label="The guided shot" onTap={tapped}>
            {result.paths?.map((path) => (
              <PathMark
                key={path.id}
                path={path}
                duration={result.duration}
                kind={path.id === CUE ? 'cue' : 'object'}
              />
            ))}
            {cue !== undefined && (
              <AimMark from={cue} to={placeFrom(cue, shot.shot.strike.direction, LINE)} />
            )}
            <LyingBalls balls={shot.shot.balls} positions={undefined} selected="" />
          </TableDrawing>
          <LineKey cueBall="as the card has it" objectBall aim="the cue" />
          <Text size="sm" c="dimmed">
            Shots that were read: {read.length} of {guided.length}. Tap the table to tell a place by eye, or
            type what the tape says.
          </Text>
        </Stack>
        <ShotCard
          key={shot.id}
          guided={shot}
          times={times}
          number={number + 1}
          count={guided.length}
          onRead={put}
          onStep={(by) => setNumber(Math.max(0, Math.min(guided.length - 1, number + by)))}
        />
      </div>
      {run.answer !== undefined && (
        <FoundCard
          preset={built.preset}
          calibrated={run.answer}
          titleOf={titleOf}
          onShot={(id) =>
            setNumber(
              Math.max(
                0,
                guided.findIndex((each) => each.id === id),
              ),
            )
          }
          busy={taking.isPending}
          failed={taking.error?.message}
          onTake={(found) => taking.mutate(found)}
        />
      )}
    </Stack>
  );
}
