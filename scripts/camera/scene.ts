import { distance, type Point } from '../../core/math/point.ts';
import { positionAt } from '../../core/motion/path.ts';
import type { BallOnTable, Shot, ShotResult } from '../../core/motion/shot.ts';
import { simulate } from '../../core/motion/simulate.ts';

/** A hand is over the table for so long while balls are set, seconds. */
const SETTING = 1.5;

/** What is on a made-up table at one moment. */
interface Moment {
  readonly balls: ReadonlyMap<string, Point>;
  readonly isCovered: boolean;
}

/** A made-up table in time: balls are set by a hand, and shots are played on it. */
export class Scene {
  #balls: readonly BallOnTable[];
  #coveredUntil = 0;
  #shot:
    | { readonly from: number; readonly result: ShotResult; readonly balls: readonly BallOnTable[] }
    | undefined;

  constructor(balls: readonly BallOnTable[]) {
    this.#balls = balls;
  }

  /** Sets balls by hand. @param now seconds by the camera's clock */
  set(balls: readonly BallOnTable[], now: number): void {
    this.#shot = undefined;
    this.#balls = balls;
    this.#coveredUntil = now + SETTING;
  }

  /** Plays a shot at once. @returns seconds until all lies still @throws InvalidShotError for one that cannot be played */
  play(shot: Shot, now: number): number {
    const result = simulate(shot, { paths: true });
    this.#shot = { from: now, result, balls: shot.balls };
    const rests = new Map(result.rest.map((ball) => [ball.id, ball]));
    this.#balls = shot.balls.flatMap((ball): BallOnTable[] => {
      const rest = rests.get(ball.id);
      if (rest === undefined || rest.pocket !== null || rest.offTable) return [];
      return [{ ...ball, x: rest.x, y: rest.y }];
    });
    return result.duration;
  }

  /** What is there. @param now seconds by the camera's clock */
  at(now: number): Moment {
    const isCovered = now < this.#coveredUntil;
    const shot = this.#shot;
    if (shot === undefined || now > shot.from + shot.result.duration)
      return { balls: new Map(this.#balls.map((ball) => [ball.id, ball])), isCovered };
    const t = Math.max(0, now - shot.from);
    const gone = new Set(
      shot.result.events.flatMap((event) =>
        (event.kind === 'pocket' || event.kind === 'off-table') && event.t <= t ? [event.id] : [],
      ),
    );
    const places = (shot.result.paths ?? [])
      .filter(({ id }) => !gone.has(id))
      .map((path): [string, Point] => [path.id, positionAt(path, t)]);
    return { balls: new Map(places), isCovered };
  }

  /** Whether balls touch or lie in one another: nobody can set them so. */
  static isCrowded(balls: readonly BallOnTable[]): boolean {
    return balls.some((a, i) => balls.slice(i + 1).some((b) => distance(a, b) < a.radius + b.radius - 1e-4));
  }
}
