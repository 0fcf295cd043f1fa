import type { KeyboardEvent } from 'react';
import { bearing, type Point } from '../../../core/math/point.ts';
import { placeFrom, type Mark } from '../../../core/motion/marks.ts';
import type { Shot, ShotResult } from '../../../core/motion/shot.ts';
import { AimMark, ContactMark, PathMark } from '../../table/marks.tsx';
import { useBallDrag } from '../../table/ballDrag.ts';
import { MovingBalls } from '../../table/MovingBalls.tsx';
import { useReplayed, type Replay } from '../../table/replay.ts';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { CUE } from '../../table/labShot.ts';

interface LabTableProps {
  readonly shot: Shot;
  readonly result: ShotResult;
  readonly marks: readonly Mark[];
  /** Result of the stroke kept for comparison. */
  readonly keptResult: ShotResult | undefined;
  readonly selected: string;
  readonly replay: Replay;
  readonly onSelect: (id: string) => void;
  readonly onMove: (id: string, to: Point, sameStep: boolean) => void;
  readonly onAim: (direction: number, sameStep: boolean) => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

/** How far from the cue ball the handle of the line of aim stands, metres. */
const HANDLE = 0.4;

function PathsOf({ result, kept = false }: { readonly result: ShotResult; readonly kept?: boolean }) {
  return (result.paths ?? []).map((path) => (
    <PathMark
      key={path.id}
      path={path}
      duration={result.duration}
      kind={path.id === CUE ? 'cue' : 'object'}
      kept={kept}
    />
  ));
}

/** The table to try a shot on: balls are dragged, the line of aim is turned by its handle or from anywhere. */
export function LabTable(props: LabTableProps) {
  const { shot, result, marks, keptResult, selected, replay, onSelect, onMove, onAim, onKey } = props;
  const { balls, strike, table } = shot;
  const cue = balls.find((ball) => ball.id === strike.ball) ?? { x: 0, y: 0 };
  const standing = useReplayed(replay, (r) => r.time() === undefined);

  const drag = useBallDrag({
    balls,
    onSelect,
    onMove,
    elsewhere: (phase, place) => {
      if (phase !== 'up') onAim(bearing(cue, place), phase === 'move');
    },
  });

  return (
    <TableDrawing table={table} label="The table of the lab" onDrag={drag} onKey={onKey}>
      {keptResult !== undefined && <PathsOf result={keptResult} kept />}
      <PathsOf result={result} />
      {marks.map((mark, i) => mark.contact !== undefined && <ContactMark key={i} at={mark.contact} />)}
      {standing && <AimMark from={cue} to={placeFrom(cue, strike.direction, HANDLE)} />}
      <MovingBalls shot={shot} result={result} replay={replay} selected={selected} />
    </TableDrawing>
  );
}
