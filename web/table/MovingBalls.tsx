import type { Point } from '../../core/math/point.ts';
import type { Shot, ShotResult } from '../../core/motion/shot.ts';
import { BallMark } from './marks.tsx';
import { placesAt } from './placeOf.ts';
import { useReplayed, type Replay } from './replay.ts';
import { CUE } from './labShot.ts';

interface MovingBallsProps {
  readonly shot: Pick<Shot, 'balls'>;
  readonly result: ShotResult;
  readonly replay: Replay;
  /** Id of the ball in hand; empty for none. */
  readonly selected: string;
}

/** The balls, where they are at the time of the replay: the only thing that is drawn anew at each frame. */
export function MovingBalls({ shot, result, replay, selected }: MovingBallsProps) {
  const t = useReplayed(replay, (r) => r.time());
  const placeOf = t === undefined ? (_: string, set: Point) => set : placesAt(result, t);
  return shot.balls.map((ball) => {
    const at = placeOf(ball.id, ball);
    return (
      at !== undefined && (
        <BallMark
          key={ball.id}
          id={ball.id}
          at={at}
          radius={ball.radius}
          selected={t === undefined && ball.id === selected}
          {...(ball.id === CUE ? {} : { name: ball.id })}
        />
      )
    );
  });
}
