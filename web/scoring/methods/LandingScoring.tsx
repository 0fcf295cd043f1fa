import { useMediaQuery } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { isPositionDrill } from '../../../core/drill/positionDrill.ts';
import { mostTargetPoints } from '../../../core/drill/targets.ts';
import { judgedByEye } from '../../../core/scoring/countAttempt.ts';
import { BLANK_SHOT, type LoggedShot } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import type { Table } from '../../../core/table/table.ts';
import { DrillDrawing } from '../../table/DrillDrawing.tsx';
import { BringIn } from '../../planner/places/BringIn.tsx';
import { CUE } from '../../table/labShot.ts';
import { labAddress } from '../../planner/positionSetting.ts';
import { LineKey } from '../../table/LineKey.tsx';
import { GhostMark, LandingMark } from '../../table/marks.tsx';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import { arrowOnTable } from '../arrowOnTable.ts';
import { LastShot } from '../LastShot.tsx';
import type { PadAction } from '../../controls/padAction.ts';
import { PadButton } from '../pads/PadButton.tsx';
import { ScoringLayout, type ScoringProps } from '../ScoringLayout.tsx';
import { useTellBeside } from '../useTellBeside.ts';
import { onCloth } from '../scoring.ts';
import { useCauseHint } from '../useCauseHint.ts';
import { shortLength } from '../../words/lengths.ts';

interface LandingScoringProps extends ScoringProps {
  readonly table: Table;
}

/** Scoring by where the cue ball stops: a tap on the cloth says all of it. */
export function LandingScoring(props: LandingScoringProps) {
  const { open, course, actions, table } = props;
  const { drill, plan } = course.counting;
  const { scoring } = actions;
  const { term } = useWords();
  const portrait = useMediaQuery('(orientation: portrait)', false, { getInitialValueInEffect: false });
  const orientation = portrait ? 'portrait' : 'landscape';
  const position = isPositionDrill(drill) ? drill : undefined;
  const { task } = drill;
  const ball = task.kind === 'position' ? task.pot : task.kind === 'land' ? (task.pot?.ball ?? null) : null;
  const pocket =
    task.kind === 'position' ? task.pocket : task.kind === 'land' ? (task.pot?.pocket ?? null) : null;
  const byEye = judgedByEye(drill);
  const middle = plan?.landing ?? { x: table.length / 2, y: table.width / 2 };
  const over = scoring.ended !== null;
  /** Balls that a device sees, before they are entered. */
  const [seen, setSeen] = useState<readonly BallOnTable[]>([]);
  const tellBeside = useTellBeside(open.round);
  const seenCue = seen.find(({ id }) => id === CUE);
  const laid = useMemo(
    () => ballsOfSetUp(setUp(drill, table.preset, open.round.seed)),
    [drill, table, open.round.seed],
  );

  const enter = (shot: Partial<LoggedShot>, points?: number) =>
    actions.enter(
      logOf({
        shots: [{ ...BLANK_SHOT, ball, pocket, ...shot }],
        entered: points === undefined ? null : { ...NOTHING_ENTERED, done: true, points },
      }),
    );
  const made = ball === null ? [] : [ball];
  const landed = ({ x, y }: Point) => enter({ potted: made, landing: onCloth({ x, y }, table) });
  const most = mostTargetPoints(drill.targets);
  const { cursor } = scoring;

  const pad: readonly PadAction[] = [
    ...(byEye
      ? Array.from({ length: most + 1 }, (_, points): PadAction => ({
          key: String(points),
          label: points === 1 ? '1 point' : `${points} points`,
          run: () => enter({ potted: made }, points),
        }))
      : cursor === null
        ? [
            {
              key: ' ',
              label: ball === null ? 'It stopped' : 'Potted',
              run: () => actions.potted(middle),
              main: true,
            },
          ]
        : [{ key: 'Enter', label: 'It stopped here', run: () => landed(cursor), main: true }]),
    ...(ball === null ? [] : [{ key: 'x', label: 'Missed', run: () => enter({}) }]),
    {
      key: 'f',
      label: capital(term('inOff')),
      run: () => enter({ inOff: true, cause: 'in-off' as const, causeBy: 'coach' as const }),
    },
  ];
  const hint = useCauseHint(open, course, actions);
  const unexplained = (scoring.attempts.at(-1)?.log.shots.at(-1)?.cause ?? null) === null;
  const confirm: readonly PadAction[] =
    hint?.confirm === undefined || !unexplained || cursor !== null
      ? []
      : [{ key: 'h', label: `Yes: ${hint.words}`, run: hint.confirm }];
  const landings = scoring.attempts.flatMap(({ landing, ordinal }) =>
    landing === null ? [] : [{ landing, ordinal }],
  );
  const lastOrdinal = scoring.attempts.at(-1)?.ordinal;

  return (
    <ScoringLayout
      {...props}
      word="shot"
      pad={[...pad, ...confirm]}
      moreKeys={[
        [
          'Arrows',
          `move the cross by ${shortLength(0.01)}; with Shift ten times as far, with Alt a tenth of it`,
        ],
      ]}
      onArrow={(event) => {
        const step = arrowOnTable(event, orientation);
        if (step === undefined || scoring.cursor === null) return false;
        actions.moveCursor(step.dx, step.dy);
        return true;
      }}
      {...(plan === undefined || task.kind !== 'position' ? {} : { labTo: labAddress(plan.shot, task) })}
      hint={
        cursor !== null
          ? 'Tap where the cue ball stopped, or move the cross with the arrow keys.'
          : byEye
            ? 'Judge the targets by eye.'
            : ball === null
              ? 'Tap where the cue ball stopped.'
              : 'A tap on the cloth says: potted, and the cue ball stopped there.'
      }
      table={
        <DrillDrawing
          drill={drill}
          stage={open.round.stage}
          table={table}
          plan={plan}
          orientation={orientation}
          {...(over || byEye ? {} : { onTap: landed })}
        >
          {landings.map(({ landing, ordinal }) => (
            <LandingMark key={ordinal} at={landing} ordinal={ordinal} strong={ordinal === lastOrdinal} />
          ))}
          {seenCue !== undefined && <GhostMark at={seenCue} radius={seenCue.radius} />}
          {cursor !== null && <LandingMark at={cursor} strong />}
        </DrillDrawing>
      }
      aside={
        <LineKey
          cueBall="cue ball, planned"
          objectBall
          window={position === undefined ? 'target' : `on the ${position.task.next.ball}`}
          wanted
          landings
        />
      }
      below={
        <>
          <LastShot course={course} actions={actions} word="Shot" hint={hint} />
        </>
      }
    >
      <div className="scoring-buttons">
        {pad.map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
      </div>
      {!over && !byEye && (
        <BringIn
          table={table}
          take={ball === null ? 'The cue ball stopped here' : 'Potted, and the cue ball stopped here'}
          missing={(balls) => {
            if (ball !== null && balls.some(({ id }) => id === ball))
              return `The ${ball} is still on the table: that is a miss.`;
            return balls.some(({ id }) => id === CUE) ? undefined : 'The cue ball is not there.';
          }}
          onTake={(balls) => {
            const cue = balls.find(({ id }) => id === CUE);
            if (cue !== undefined) landed(cue);
          }}
          onSeen={setSeen}
          onBeside={tellBeside}
          laid={laid}
          turn={scoring.attempts.length}
        />
      )}
    </ScoringLayout>
  );
}
