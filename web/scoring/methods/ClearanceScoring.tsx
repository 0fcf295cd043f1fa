import { useLocalStorage, useMediaQuery } from '@mantine/hooks';
import { useState } from 'react';
import { distance, type Point } from '../../../core/math/point.ts';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import { ballsOfAttempt } from '../../../core/drill/round.ts';
import { asksNomination, clearanceRules } from '../../../core/drill/rules.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { BLANK_SHOT, type LoggedShot } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import type { Entered } from '../../../core/records/entered.ts';
import { replayClearance } from '../../../core/scoring/countAttempt.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { shotFromPlaces } from '../../../core/scoring/shotFromPlaces.ts';
import { BringIn } from '../../planner/places/BringIn.tsx';
import { liesAfter } from '../../../core/scoring/liesAfter.ts';
import type { Table } from '../../../core/table/table.ts';
import { DrillDrawing } from '../../table/DrillDrawing.tsx';
import { GhostMark, LandingMark } from '../../table/marks.tsx';
import { NextMark } from '../../table/NextMark.tsx';
import { brokenWords } from '../../words/brokenWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import { clearanceHint, keyOfBall, notAShot } from '../clearanceWords.ts';
import { LastShot } from '../LastShot.tsx';
import { ClearancePad } from '../pads/ClearancePad.tsx';
import { PlanPad } from '../pads/PlanPad.tsx';
import { QuickClearancePad } from '../pads/QuickClearancePad.tsx';
import { SetUpPad } from '../pads/SetUpPad.tsx';
import type { PadAction } from '../../controls/padAction.ts';
import { nominationActions } from '../pads/nomination.ts';
import { quickActions } from '../pads/quickActions.ts';
import { useMovedBalls } from './useMovedBalls.ts';
import { ScoringLayout, type ScoringProps } from '../ScoringLayout.tsx';
import { useTellBeside } from '../useTellBeside.ts';
import { nearestBall } from '../nearestBall.ts';
import { progressOf } from '../../../core/scoring/course.ts';
import { onCloth } from '../scoring.ts';
import { LineKey } from '../../table/LineKey.tsx';

/** A tap this near to a mouth names the pocket, metres. */
const AT_POCKET = 0.11;

interface ClearanceScoringProps extends ScoringProps {
  readonly table: Table;
}

/** Scoring of a clearance: shot by shot through the drill's rules, or its result alone. */
export function ClearanceScoring(props: ClearanceScoringProps) {
  const { open, course, actions, table } = props;
  const { drill } = course.counting;
  const { scoring } = actions;
  const { term, vocabulary } = useWords();
  const portrait = useMediaQuery('(orientation: portrait)', false, { getInitialValueInEffect: false });
  const [detail, setDetail] = useLocalStorage<'quick' | 'full'>({
    key: 'jolly-clearance-log',
    defaultValue: 'full',
    getInitialValueInEffect: false,
  });
  const [also, setAlso] = useState(false);
  const [asking, setAsking] = useState(false);
  const [settingUp, setSettingUp] = useState<'balls' | 'places'>();
  /** Balls that a device sees, before they are taken. */
  const [seen, setSeen] = useState<readonly BallOnTable[]>([]);
  const tellBeside = useTellBeside(open.round);
  const over = scoring.ended !== null;
  const { balls: count } = progressOf(course, scoring.attempts);
  const { underWay } = scoring;
  const set = underWay?.set ?? (count === undefined ? null : [...ballsOfAttempt(drill, count)]);
  const shots = underWay?.shots ?? [];
  const attempt = replayClearance(drill, set, shots);
  const rules = clearanceRules(drill);
  const nominating = asking && asksNomination(rules, attempt);
  const seed = underWay?.seed ?? open.round.seed + scoring.attempts.length;
  const layout = ballsOfSetUp(setUp(drill, table.preset, seed));
  const began = layout.map((ball) => ({ ...ball, ...underWay?.places?.find(({ id }) => id === ball.id) }));
  const places = new Map<string, Point | null>(
    liesAfter(began, shots).map((ball) => [
      ball.id,
      ball.id !== CUE_BALL && !attempt.onTable.includes(ball.id) ? null : ball,
    ]),
  );
  const isQuick = detail === 'quick' && shots.length === 0;
  const moved = useMovedBalls({ table, began, shots, onTable: attempt.onTable }, over || isQuick, (balls) =>
    actions.note({ moved: balls }),
  );
  const lastShot = shots.at(-1);
  if (lastShot !== undefined) places.set(CUE_BALL, null);
  const thrown = drill.thrown !== null;
  const fresh = shots.length === 0;

  /** Object balls before the next shot, where they lie as far as is known. */
  const lying = liesAfter(began, shots).filter(({ id }) => id !== CUE_BALL && attempt.onTable.includes(id));

  const play = (shot: Partial<LoggedShot>) => {
    const ball = shot.potted?.[0] ?? (attempt.legal.length === 1 ? (attempt.legal[0] ?? null) : null);
    if (fresh && thrown && (underWay?.seed ?? null) === null) actions.prepare({ seed });
    actions.shoot({ ...BLANK_SHOT, ball, ...shot }, set);
  };
  /** One more ball fell with the last shot: the shot is told again with both. */
  const alsoFell = (ball: string) => {
    setAlso(false);
    const before = shots.at(-1) ?? scoring.attempts.at(-1)?.log.shots.at(-1);
    const began = shots.length > 0 ? set : (scoring.attempts.at(-1)?.log.set ?? null);
    if (before === undefined || before.potted.length === 0) return;
    actions.undo();
    actions.shoot({ ...before, potted: [...before.potted, ball] }, began);
  };
  const layoutPlaces = new Map<string, Point>(layout.map((ball) => [ball.id, ball]));
  const { ballRadius } = table.preset;

  function tapped(place: Point) {
    const ball = nearestBall(attempt.onTable, places, place, ballRadius);
    if (settingUp === 'balls') {
      const all = set ?? attempt.onTable;
      const objects = layout.map(({ id }) => id).filter((id) => id !== CUE_BALL);
      const near = nearestBall(objects, layoutPlaces, place, ballRadius);
      if (near === undefined) return;
      actions.prepare({ set: all.includes(near) ? all.filter((id) => id !== near) : [...all, near] });
      return;
    }
    if (settingUp === 'places') {
      const placed = underWay?.places ?? [];
      const next = drill.thrown?.balls.find((id) => !placed.some((each) => each.id === id));
      if (next !== undefined)
        actions.prepare({ seed, places: [...placed, { id: next, ...onCloth(place, table) }] });
      if (placed.length + 1 >= (drill.thrown?.balls.length ?? 0)) setSettingUp(undefined);
      return;
    }
    if (moved.answer(place, ball)) return;
    if (nominating) {
      if (ball !== undefined && attempt.legal.includes(ball)) wentIn(ball);
      return;
    }
    if (ball !== undefined && also) alsoFell(ball);
    else if (ball !== undefined) play({ potted: [ball] });
    else if (lastShot !== undefined) {
      const pocket = table.pockets.find(({ mouth }) => distance(mouth, place) < AT_POCKET);
      if (pocket !== undefined && lastShot.potted.length > 0) actions.note({ pocket: pocket.name });
      else actions.note({ landing: onCloth(place, table) });
    }
  }

  /** The cue ball fell. @param nominated the colour that was on, where one was named */
  const wentIn = (nominated: string | null) => {
    setAsking(false);
    const on = nominated === null ? {} : { ball: nominated };
    play({ inOff: true, cause: 'in-off', causeBy: 'coach', ...on });
  };
  const scored: readonly PadAction[] = [
    ...keyOfBall(attempt.legal).map(({ id, key, name }): PadAction => ({
      key,
      label: `Potted ${name}`,
      run: () => play({ potted: [id] }),
    })),
    { key: 'x', label: 'Missed', run: () => play({}) },
    {
      key: 'f',
      label: capital(term('inOff')),
      run: () => (asksNomination(rules, attempt) ? setAsking(true) : wentIn(null)),
    },
    ...drill.conditions.map((condition, i): PadAction => ({
      key: ['c', 'v', 'b', 'n'][i] ?? 'm',
      label: capital(brokenWords(condition, vocabulary)),
      run: () => play({ broken: [condition] }),
    })),
  ];
  const full = nominating ? nominationActions(attempt.legal, wentIn) : scored;
  const enterResult = (entered: Entered) =>
    actions.enter(logOf({ set: set === null ? null : [...set], seed: thrown ? seed : null, entered }));
  const quick = quickActions(drill, set?.length ?? attempt.onTable.length, enterResult);
  const toggle: PadAction = {
    key: 'q',
    label: isQuick ? 'Log shot by shot' : 'Log the result only',
    run: () => setDetail(isQuick ? 'full' : 'quick'),
    disabled: !fresh,
  };
  const more: readonly PadAction[] = [
    ...((lastShot?.potted.length ?? 0) === 0
      ? []
      : [{ key: 'a', label: 'Another ball fell too', run: () => setAlso(!also), chosen: also }]),
    ...(moved.action === undefined ? [] : [moved.action]),
  ];
  const throwAnew: readonly PadAction[] =
    thrown && fresh
      ? [{ key: 't', label: 'Throw anew', run: () => actions.prepare({ seed: seed + 1000, places: null }) }]
      : [];

  return (
    <ScoringLayout
      {...props}
      word={drill.scoring.method === 'break-points' ? 'visit' : 'attempt'}
      pad={[...(isQuick ? quick : full), ...more, toggle, ...throwAnew]}
      hint={
        nominating
          ? 'Which colour was nominated? The foul costs by it.'
          : also
            ? 'Tap the ball that fell with the last shot.'
            : (moved.hint ?? clearanceHint(attempt, settingUp))
      }
      table={
        <DrillDrawing
          drill={drill}
          stage={open.round.stage}
          table={table}
          seed={seed}
          positions={places}
          orientation={portrait ? 'portrait' : 'landscape'}
          {...(over || (isQuick && settingUp === undefined) ? {} : { onTap: tapped })}
        >
          {!over &&
            attempt.legal.map((id) => {
              const at = places.get(id);
              return at === undefined || at === null ? null : (
                <NextMark key={id} at={at} radius={table.preset.ballRadius} />
              );
            })}
          {shots.map(({ landing }, i) =>
            landing === null ? null : (
              <LandingMark key={i} at={landing} ordinal={i + 1} strong={i === shots.length - 1} />
            ),
          )}
          {seen.map((ball) => (
            <GhostMark key={ball.id} at={ball} radius={ball.radius} />
          ))}
        </DrillDrawing>
      }
      aside={over ? null : <LineKey next="may be played now" landings here="the last shot" />}
      below={
        <>
          {fresh && !over && (
            <SetUpPad
              drill={drill}
              underWay={underWay}
              settingUp={settingUp}
              onSettingUp={setSettingUp}
              onPrepare={actions.prepare}
            />
          )}
          {!isQuick && <LastShot course={course} actions={actions} word="Shot" />}
          {!isQuick && (
            <PlanPad drill={drill} table={table} log={underWay} set={set} over={over} seed={seed} />
          )}
        </>
      }
    >
      {isQuick ? (
        <QuickClearancePad drill={drill} actions={quick} toggle={toggle} onEnter={enterResult} />
      ) : (
        <ClearancePad attempt={attempt} actions={full} toggle={toggle} more={[...more, ...throwAnew]} />
      )}
      {!over && !isQuick && (
        <BringIn
          table={table}
          take="The balls lie here after the shot"
          missing={(balls) => notAShot(lying, balls)}
          onTake={(balls) => play(shotFromPlaces(lying, balls))}
          onSeen={setSeen}
          onBeside={tellBeside}
          {...(fresh ? { laid: began } : {})}
          turn={1000 * scoring.attempts.length + shots.length}
        />
      )}
    </ScoringLayout>
  );
}
