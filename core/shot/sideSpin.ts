import type { Shot, ShotResult } from '../motion/shot.ts';

/** What side does at the cue ball's first cushion after the hit: helps it along, or holds it. */
export type CushionSide = 'running' | 'check';

/**
 * Whether a stroke's side runs or checks at the first cushion that the cue ball meets after the hit. Side on the right
 * turns the ball counter-clockwise seen from above, so the cushion pushes it along (n × up), n the way into the cushion.
 * @param result with paths and events
 * @returns undefined without side, or when no cushion is met
 */
export function cushionSide({ strike, table }: Shot, result: ShotResult): CushionSide | undefined {
  if (strike.tip.side === 0) return undefined;
  const hit = result.events.find(({ kind }) => kind === 'ball-ball')?.t;
  const path = result.paths?.find(({ id }) => id === strike.ball);
  const bounce = result.events.find(
    (event) => event.kind === 'ball-cushion' && event.id === strike.ball && event.t > (hit ?? Infinity),
  );
  if (path === undefined || bounce?.kind !== 'ball-cushion') return undefined;
  const cushion = table.cushions.find(({ name }) => name === bounce.cushion);
  const piece = path.pieces.findLast(({ t }) => t < bounce.t - 1e-9);
  if (cushion === undefined || piece === undefined) return undefined;
  const tau = bounce.t - piece.t;
  const [vx, vy] = [piece.vx + piece.ax * tau, piece.vy + piece.ay * tau];
  // Along the cushion, to the left of the way into the table.
  const along = -vx * cushion.inward.y + vy * cushion.inward.x;
  return along * strike.tip.side < 0 ? 'check' : 'running';
}
