import { memo, useRef, type KeyboardEvent } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { BallPath, Shot, ShotResult } from '../../../core/motion/shot.ts';
import type { Assessment } from '../../../core/planning/aftermath.ts';
import type { BackwardMap } from '../../../core/planning/backward.ts';
import { useBallDrag, type DragPhase } from '../../table/ballDrag.ts';
import { BackwardMark } from '../../table/BackwardMark.tsx';
import { CloudMark } from '../../table/CloudMark.tsx';
import { AimMark, BallMark, PathMark, WantedMark } from '../../table/marks.tsx';
import { NaturalMark } from '../../table/NaturalMark.tsx';
import { RibbonMark } from '../../table/RibbonMark.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { WindowMark } from '../../table/WindowMark.tsx';
import type { ShotPicture } from '../../../core/planning/position/question.ts';
import { CUE } from '../../table/labShot.ts';
import type { DragMode, WantedLine } from './positionState.ts';
import { PocketMark } from '../../table/PocketMark.tsx';
import type { PocketName } from '../../../core/table/pockets.ts';

interface PositionTableProps {
  readonly shot: Shot;
  readonly picture: ShotPicture | undefined;
  readonly cloud: Assessment | undefined;
  readonly confidence: number;
  readonly compared: BallPath | undefined;
  readonly duration: number;
  /** Ways of another stroke that was asked for. */
  readonly shown: ShotResult | undefined;
  /** Those that are asked for. */
  readonly pockets: readonly PocketName[];
  readonly wanted: Point | undefined;
  readonly line: WantedLine | undefined;
  readonly map: BackwardMap | undefined;
  readonly mode: DragMode;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
  readonly onMove: (id: string, to: Point, sameStep: boolean) => void;
  readonly onWanted: (to: Point, done: boolean) => void;
  readonly onLine: (line: WantedLine, done: boolean) => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

/** Chances at which the window is contoured. */
const BANDS = [
  { chance: 0.5, points: 1 },
  { chance: 0.7, points: 2 },
  { chance: 0.85, points: 3 },
];

/** The position with all that is known of the stroke drawn onto it. */
export const PositionTable = memo(function PositionTable(props: PositionTableProps) {
  const { shot, picture, cloud, confidence, compared, wanted, line, map, mode, selected } = props;
  const start = useRef<Point>(undefined);
  const dragBall = useBallDrag({ balls: shot.balls, onSelect: props.onSelect, onMove: props.onMove });

  function drag(phase: DragPhase, place: Point) {
    switch (mode) {
      case 'Move balls':
        dragBall(phase, place);
        return;
      case 'Wanted landing':
        props.onWanted(place, phase === 'up');
        return;
      case 'Wanted line':
        if (phase === 'down') start.current = place;
        if (start.current !== undefined) props.onLine({ from: start.current, to: place }, phase === 'up');
    }
  }

  return (
    <TableDrawing table={shot.table} label="The position" onDrag={drag} onKey={props.onKey}>
      {picture !== undefined && map === undefined && (
        <WindowMark
          window={picture.window}
          bands={confidence < 0.6 ? BANDS.map((band) => ({ ...band, chance: band.chance * 0.7 })) : BANDS}
          wanted={picture.result.rest.find(({ id }) => id === CUE) ?? { x: 0, y: 0 }}
        />
      )}
      {map !== undefined && <BackwardMark map={map.map} />}
      {picture !== undefined && <RibbonMark pieces={picture.ribbon} />}
      {compared !== undefined && <PathMark path={compared} duration={props.duration} kind="cue" kept />}
      {props.shown?.paths?.map((path) => (
        <PathMark
          key={`shown ${path.id}`}
          path={path}
          duration={props.shown?.duration ?? 0}
          kind={path.id === CUE ? 'cue' : 'object'}
          kept
        />
      ))}
      {picture?.result.paths?.map((path) => (
        <PathMark
          key={path.id}
          path={path}
          duration={picture.result.duration}
          kind={path.id === CUE ? 'cue' : 'object'}
        />
      ))}
      {[...new Set(props.pockets)].map((name) => (
        <PocketMark key={name} name={name} />
      ))}
      {picture !== undefined && <NaturalMark path={picture.natural} />}
      {cloud !== undefined && <CloudMark landings={cloud.landings.slice(0, 250)} confidence={confidence} />}
      {shot.balls.map((ball) => (
        <BallMark
          key={ball.id}
          id={ball.id}
          at={ball}
          radius={ball.radius}
          selected={ball.id === selected}
          {...(ball.id === CUE ? {} : { name: ball.id })}
        />
      ))}
      {wanted !== undefined && <WantedMark at={wanted} />}
      {line !== undefined && <AimMark from={line.from} to={line.to} />}
    </TableDrawing>
  );
});
