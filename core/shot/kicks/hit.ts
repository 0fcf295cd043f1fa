import { bearing, type Point } from '../../math/point.ts';
import { positionAt } from '../../motion/path.ts';
import type { ShotResult } from '../../motion/shot.ts';
import type { Game } from '../../table/preset.ts';

/** What became of a hit on a ball, by way of cushions or not. */
export interface Hit {
  /** Cushions of the cue ball before its first ball, by the side of the table, in order. */
  readonly before: readonly string[];
  /** Id of the first ball met; undefined when none was. */
  readonly first: string | undefined;
  /** Share of the ball's width that the cue ball covers as they meet, 0…1. */
  readonly covered: number;
  /** On which side of the ball, as the cue ball comes. */
  readonly side: 'left' | 'right';
  /** After it a ball fell or reached a cushion. */
  readonly reached: boolean;
}

/** Just before two balls meet, seconds: how the cue ball comes is read over this time. */
const JUST_BEFORE = 1e-3;

/** The side of the table on which a cushion is: both halves of a long one are the same. */
export function sideOf(cushion: string): string {
  return cushion.split('-')[0] ?? cushion;
}

/** Reads the first hit of the cue ball off a played shot. @param result with events and paths @param cue its id */
export function hitOf(result: ShotResult, cue: string): Hit {
  const before: string[] = [];
  for (const [i, event] of result.events.entries()) {
    if (event.kind === 'ball-cushion' && event.id === cue) before.push(sideOf(event.cushion));
    if (event.kind !== 'ball-ball' || !event.ids.includes(cue)) continue;
    const first = event.ids.find((id) => id !== cue);
    const later = result.events.slice(i + 1);
    const reached = later.some(({ kind }) => kind === 'pocket' || kind === 'ball-cushion');
    const off = offsetAt(result, cue, first ?? '', event.t);
    return { before, first, covered: 1 - Math.abs(off), side: off > 0 ? 'right' : 'left', reached };
  }
  return { before, first: undefined, covered: 0, side: 'left', reached: false };
}

/** Whether a hit on the right ball is legal by the game's rules: at pool a ball has to fall or reach a cushion after it. */
export function isLegalHit({ reached }: Pick<Hit, 'reached'>, game: Game): boolean {
  return reached || game === 'snooker';
}

/** How far beside the cue ball's way a ball lies as they meet, as a share of its width; above 0 to the left of it. */
function offsetAt(result: ShotResult, cue: string, ball: string, t: number): number {
  const [cuePath, ballPath] = [cue, ball].map((id) => result.paths?.find((path) => path.id === id));
  if (cuePath === undefined || ballPath === undefined) return 1;
  const before: Point = positionAt(cuePath, t - JUST_BEFORE);
  const at = positionAt(cuePath, t);
  return Math.sin(bearing(at, positionAt(ballPath, t)) - bearing(before, at));
}
