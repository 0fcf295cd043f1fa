import { memo, useMemo, type KeyboardEvent } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import { leftOnTable } from '../../../core/planning/aftermath.ts';
import { pocketNamed } from '../../../core/table/table.ts';
import { opponentsPot } from '../../../core/tactics/opponentsPot.ts';
import type { Answer } from '../../../core/tactics/ranking.ts';
import type { Situation } from '../../../core/tactics/situation.ts';
import type { DragPhase } from '../../table/ballDrag.ts';
import { CUE } from '../../table/labShot.ts';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { AimMark, GhostMark, PathMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';

interface AnswerTableProps {
  readonly shot: Shot;
  readonly situation: Situation;
  readonly answer: Answer | undefined;
  readonly selected?: string;
  readonly positions: ReadonlyMap<string, Point | null> | undefined;
  /** Left out where the balls stay where they are. */
  readonly onDrag?: (phase: DragPhase, place: Point) => void;
  readonly onKey?: (event: KeyboardEvent) => void;
}

/** Balls that moved less lie where they were, metres. */
const MOVED = 0.01;

/** An answer as planned: the ways of the balls, where they stop, and the best pot that is left to the opponent. */
export const AnswerTable = memo(function AnswerTable(props: AnswerTableProps) {
  const { shot, situation, answer, selected, positions, onDrag, onKey } = props;
  const { table, balls } = shot;
  const played = useMemo(() => answer && simulate(answer.shot, { paths: true }), [answer]);
  const left = useMemo(
    () => (answer === undefined || played === undefined ? [] : leftOnTable(answer.shot.balls, played.rest)),
    [answer, played],
  );
  const theirs = useMemo(
    () => (answer === undefined || answer.planned.kind === 'pot' ? undefined : opponentsPot(situation, left)),
    [answer, situation, left],
  );
  const cue = left.find(({ id }) => id === CUE);
  const moved = left.filter((ball) => {
    const before = balls.find(({ id }) => id === ball.id);
    return before !== undefined && Math.hypot(before.x - ball.x, before.y - ball.y) > MOVED;
  });
  const still = positions === undefined;
  return (
    <TableDrawing
      table={table}
      label="The table with the answer"
      {...(onDrag && { onDrag })}
      {...(onKey && { onKey })}
    >
      {played?.paths?.map((path) => (
        <PathMark
          key={path.id}
          path={path}
          duration={played.duration}
          kind={path.id === CUE ? 'cue' : 'object'}
        />
      ))}
      {still && moved.map((ball) => <GhostMark key={ball.id} at={ball} radius={ball.radius} />)}
      {still && theirs !== undefined && cue !== undefined && (
        <>
          <AimMark from={cue} to={theirs.line.object} />
          <AimMark from={theirs.line.object} to={pocketNamed(table, theirs.line.pocket).mouth} />
        </>
      )}
      <LyingBalls balls={balls} positions={positions} selected={selected ?? ''} />
    </TableDrawing>
  );
});
