import { Button, Group, SegmentedControl, Stack, Text } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useReducer, useState, type KeyboardEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Point } from '../../../core/math/point.ts';
import type { Shot, ShotResult, Strike } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { Route } from '../../../core/planning/routes.ts';
import { executionErrorOf } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/tableCard.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { playersQuery, tablesQuery } from '../../api/queries.ts';
import { Loading } from '../../app/Loading.tsx';
import { UndoRedo } from '../../app/UndoRedo.tsx';
import { arrowStep } from '../../table/arrowStep.ts';
import { sumUp, type SpokenStroke } from '../../words/strokeWords.ts';
import { useWords } from '../../words/useWords.ts';
import { quickPlanner } from '../../workers/planner.ts';
import type { NoPicture, PlannedStroke, ShotPicture } from '../../workers/plannerProtocol.ts';
import { BallPanel } from '../BallPanel.tsx';
import { LabHead } from '../LabHead.tsx';
import { addBall, CUE, moveBall, onTable, removeBall, shotToLink } from '../labShot.ts';
import { labReducer, startLab, withStrike } from '../labState.ts';
import { firstPosition } from '../labStart.ts';
import { StrokeCaution } from '../StrokeCaution.tsx';
import { StrokePanel } from '../StrokePanel.tsx';
import { useLatest } from '../useLatest.ts';
import { BackwardPanel, useBackward } from './BackwardPanel.tsx';
import { FactsCard } from './FactsCard.tsx';
import { MoreAnswers } from './MoreAnswers.tsx';
import { PositionKey } from './PositionKey.tsx';
import { likeliestPot, questionOf, settingFrom, settingTo, type PositionSetting } from './positionSetting.ts';
import { DRAGS, PositionTable, type DragMode, type WantedLine } from './PositionTable.tsx';
import { QuestionCard } from './QuestionCard.tsx';
import { RouteTable } from './RouteTable.tsx';
import { useFittedPlayer } from './useFittedPlayer.ts';
import { useRoutes } from './useRoutes.ts';

/** How long a position has to stand before the long answers are asked for, ms. */
const STILL_MS = 350;
/** Executions of the cloud while a ball is moved. */
const ROUGH_CLOUD = 120;

/** Before the shot: what the cue ball will do, and what to ask of it. */
export function PositionPage() {
  const [params] = useSearchParams();
  const tables = useQuery(tablesQuery);
  if (tables.data === undefined && params.has('table'))
    return <Loading what="the table" error={tables.error} />;
  return <PositionLab tables={(tables.data ?? []).filter((table) => !table.archived)} />;
}

/** The address as it stands: what was drawn last may lag behind it. */
function currentAddress(): URLSearchParams {
  return new URLSearchParams(window.location.search);
}

/** The stroke with which the page opens: plain, at a middling pace. */
function opened(params: URLSearchParams, tables: readonly ClubTable[]) {
  const position = firstPosition(params, tables);
  if (params.has('shot')) return position;
  const strike = { ...position.shot.strike, tip: { side: 0, height: 0 }, speed: 1.8 };
  return { ...position, shot: { ...position.shot, strike } };
}

function PositionLab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const [state, dispatch] = useReducer(labReducer, undefined, () => startLab(opened(params, tables)));
  const { shot, selected, chosen } = state;
  const [pocketSide, setPocketSide] = useState(0);
  const [mode, setMode] = useState<DragMode>('Move balls');
  const [wanted, setWanted] = useState<Point>();
  const [line, setLine] = useState<WantedLine>();
  const [beside, setBeside] = useState<number>();
  const [shown, setShown] = useState<ShotResult>();
  const [player, setPlayer] = useState<string | null>(null);
  const players = useQuery(playersQuery);
  const { vocabulary } = useWords();

  const [guess] = useState(() => likeliestPot(shot));
  // What is asked does not change while a ball is moved: only which balls there are counts.
  const ids = shot.balls.map(({ id }) => id).join(' ');
  const setting = useMemo(() => settingFrom(params, ids.split(' '), guess), [params, ids, guess]);
  const objects = useMemo(() => ids.split(' ').filter((id) => id !== CUE), [ids]);
  const changeSetting = useCallback(
    (part: Partial<PositionSetting>) => {
      void navigate({ search: settingTo(currentAddress(), part).toString() }, { replace: true });
    },
    [navigate],
  );
  const level = executionErrorOf(setting.level, shot.table.preset.game);
  const { fitted, pending } = useFittedPlayer(player, shot.table.preset.game, level);
  const room = chosen?.card.room ?? null;
  const question = questionOf(shot, setting, room, fitted?.error);
  const stroke: PlannedStroke = {
    speed: shot.strike.speed,
    tip: shot.strike.tip,
    elevation: shot.strike.elevation,
    pocketSide,
  };
  const enough = shot.balls.length > 2;
  const key = JSON.stringify([question, stroke]);
  const [settled] = useDebouncedValue(key, STILL_MS);
  const still = settled === key && enough;
  const rough = useLatest<ShotPicture | NoPicture>(enough ? key : undefined, async () =>
    quickPlanner().picture(question, stroke, true),
  );
  const exact = useLatest<ShotPicture | NoPicture>(still ? key : undefined, async () =>
    quickPlanner().picture(question, stroke, false),
  );
  const quickCloud = useLatest(enough ? key : undefined, () =>
    quickPlanner().cloud(question, stroke, ROUGH_CLOUD),
  );
  const outlook = useLatest(still ? key : undefined, () => quickPlanner().outlook(question, stroke));
  const seen = exact.current ? exact.answer : rough.answer;
  const picture = seen?.kind === 'pots' ? seen : undefined;
  const cloud = outlook.current ? outlook.answer?.cloud : quickCloud.answer;

  const positionKey = JSON.stringify([question, mode === 'Wanted landing' ? wanted : null]);
  const [settledPosition] = useDebouncedValue(positionKey, STILL_MS);
  const to = mode === 'Wanted landing' ? (wanted ?? null) : null;
  const routes = useRoutes(settledPosition === positionKey && enough ? positionKey : undefined, question, to);
  const backward = useBackward(question);

  function change(next: Shot, sameStep = false) {
    setBeside(undefined);
    setShown(undefined);
    dispatch({ kind: 'change', shot: next, sameStep });
  }

  function changeStroke(part: Partial<Strike>, sameStep: boolean) {
    setPocketSide(0);
    change(withStrike(shot, part), sameStep);
  }

  const take = useCallback(({ strike, pocketSide: side }: Route) => {
    setPocketSide(side);
    dispatch({ kind: 'stroke', part: strike });
  }, []);

  const ball = shot.balls.find((each) => each.id === selected);
  function onKey(event: KeyboardEvent) {
    const step = ball && arrowStep(event, ball, shot.table.length);
    const route = routes.search?.routes[Number(event.key) - 1];
    if (step !== undefined && ball !== undefined) change(moveBall(shot, ball.id, step));
    else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z')
      dispatch({ kind: event.shiftKey ? 'redo' : 'undo' });
    else if (event.key === 'n') {
      const at = shot.balls.findIndex((each) => each.id === selected);
      dispatch({ kind: 'select', id: shot.balls[(at + 1) % shot.balls.length]?.id ?? CUE });
    } else if (route !== undefined) take(route);
    else return;
    event.preventDefault();
  }

  const found = routes.search?.routes ?? [];
  const compared = beside === undefined ? undefined : found[beside];
  const comparedResult = useMemo(
    () => compared && simulate({ ...shot, strike: compared.strike }, { paths: true }),
    [compared, shot],
  );
  const spoken = (route: Route): SpokenStroke => ({
    tip: route.strike.tip,
    kind: route.side,
    cushions: route.cushions.length,
    pace: route.pace,
    on: route.assessment.on.share,
  });
  const [best, second] = found;
  const sentence =
    best === undefined || to !== null
      ? undefined
      : sumUp(spoken(best), second && spoken(second), setting.next, vocabulary);

  return (
    <div className="lab">
      <Stack gap={8}>
        <LabHead
          tables={tables}
          table={shot.table}
          chosen={chosen}
          onChoose={(next) =>
            dispatch({
              kind: 'set up',
              position: { shot: onTable(shot, tableOfCard(next.card, next.conditions)), chosen: next },
            })
          }
        />
        <Group justify="space-between">
          <SegmentedControl
            size="xs"
            aria-label="What a drag does"
            data={[...DRAGS]}
            value={mode}
            onChange={(value) => setMode(DRAGS.find((each) => each === value) ?? 'Move balls')}
          />
          <Group gap={6}>
            <UndoRedo
              past={state.past}
              future={state.future}
              onUndo={() => dispatch({ kind: 'undo' })}
              onRedo={() => dispatch({ kind: 'redo' })}
            />
            <Button
              size="xs"
              variant="default"
              onClick={() => {
                const now = currentAddress();
                const next = settingTo(now, settingFrom(now, ids.split(' '), guess));
                next.set('shot', shotToLink(shot));
                setParams(next, { replace: true });
              }}
            >
              Link
            </Button>
          </Group>
        </Group>
        <PositionTable
          shot={shot}
          picture={picture}
          cloud={cloud}
          confidence={question.confidence}
          compared={comparedResult?.paths?.find(({ id }) => id === CUE)}
          duration={comparedResult?.duration ?? 0}
          shown={shown}
          wanted={to ?? undefined}
          line={mode === 'Wanted line' ? line : undefined}
          map={mode === 'Move balls' ? undefined : backward.map}
          mode={mode}
          selected={selected}
          onSelect={(id) => dispatch({ kind: 'select', id })}
          onMove={(id, place, sameStep) => change(moveBall(shot, id, place), sameStep)}
          onWanted={(place, done) => {
            setWanted(place);
            if (done) backward.ask({ kind: 'place', at: place, room: 0.25 });
          }}
          onLine={(next, done) => {
            setLine(next);
            if (done) backward.ask({ kind: 'line', ...next, room: 0.12 });
          }}
          onKey={onKey}
        />
        {mode === 'Move balls' ? (
          <PositionKey />
        ) : (
          <BackwardPanel backward={backward} shot={shot} setting={setting} />
        )}
        <StrokeCaution
          strike={{
            speed: stroke.speed,
            elevation: Math.max(stroke.elevation, picture?.cueing.elevation ?? 0),
          }}
          leaves={picture?.result.rest.some(({ offTable }) => offTable) ?? false}
        />
        {sentence !== undefined && (
          <Text className="summary" data-testid="summary">
            {sentence}
          </Text>
        )}
        <RouteTable
          found={routes}
          compared={beside}
          title={to === null ? 'Routes to the next ball' : 'Strokes to the wanted landing'}
          onTake={take}
          onCompare={setBeside}
        />
        <MoreAnswers question={question} stroke={stroke} shot={shot} onShow={setShown} />
      </Stack>
      <div className="lab-side">
        <QuestionCard
          setting={setting}
          balls={objects}
          players={players.data}
          player={player}
          onPlayer={setPlayer}
          onChange={changeSetting}
        />
        {player !== null && (
          <Text size="xs" role="status">
            {fitted === undefined
              ? pending
                ? 'Fitting the player’s errors…'
                : 'No rounds of position drills in this game tell about this player yet: the level counts.'
              : `Fitted from ${fitted.shots} shots: line ±${fitted.error.directionDeg.toFixed(2)}°, pace ±${(100 * fitted.error.speed).toFixed(0)} %, tip ±${fitted.error.tip.toFixed(2)} R.`}
          </Text>
        )}
        <FactsCard picture={seen} outlook={outlook.current ? outlook.answer : undefined} />
        <StrokePanel
          strike={{ speed: stroke.speed, tip: stroke.tip, elevation: stroke.elevation }}
          onChange={changeStroke}
        />
        <BallPanel
          shot={shot}
          selected={selected}
          onSelect={(id) => dispatch({ kind: 'select', id })}
          onMove={(id, place) => change(moveBall(shot, id, place))}
          onAdd={(id) => change(addBall(shot, id))}
          onRemove={(id) => change(removeBall(shot, id))}
        />
      </div>
    </div>
  );
}
