import type { Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { buttOf, cueingOf, hampered } from '../../player/cueing.ts';
import { executedWith } from '../../player/execute.ts';
import { latinDraws } from '../../player/latinDraws.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { ballLost, cueBallGone } from '../outcome.ts';
import { hitOf, isLegalHit } from './hit.ts';
import { kickShot, type KickPosition, type KickStroke, type Way } from './way.ts';

const EXECUTIONS = 400;

/** The same errors for every line. */
const DRAWS = latinDraws(EXECUTIONS, 4610);

/** A kick as it has to be cued, and the player's errors with it; undefined where it cannot be. */
export function cuedKick(
  position: KickPosition,
  stroke: KickStroke,
  direction: number,
  error: ExecutionError,
): { readonly shot: Shot; readonly error: ExecutionError } | undefined {
  const { table, balls, cue } = position;
  const struck = balls.find(({ id }) => id === cue);
  if (struck === undefined) throw new RangeError(`cuedKick: there is no ball ${cue}`);
  const others = balls.filter((ball) => ball !== struck);
  const cueing = cueingOf(table, struck, others, direction);
  if (cueing.verdict === 'impossible') return undefined;
  const elevation = Math.max(stroke.elevation, buttOf(cueing));
  return {
    shot: kickShot(position, { ...stroke, elevation }, direction),
    error: hampered(error, cueing.because),
  };
}

/** What a player makes of a kick, 0…1. */
export interface KickChance {
  /** That a wanted ball is met first. */
  readonly met: number;
  /** That this is legal as well: the cue ball stays, and at pool a ball falls or reaches a cushion. */
  readonly legal: number;
}

/**
 * The chance that a player meets a wanted ball first with a planned kick, by fixed draws of the player's errors; larger
 * ones where the cue is hampered.
 * @param direction radians @param error standard deviations of line (degrees), pace (share), tip (ball radii), butt (degrees)
 * @param wanted whether a way is a hit @param every only every so many of the draws, ≥ 1
 * @returns none where the cue ball cannot be cued in that direction
 */
export function kickChance(
  position: KickPosition,
  stroke: KickStroke,
  direction: number,
  error: ExecutionError,
  wanted: (way: Way) => boolean,
  every = 1,
): KickChance {
  const cued = cuedKick(position, stroke, direction, error);
  if (cued === undefined) return { met: 0, legal: 0 };
  const { game } = position.table.preset;
  let [met, legal, all] = [0, 0, 0];
  for (let k = 0; k < DRAWS.length; k += every) {
    all++;
    const result = simulate(executedWith(cued.shot, cued.error, DRAWS[k]!), { paths: true });
    const hit = hitOf(result, position.cue);
    if (hit.first === undefined || !wanted({ cushions: hit.before, end: 'ball', first: hit.first })) continue;
    met++;
    const isFoul = ballLost(result.rest) || cueBallGone(result.rest, position.cue) !== undefined;
    if (!isFoul && isLegalHit(hit, game)) legal++;
  }
  return { met: met / all, legal: legal / all };
}
