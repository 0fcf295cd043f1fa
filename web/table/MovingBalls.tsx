import type { Point } from '../../core/math/point.ts';
import { positionAt } from '../../core/motion/path.ts';
import type { Shot, ShotResult } from '../../core/motion/shot.ts';
import { BallMark } from './marks.tsx';
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
  const gone = new Map(
    result.events.flatMap((event) =>
      event.kind === 'pocket' || event.kind === 'off-table' ? [[event.id, event.t] as const] : [],
    ),
  );
  const placeOf = (id: string, set: Point): Point | undefined => {
    if (t === undefined) return set;
    if (t >= (gone.get(id) ?? Infinity)) return undefined;
    const path = result.paths?.find((each) => each.id === id);
    return path === undefined ? set : positionAt(path, Math.min(t, result.duration));
  };
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
