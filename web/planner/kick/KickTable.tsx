import { memo, useMemo, type KeyboardEvent, type ReactNode } from 'react';
import type { Point } from '../../../core/math/point.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { Shot, ShotResult } from '../../../core/motion/shot.ts';
import type { RatedLine } from '../../../core/shot/kicks/kickFamilies.ts';
import { kickShot } from '../../../core/shot/kicks/way.ts';
import { middleOf } from '../../../core/shot/directions.ts';
import type { DragPhase } from '../../table/ballDrag.ts';
import { CUE } from '../../table/labShot.ts';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { AimMark, PathMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';

/** How long a way is drawn: all of the chosen shot, else up to the ball, seconds. */
function wayEnd(way: ShotResult | undefined, isWhole: boolean): number {
  const end = way?.duration ?? 0;
  return isWhole ? end : (way?.events.at(-1)?.t ?? end);
}

interface KickTableProps {
  readonly shot: Shot;
  readonly lines: readonly RatedLine[];
  /** The line that is looked at, from 0. */
  readonly chosen: number;
  readonly target: string;
  readonly selected?: string;
  readonly positions?: ReadonlyMap<string, Point | null> | undefined;
  readonly onDrag?: (phase: DragPhase, place: Point) => void;
  readonly onKey?: (event: KeyboardEvent) => void;
  /** Drawn under the lines. */
  readonly children?: ReactNode;
}

/** So many lines are drawn beside the chosen one, the surest: more cannot be told apart. */
const DRAWN = 5;

/** The ways to the ball: the chosen one with what comes of it, the others as far as the ball. */
export const KickTable = memo(function KickTable(props: KickTableProps) {
  const { shot, lines, chosen, target, selected = '', positions, onDrag, onKey, children } = props;
  const { table, balls } = shot;
  const ways = useMemo(
    () =>
      lines.map((line, i) =>
        i > DRAWN && i !== chosen
          ? undefined
          : simulate(kickShot({ table, balls, cue: CUE }, line.stroke, middleOf(line)), {
              paths: true,
              untilMeeting: i !== chosen,
            }),
      ),
    [table, balls, lines, chosen],
  );
  const cue = balls.find(({ id }) => id === CUE);
  const aim = lines[chosen]?.aim;
  return (
    <TableDrawing
      table={table}
      label="The table with the ways to the ball"
      {...(onDrag && { onDrag })}
      {...(onKey && { onKey })}
    >
      {children}
      {ways.map((way, i) =>
        (way?.paths ?? [])
          .filter(({ id }) => id === CUE || (i === chosen && id === target))
          .map((path) => (
            <PathMark
              key={`${i} ${path.id}`}
              path={path}
              duration={wayEnd(way, i === chosen)}
              kind={path.id === CUE ? 'cue' : 'object'}
              kept={i !== chosen}
            />
          )),
      )}
      {cue !== undefined && aim !== undefined && positions === undefined && (
        <AimMark from={cue} to={aim.at} />
      )}
      <LyingBalls balls={balls} positions={positions} selected={selected} />
    </TableDrawing>
  );
});
