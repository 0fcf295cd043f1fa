import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import type { Game } from '../../table/preset.ts';
import type { Table } from '../../table/table.ts';
import { directionsWhere, middleOf } from '../directions.ts';
import { hitOf, isLegalHit, type Hit } from './hit.ts';

/** Paces, m/s, and sides, shares of the radius, that are tried; directions are looked at in these steps, radians. */
const SPEEDS = [1.2, 1.9, 2.8, 4];
const SIDES = [0, -0.4, 0.4];
const STEP = 0.012;

/** A ball to be met first, and how. */
export interface KickTask {
  readonly target: string;
  /** Cushions before it, by the side of the table, in order; empty where the way is the player's to find. */
  readonly cushions: readonly string[];
}

/** Whether a hit is what a kick asks for: its ball first, legally at that game, and by its cushions where it names some. */
export function isKickAsked({ target, cushions }: KickTask, hit: Hit, game: Game): boolean {
  if (hit.first !== target || !isLegalHit(hit, game)) return false;
  return cushions.length === 0 || hit.before.join(' ') === cushions.join(' ');
}

/**
 * The kick that forgives most: of plain strokes at some paces, then of those with side, the one whose stretch of
 * directions is widest; by the cushions that are asked for and, where none leads there, by any.
 * @param balls as they lie, the cue ball among them
 * @returns undefined where no stroke of these meets the ball
 */
export function forgivingKick(
  table: Table,
  balls: readonly BallOnTable[],
  cue: string,
  task: KickTask,
): Shot | undefined {
  const shotAt = (speed: number, direction: number, side: number): Shot => ({
    table,
    balls,
    strike: { ball: cue, speed, direction, tip: { side, height: 0 }, elevation: 0 },
  });
  const hits = (wanted: KickTask) => (shot: Shot) =>
    isKickAsked(wanted, hitOf(simulate(shot, { paths: true }), cue), table.preset.game);
  for (const [sides, wanted] of [
    [SIDES.slice(0, 1), task],
    [SIDES.slice(1), task],
    [SIDES, { ...task, cushions: [] }],
  ] as const) {
    const best = widest(sides, shotAt, hits(wanted));
    if (best !== undefined) return best;
  }
  return undefined;
}

function widest(
  sides: readonly number[],
  shotAt: (speed: number, direction: number, side: number) => Shot,
  wanted: (shot: Shot) => boolean,
): Shot | undefined {
  let best: { shot: Shot; width: number } | undefined;
  for (const side of sides) {
    for (const speed of SPEEDS) {
      const holds = (direction: number) => wanted(shotAt(speed, direction, side));
      const range = directionsWhere(-Math.PI, Math.PI, STEP, holds)[0];
      if (range === undefined) continue;
      const width = range.high - range.low;
      if (best === undefined || width > best.width)
        best = { shot: shotAt(speed, middleOf(range), side), width };
    }
  }
  return best?.shot;
}
