import { longLength } from '../../words/lengths.ts';
import { useAddress } from '../../controls/useAddress.ts';
import { Alert, Button, Group, Modal, Stack, Text, Title } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useReducer, type KeyboardEvent } from 'react';
import { useSearchParams } from 'react-router';
import { toRadians, wrapAngle } from '../../../core/math/angle.ts';
import { marksOf } from '../../../core/motion/marks.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { CUE_REACH } from '../../../core/table/room.ts';
import { tablesQuery } from '../../api/tables.ts';
import { KeyCap } from '../../controls/KeyCap.tsx';
import { Loading } from '../../controls/Loading.tsx';
import { UndoRedo } from '../../controls/UndoRedo.tsx';
import { BallPanel } from '../BallPanel.tsx';
import { addBall, moveBall, onTable, removeBall, shotToLink } from '../../table/labShot.ts';
import { withParameters, withStrike, type ChosenTable } from '../labState.ts';
import { startStroke, strokeReducer } from './strokeState.ts';
import { LabHead } from '../LabHead.tsx';
import { firstPosition, roomFor } from '../labStart.ts';
import { LabTable } from './LabTable.tsx';
import { eventTime, ReplayBar } from '../../controls/ReplayBar.tsx';
import { StrokeCaution } from '../../planner/StrokeCaution.tsx';
import { StrokePanel } from '../../planner/StrokePanel.tsx';
import { EventList } from './EventList.tsx';
import { ShotFileForm } from './ShotFileForm.tsx';
import { arrowStep } from '../../table/arrowStep.ts';
import { useReplay } from '../../table/replay.ts';
import { LineKey } from '../../table/LineKey.tsx';

/** What the bed gives back when balls may leave it. */
const LIVELY_BED = 0.5;
/** A table to try a shot on: set the balls, set the stroke, see what it does and why. */
export function LabPage() {
  const [params] = useSearchParams();
  const tables = useQuery(tablesQuery);
  // The lab works without the hall, unless the address names one of its tables.
  if (tables.data === undefined && params.has('table'))
    return <Loading what="the table" error={tables.error} />;
  return <Lab tables={(tables.data ?? []).filter((table) => !table.archived)} />;
}

function Lab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const { params, set } = useAddress();
  const [state, dispatch] = useReducer(strokeReducer, undefined, () =>
    startStroke(firstPosition(params, tables)),
  );
  const { steps, kept, selected } = state;
  const { shot, chosen } = steps.present;
  const result = useMemo(() => simulate(shot, { paths: true }), [shot]);
  const keptResult = useMemo(
    () => (kept === undefined ? undefined : simulate({ ...shot, strike: kept }, { paths: true })),
    [shot, kept],
  );
  const marks = useMemo(() => marksOf(result, shot.table), [result, shot.table]);
  const replay = useReplay(result.duration);
  const [file, fileDialog] = useDisclosure(false);

  function change(next: Shot, sameStep = false) {
    replay.reset();
    dispatch({ kind: 'change', shot: next, sameStep });
  }

  function setUp(next: ChosenTable) {
    replay.reset();
    const table = tableOfCard(next.card, next.conditions);
    dispatch({ kind: 'set up', position: { shot: onTable(shot, table), chosen: next } });
  }

  const ball = shot.balls.find((each) => each.id === selected);
  function step(kind: 'undo' | 'redo') {
    replay.reset();
    dispatch({ kind });
  }
  function key(event: KeyboardEvent) {
    const to = ball && arrowStep(event, ball, shot.table.length);
    if (to !== undefined && ball !== undefined) {
      change(moveBall(shot, ball.id, to));
      event.preventDefault();
      return;
    }
    if (event.ctrlKey || event.metaKey) return;
    const turn = (by: number) =>
      change(withStrike(shot, { direction: wrapAngle(shot.strike.direction + toRadians(by)) }));
    const pace = (by: number) =>
      change(withStrike(shot, { speed: Math.min(10, Math.max(0.2, shot.strike.speed + by)) }));
    const action = {
      p: () => (replay.playing() ? replay.pause() : replay.play()),
      n: () => {
        const next =
          shot.balls[(shot.balls.findIndex((each) => each.id === selected) + 1) % shot.balls.length];
        if (next !== undefined) dispatch({ kind: 'select', id: next.id });
      },
      k: () => dispatch({ kind: 'keep' }),
      '[': () => turn(event.altKey ? 0.01 : 0.1),
      ']': () => turn(event.altKey ? -0.01 : -0.1),
      '+': () => pace(0.05),
      '-': () => pace(-0.05),
      '.': () => replay.seek(eventTime(marks, replay.time() ?? 0, true) ?? result.duration),
      ',': () => replay.seek(eventTime(marks, replay.time() ?? 0, false) ?? 0),
    }[event.key];
    if (action === undefined) return;
    event.preventDefault();
    action();
  }

  const room = roomFor(steps.present);
  const leaves = result.events.some((event) => event.kind === 'off-table');
  return (
    <div className="lab">
      <Stack gap={8}>
        <LabHead
          tables={tables}
          table={shot.table}
          chosen={chosen}
          onChoose={setUp}
          onHop={(hop) => change(withParameters(shot, { bedRestitution: hop ? LIVELY_BED : 0 }))}
        />
        <LabTable
          shot={shot}
          result={result}
          marks={marks}
          keptResult={keptResult}
          selected={selected}
          replay={replay}
          onSelect={(id) => {
            replay.reset();
            dispatch({ kind: 'select', id });
          }}
          onMove={(id, to, sameStep) => change(moveBall(shot, id, to), sameStep)}
          onAim={(direction, sameStep) => change(withStrike(shot, { direction }), sameStep)}
          onKey={key}
        />
        <ReplayBar replay={replay} duration={result.duration} marks={marks} />
        <LineKey cueBall objectBall contact aim kept={keptResult !== undefined} />
        <StrokeCaution strike={shot.strike} leaves={leaves} />
        {room < CUE_REACH && (
          <Alert color="gold" variant="outline" p="xs">
            Only {longLength(room, 2)} behind the cue ball, a full cue needs {longLength(CUE_REACH, 2)}: a
            short cue, or a raised butt.
          </Alert>
        )}
        <section className="card" aria-labelledby="events-title">
          <Title order={2} size="h4" id="events-title">
            What happens
          </Title>
          <EventList marks={marks} replay={replay} />
        </section>
      </Stack>
      <div className="lab-side">
        <Group gap={6}>
          <UndoRedo
            past={steps.past}
            future={steps.future}
            onUndo={() => step('undo')}
            onRedo={() => step('redo')}
          />
          <Button
            size="xs"
            variant="default"
            onClick={() => dispatch({ kind: kept === undefined ? 'keep' : 'drop kept' })}
          >
            {kept === undefined ? 'Keep to compare' : 'Drop the kept'}
          </Button>
          <Button size="xs" variant="default" onClick={() => set({ shot: shotToLink(shot), table: null })}>
            Link
          </Button>
          <Button size="xs" variant="default" onClick={fileDialog.open}>
            File
          </Button>
        </Group>
        <StrokePanel
          strike={shot.strike}
          onChange={(part, sameStep) => change(withStrike(shot, part), sameStep)}
        />
        <BallPanel
          shot={shot}
          selected={selected}
          onSelect={(id) => dispatch({ kind: 'select', id })}
          onMove={(id, to) => change(moveBall(shot, id, to))}
          onAdd={(id) => change(addBall(shot, id))}
          onRemove={(id) => change(removeBall(shot, id))}
        />
        <Text size="sm" c="dimmed">
          Drag a ball, or drag on the cloth to aim. With the table in focus: arrows move the ball in hand
          (Shift by more, Alt by a hair), <KeyCap>N</KeyCap> next ball, <KeyCap>[</KeyCap> <KeyCap>]</KeyCap>{' '}
          turn the aim, <KeyCap>+</KeyCap> <KeyCap>-</KeyCap> pace, <KeyCap>.</KeyCap> <KeyCap>,</KeyCap>{' '}
          events, <KeyCap>K</KeyCap> keep to compare.
        </Text>
      </div>
      <Modal
        opened={file}
        onClose={fileDialog.close}
        title="Shot file"
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        <ShotFileForm
          shot={shot}
          onRead={(read) => {
            replay.reset();
            dispatch({ kind: 'set up', position: { shot: read, chosen: undefined } });
            fileDialog.close();
          }}
        />
      </Modal>
    </div>
  );
}
