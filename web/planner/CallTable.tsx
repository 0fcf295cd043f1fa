import { useState, type KeyboardEvent } from 'react';
import { simulate } from '../../core/motion/simulate.ts';
import { placeFrom } from '../../core/motion/marks.ts';
import type { Point } from '../../core/math/point.ts';
import { BREAK_KIND } from '../../core/judgement/kinds.ts';
import { shownOf, type CallQuestion } from '../../core/judgement/question.ts';
import { arrowStep } from '../table/arrowStep.ts';
import { AimMark, LandingMark, PathMark } from '../table/marks.tsx';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { DrawnPath } from '../table/DrawnPath.tsx';
import { PocketNames } from '../table/PocketNames.tsx';
import { LyingBalls } from '../table/LyingBalls.tsx';
import { MovingBalls } from '../table/MovingBalls.tsx';
import { WindowMark } from '../table/WindowMark.tsx';
import { CUE } from '../table/labShot.ts';
import { OfferedLines } from './kick/OfferedLines.tsx';
import { worthBands } from './order/worthBands.ts';
import type { Replay } from '../table/replay.ts';
import { PocketMark } from '../table/PocketMark.tsx';
import type { PocketName } from '../../core/table/pockets.ts';
import type { CallKind } from '../../core/judgement/kinds.ts';

/** Calls whose pocket is a part of the answer. */
const TELLS_ITS_POCKET: ReadonlySet<CallKind> = new Set([
  'which ball first',
  'which suit',
  'key ball',
  'whole order',
]);

/** The pockets that the question names, and its answer once it is shown. */
function pocketsOf(question: CallQuestion, revealed: boolean): readonly PocketName[] {
  const named = [
    'pocket' in question && (revealed || !TELLS_ITS_POCKET.has(question.kind)) ? question.pocket : undefined,
    'nextPocket' in question ? question.nextPocket : undefined,
    revealed && 'near' in question ? question.near : undefined,
  ];
  return [...new Set(named.flatMap((name) => name ?? []))];
}

interface CallTableProps {
  readonly question: CallQuestion;
  /** The player's drawn way, and the coach's once both are shown. */
  readonly drawn: readonly (readonly Point[])[];
  /** Undefined while the way is not to be drawn. */
  readonly onPoint: ((place: Point) => void) | undefined;
  readonly revealed: boolean;
  readonly replay: Replay;
}

/** How far the line of the stroke is drawn, metres. */
const LINE = 0.35;

/** The position to be called: the stroke's line, and after the reveal where everything goes. */
export function CallTable({ question, drawn, onPoint, revealed, replay }: CallTableProps) {
  const { shot } = question;
  const cue = shot.balls.find(({ id }) => id === CUE);
  const result = simulate(shot, { paths: true });
  // A break’s ways would cover the table: that of the cue ball is enough.
  const ways = (result.paths ?? []).filter(({ id }) => question.kind !== BREAK_KIND || id === CUE);
  const last = drawn[0]?.at(-1);
  const [cursor, setCursor] = useState<Point>();
  const at = cursor ?? last;

  function key(event: KeyboardEvent) {
    if (onPoint === undefined || at === undefined) return;
    const to = arrowStep(event, at, shot.table.length);
    if (to !== undefined) setCursor(to);
    else if (event.key === 'Enter') onPoint(at);
    else return;
    event.preventDefault();
  }

  return (
    <TableDrawing
      table={shot.table}
      label="The position to be called"
      {...(onPoint === undefined
        ? {}
        : {
            onTap: (place: Point) => {
              setCursor(undefined);
              onPoint(place);
            },
            onKey: key,
          })}
    >
      {revealed && question.kind === 'where to be' && (
        <WindowMark window={question.worth} bands={worthBands(question.worth)} wanted={question.truth} />
      )}
      {revealed &&
        ways.map((path) => (
          <PathMark
            key={path.id}
            path={path}
            duration={result.duration}
            kind={path.id === CUE ? 'cue' : 'object'}
          />
        ))}
      {question.kind === BREAK_KIND ? (
        <PocketNames />
      ) : (
        pocketsOf(question, revealed).map((name) => <PocketMark key={name} name={name} />)
      )}
      {question.kind === 'which line' && <OfferedLines shot={shot} lines={question.lines} />}
      {!revealed && question.kind === 'which way to miss' && (
        <OfferedLines shot={shot} lines={[{ pick: '', direction: shot.strike.direction }]} />
      )}
      {revealed && question.kind === 'where on the cushion' && cue !== undefined && (
        <AimMark from={cue} to={question.truth.at} />
      )}
      {!revealed && cue !== undefined && shownOf(question) === 'stroke and line' && (
        <AimMark from={cue} to={placeFrom(cue, shot.strike.direction, LINE)} />
      )}
      {drawn.map((points, i) => (
        <DrawnPath key={i} points={points} second={i > 0} />
      ))}
      {onPoint !== undefined && cursor !== undefined && <LandingMark at={cursor} strong />}
      {revealed ? (
        <MovingBalls shot={shot} result={result} replay={replay} selected="" />
      ) : (
        <LyingBalls balls={shot.balls} positions={undefined} selected="" />
      )}
    </TableDrawing>
  );
}
