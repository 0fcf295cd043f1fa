import { useRef } from 'react';
import { distance, type Point } from '../../core/math/point.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';

/** A drag on the cloth: where it came down, where it moves, and when it is lifted. */
export type DragPhase = 'down' | 'move' | 'up';

/** A finger counts as on a ball within this many radii. */
const GRIP = 1.8;

/** The ball that a finger is on. */
export function ballAt<B extends Pick<BallOnTable, 'x' | 'y' | 'radius'>>(
  balls: readonly B[],
  place: Point,
): B | undefined {
  return balls.find((ball) => distance(ball, place) < GRIP * ball.radius);
}

interface BallDrag {
  /** Balls that can be moved. */
  readonly balls: readonly BallOnTable[];
  readonly onSelect: (id: string) => void;
  /** @param sameStep not the first move of a drag: it belongs to the step before */
  readonly onMove: (id: string, to: Point, sameStep: boolean) => void;
  /** A drag that begins on no ball. */
  readonly elsewhere?: (phase: DragPhase, place: Point) => void;
}

/** Balls that are dragged: the one that a finger comes down on is taken in hand and goes with it, as one step. */
export function useBallDrag({ balls, onSelect, onMove, elsewhere }: BallDrag) {
  const dragged = useRef<string>(undefined);
  const moved = useRef(false);
  return (phase: DragPhase, place: Point): void => {
    if (phase === 'down') {
      moved.current = false;
      dragged.current = ballAt(balls, place)?.id;
      if (dragged.current !== undefined) onSelect(dragged.current);
    }
    if (dragged.current === undefined) elsewhere?.(phase, place);
    else if (phase === 'move') {
      onMove(dragged.current, place, moved.current);
      moved.current = true;
    }
  };
}
