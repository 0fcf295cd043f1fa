import { Stack, Text } from '@mantine/core';
import { useCallbackRef, useDebouncedValue } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useMemo, useReducer, useState, type KeyboardEvent } from 'react';
import { useSearchParams } from 'react-router';
import { useAddress } from '../../controls/useAddress.ts';
import type { Point } from '../../../core/math/point.ts';
import type { Shot, ShotResult, Strike } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { Route } from '../../../core/planning/routes.ts';
import { executionErrorOf } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { playersQuery } from '../../api/players.ts';
import { tablesQuery } from '../../api/tables.ts';
import { Loading } from '../../controls/Loading.tsx';
import { arrowStep } from '../../table/arrowStep.ts';
import { sumUp, type SpokenStroke } from '../../words/strokeWords.ts';
import { useWords } from '../../words/useWords.ts';
import type { PlannedStroke } from '../../../core/planning/position/question.ts';
import { BallPanel } from '../BallPanel.tsx';
import { fittedWords } from '../../words/playerWords.ts';
import { LabHead } from '../LabHead.tsx';
import { addBall, CUE, moveBall, onTable, removeBall, shotToLink } from '../../table/labShot.ts';
import type { ChosenTable } from '../labState.ts';
import { firstPosition } from '../labStart.ts';
import { StrokeCaution } from '../../planner/StrokeCaution.tsx';
import { StrokePanel } from '../../planner/StrokePanel.tsx';
import { BackwardPanel, useBackward } from './BackwardPanel.tsx';
import { FactsCard } from './FactsCard.tsx';
import { MoreAnswers } from './MoreAnswers.tsx';
import { PositionKey } from './PositionKey.tsx';
import {
  likeliestPot,
  questionOf,
  settingFrom,
  settingTo,
  type PositionSetting,
} from '../../planner/positionSetting.ts';
import { positionReducer, startPosition, type DragMode, type WantedLine } from './positionState.ts';
import { PositionTable } from './PositionTable.tsx';
import { PositionTools } from './PositionTools.tsx';
import { QuestionCard } from './QuestionCard.tsx';
import { RouteTable } from './RouteTable.tsx';
import { useFittedPlayer } from '../../planner/useFittedPlayer.ts';
import { STILL_MS, usePictures } from '../../planner/usePictures.ts';
import { useRoutes } from '../../planner/useRoutes.ts';

/** Before the shot: what the cue ball will do, and what to ask of it. */
export function PositionPage() {
  const [params] = useSearchParams();
  const tables = useQuery(tablesQuery);
  if (tables.data === undefined && params.has('table'))
    return <Loading what="the table" error={tables.error} />;
  return <PositionLab tables={(tables.data ?? []).filter((table) => !table.archived)} />;
}

/** The stroke with which the page opens: plain, at a middling pace. */
function opened(params: URLSearchParams, tables: readonly ClubTable[]) {
  const position = firstPosition(params, tables);
  if (params.has('shot')) return position;
  const strike = { ...position.shot.strike, tip: { side: 0, height: 0 }, speed: 1.8 };
  return { ...position, shot: { ...position.shot, strike } };
}

function PositionLab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const { params, change: changeAddress } = useAddress();
  const [state, dispatch] = useReducer(positionReducer, undefined, () =>
    startPosition(opened(params, tables)),
  );
  const { steps, selected, mode, wanted, line, beside, shown } = state;
  const { shot, chosen, pocketSide } = steps.present;
  const [player, setPlayer] = useState<string | null>(null);
  const players = useQuery(playersQuery);
  const { vocabulary } = useWords();

  const [guess] = useState(() => likeliestPot(shot));
  // What is asked does not change while a ball is moved: only which balls there are counts.
  const ids = shot.balls.map(({ id }) => id).join(' ');
  const setting = useMemo(() => settingFrom(params, ids.split(' '), guess), [params, ids, guess]);
  const objects = useMemo(() => ids.split(' ').filter((id) => id !== CUE), [ids]);
  const changeSetting = useCallback(
    (part: Partial<PositionSetting>) => changeAddress((now) => settingTo(now, part)),
    [changeAddress],
  );
  const pockets = useMemo(
    () => (setting.nextPocket === null ? [setting.pocket] : [setting.pocket, setting.nextPocket]),
    [setting],
  );
  const level = executionErrorOf(setting.level, shot.table.preset.game);
  const { fitted, pending } = useFittedPlayer(player, shot.table.preset.game, level);
  const room = chosen?.card.room ?? null;
  const question = useMemo(
    () => questionOf(shot, setting, room, fitted?.error),
    [shot, setting, room, fitted?.error],
  );
  const { speed, tip, elevation } = shot.strike;
  const stroke: PlannedStroke = useMemo(
    () => ({ speed, tip, elevation, pocketSide }),
    [speed, tip, elevation, pocketSide],
  );
  const enough = shot.balls.length > 2;
  const { seen, picture, outlook, cloud } = usePictures(question, stroke, enough);

  const positionKey = JSON.stringify([question, mode === 'Wanted landing' ? wanted : null]);
  const [settledPosition] = useDebouncedValue(positionKey, STILL_MS);
  const to = mode === 'Wanted landing' ? (wanted ?? null) : null;
  const routes = useRoutes(settledPosition === positionKey && enough ? positionKey : undefined, question, to);
  const backward = useBackward(JSON.stringify(question), question);

  // What stands beside the table is drawn when there is time, by callbacks that stay the same.
  const calmShot = useDeferredValue(shot);
  const calmQuestion = useDeferredValue(question);
  const calmSeen = useDeferredValue(seen);
  const change = useCallback(
    (next: Shot, sameStep?: boolean) => dispatch({ kind: 'change', shot: next, sameStep: sameStep ?? false }),
    [],
  );
  const changeStroke = useCallback(
    (part: Partial<Strike>, sameStep: boolean) => dispatch({ kind: 'stroke', part, pocketSide: 0, sameStep }),
    [],
  );
  const chooseTable = useCallbackRef((next: ChosenTable) =>
    dispatch({
      kind: 'set up',
      position: { shot: onTable(shot, tableOfCard(next.card, next.conditions)), chosen: next },
    }),
  );
  const select = useCallback((id: string) => dispatch({ kind: 'select', id }), []);
  const move = useCallbackRef((id: string, place: Point, sameStep?: boolean) =>
    change(moveBall(shot, id, place), sameStep),
  );
  const add = useCallbackRef((id: string) => change(addBall(shot, id)));
  const remove = useCallbackRef((id: string) => change(removeBall(shot, id)));
  const undo = useCallback(() => dispatch({ kind: 'undo' }), []);
  const redo = useCallback(() => dispatch({ kind: 'redo' }), []);
  const link = useCallbackRef(() =>
    changeAddress((now) => {
      const next = settingTo(now, settingFrom(now, ids.split(' '), guess));
      next.set('shot', shotToLink(shot));
      return next;
    }),
  );
  const wantPlace = useCallbackRef((place: Point, done: boolean) => {
    dispatch({ kind: 'want', place });
    if (done) backward.ask({ kind: 'place', at: place, room: 0.25 });
  });
  const wantLine = useCallbackRef((next: WantedLine, done: boolean) => {
    dispatch({ kind: 'line', line: next });
    if (done) backward.ask({ kind: 'line', ...next, room: 0.12 });
  });

  const take = useCallback(({ strike, pocketSide: side }: Route) => {
    dispatch({ kind: 'stroke', part: strike, pocketSide: side });
  }, []);
  const setMode = useCallback((next: DragMode) => dispatch({ kind: 'mode', mode: next }), []);
  const setBeside = useCallback((route: number | undefined) => dispatch({ kind: 'beside', route }), []);
  const setShown = useCallback((result: ShotResult | undefined) => dispatch({ kind: 'show', result }), []);

  const ball = shot.balls.find((each) => each.id === selected);
  const onKey = useCallbackRef((event: KeyboardEvent) => {
    const step = ball && arrowStep(event, ball, shot.table.length);
    const route = routes.current ? routes.search?.routes[Number(event.key) - 1] : undefined;
    if (step !== undefined && ball !== undefined) change(moveBall(shot, ball.id, step));
    else if (event.ctrlKey || event.metaKey) return;
    else if (event.key === 'n') {
      const at = shot.balls.findIndex((each) => each.id === selected);
      dispatch({ kind: 'select', id: shot.balls[(at + 1) % shot.balls.length]?.id ?? CUE });
    } else if (route !== undefined) take(route);
    else return;
    event.preventDefault();
  });

  const found = routes.current ? (routes.search?.routes ?? []) : [];
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
        <LabHead tables={tables} table={shot.table} chosen={chosen} onChoose={chooseTable} />
        <PositionTools
          mode={mode}
          onMode={setMode}
          past={steps.past}
          future={steps.future}
          onUndo={undo}
          onRedo={redo}
          onLink={link}
        />
        <PositionTable
          shot={shot}
          picture={picture}
          cloud={cloud}
          confidence={question.confidence}
          compared={comparedResult?.paths?.find(({ id }) => id === CUE)}
          duration={comparedResult?.duration ?? 0}
          shown={shown}
          pockets={pockets}
          wanted={to ?? undefined}
          line={mode === 'Wanted line' ? line : undefined}
          map={mode === 'Move balls' ? undefined : backward.map}
          mode={mode}
          selected={selected}
          onSelect={select}
          onMove={move}
          onWanted={wantPlace}
          onLine={wantLine}
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
        <MoreAnswers question={calmQuestion} stroke={stroke} shot={calmShot} onShow={setShown} />
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
            {fittedWords(fitted, pending)}
          </Text>
        )}
        <FactsCard picture={calmSeen} outlook={outlook} />
        <StrokePanel strike={stroke} onChange={changeStroke} />
        <BallPanel
          shot={calmShot}
          selected={selected}
          onSelect={select}
          onMove={move}
          onAdd={add}
          onRemove={remove}
        />
      </div>
    </div>
  );
}
