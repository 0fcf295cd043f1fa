import { Alert, Anchor, Button, Group, Progress, Select, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { guidedShots } from '../../../core/calibration/guidedShots.ts';
import { axisOfReading } from '../../../core/calibration/reading.ts';
import type { Unknown } from '../../../core/calibration/unknowns.ts';
import type { Point } from '../../../core/math/point.ts';
import { placeFrom } from '../../../core/motion/marks.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import { LEVEL_NAMES } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { call } from '../../api/client.ts';
import { cuesQuery } from '../../api/cues.ts';
import { tablesQuery } from '../../api/tables.ts';
import { useViewer } from '../../api/viewer.ts';
import { NoSuchPage } from '../../app/Failure.tsx';
import { Loading } from '../../controls/Loading.tsx';
import { useKept } from '../../controls/useKept.ts';
import { soundIn } from '../../planner/soundIn.ts';
import { useOneRun } from '../../planner/useOneRun.ts';
import { CUE } from '../../table/labShot.ts';
import { LineKey } from '../../table/LineKey.tsx';
import { AimMark, PathMark } from '../../table/marks.tsx';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { asPlayed, currentState } from '../../table/tableChoice.ts';
import { todayInClub } from '../../words/clubTime.ts';
import { percent } from '../../words/units.ts';
import { calibrationOf, timesFrom } from '../../workers/calibration.ts';
import type { Calibrated } from '../../workers/calibrationProtocol.ts';
import { valueWords } from '../cardWords.ts';
import { shotTitle } from './calibrationWords.ts';
import { NOTHING_READ, playedOf, readDraft, readOf, withReadings, type Entered } from './calibrationDraft.ts';
import { FoundCard } from './FoundCard.tsx';
import { cardWith, keptOf, type FoundValue } from './foundValues.ts';
import { PocketsCard } from './PocketsCard.tsx';
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
  const [id] = useState(() => crypto.randomUUID());
  const cues = useQuery(cuesQuery);
  const shot = guided[number];
  const read = playedOf(draft);
  const asked = { on, level: draft.level, read };
  const run = useOneRun<Calibrated>(JSON.stringify(asked), (onShare) => calibrationOf(asked, onShare));
  const taking = useMutation({
    mutationFn: async (found: readonly FoundValue[]) => {
      const { card, revision } = table.state;
      const source = `calibrated ${todayInClub()}, ${String(read.length)} guided shots`;
      const leftOut = run.answer?.leftOut ?? null;
      await call('PUT', `/tables/${table.id}/calibrations/${id}`, {
        document: { level: draft.level, read, found: found.map(keptOf), leftOut },
        card: cardWith(card, found, source),
        basedOn: revision,
      });
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
      await queries.invalidateQueries({ queryKey: cuesQuery.queryKey });
      keep(undefined);
      await navigate(`/hall/${table.id}`);
    },
  });
  if (shot === undefined) return null;
  const times = readOf(draft, shot);
  const result = simulate(shot.shot, { paths: true });
  const cue = shot.shot.balls.find(({ id }) => id === CUE);
  const put = (cell: readonly [number, number], value: number | null) =>
    keep(withReadings(draft, shot, [{ cell, value }], false));
  const putHeard = (time: number, heard: readonly (number | undefined)[]) =>
    keep(
      withReadings(
        draft,
        shot,
        heard.flatMap((value, i): Entered[] => (value === undefined ? [] : [{ cell: [time, i], value }])),
        true,
      ),
    );
  const nameOf = ({ name, cue: whose }: Unknown) => {
    const title = valueWords(name).title;
    const own = whose === undefined ? undefined : cues.data?.find(({ id }) => id === whose);
    return own === undefined ? title : `${title} (${own.document.name})`;
  };
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
            A quarter of an hour with a ball, a tape, and a watch or a recording. Leave out any shot; three
            times each tell most. What you enter stays on this device until the card takes it.
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
          <Select
            label="With which cue"
            w={170}
            placeholder="not said"
            clearable
            data={(cues.data ?? [])
              .filter(({ archived }) => !archived)
              .map((each) => ({ value: each.id, label: each.document.name }))}
            value={draft.cue}
            onChange={(value) => keep({ ...draft, cue: value })}
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
          key={`${shot.id} ${draft.cue ?? ''}`}
          guided={shot}
          times={times}
          number={number + 1}
          count={guided.length}
          onRead={put}
          onHear={async (file) => timesFrom(on, shot.id, await soundIn(file))}
          onHeard={putHeard}
          onStep={(by) => setNumber(Math.max(0, Math.min(guided.length - 1, number + by)))}
        />
      </div>
      {run.answer !== undefined && (
        <FoundCard
          nameOf={nameOf}
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
      <PocketsCard table={table} on={on} built={built} level={draft.level} />
    </Stack>
  );
}
