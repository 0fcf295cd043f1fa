import type { PlannedShot } from '../drill/plannedShot.ts';
import type { PositionDrill } from '../drill/positionDrill.ts';
import { toDegrees } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import { landingResponse, type ObservedShot } from '../player/fitExecution.ts';
import { fullAcceptanceOf } from '../shot/acceptance.ts';
import { potChance } from '../shot/potChance.ts';
import type { Outcome } from '../records/storedAttempt.ts';

/** What is stored of a played shot, as far as it tells about the player's errors. */
interface PlayedShot {
  readonly outcome: Outcome;
  readonly landing: Point | null;
}

/** A landing farther than this from the plan was another hit, metres: it tells nothing of small errors. */
const FARTHEST = 0.8;

/**
 * The shots of a position drill as the fit of a player's errors takes them (see fitExecution).
 * @param planned the drill's stroke on the table on which they were played
 * @returns none when the pocket does not take the ball
 */
export function observedShots(
  drill: PositionDrill,
  planned: PlannedShot,
  played: readonly PlayedShot[],
): readonly ObservedShot[] {
  const { shot, landing: wanted } = planned;
  const cue = shot.balls.find(({ id }) => id === shot.strike.ball);
  const object = shot.balls.find(({ id }) => id === drill.task.pot);
  const acceptance = object && fullAcceptanceOf(shot.table, object, drill.task.pocket);
  if (cue === undefined || object === undefined || acceptance === undefined) return [];
  const response = landingResponse(shot);
  // The fit asks for the error of the line alone: what else is off is small beside it where a pot is missed.
  const chance = (errorRad: number) =>
    potChance(
      shot.table,
      cue,
      { object, acceptance },
      { directionDeg: toDegrees(errorRad), speed: 0, tip: 0, elevationDeg: 0 },
      shot.strike,
    );
  return played.map(({ outcome, landing }) => {
    const potted = outcome === 'potted';
    if (!potted || landing === null) return { potted, chance };
    const [dx, dy] = [landing.x - wanted.x, landing.y - wanted.y];
    if (Math.hypot(dx, dy) > FARTHEST) return { potted, chance };
    return { potted, chance, landing: { dx, dy, response } };
  });
}
