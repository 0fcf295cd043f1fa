import type { Point } from '../../core/math/point.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import { CUE } from './labShot.ts';
import { BallMark } from './marks.tsx';

interface LyingBallsProps {
  readonly balls: readonly BallOnTable[];
  /** Where balls are while a stroke is played; null for one that fell. */
  readonly positions: ReadonlyMap<string, Point | null> | undefined;
  readonly selected: string;
}

/** The balls where they lie or, while a stroke is played, where they are. */
export function LyingBalls({ balls, positions, selected }: LyingBallsProps) {
  return balls.map((ball) => {
    const at = positions?.get(ball.id);
    return (
      at !== null && (
        <BallMark
          key={ball.id}
          id={ball.id}
          at={at ?? ball}
          radius={ball.radius}
          selected={positions === undefined && ball.id === selected}
          {...(ball.id === CUE ? {} : { name: ball.id })}
        />
      )
    );
  });
}
