import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { Table } from '../table/table.ts';
import type { Aims } from './aftermath.ts';
import { viewOf, type PotLine } from './potOptions.ts';
import type { Stop, StopState } from './stops.ts';
import { cueBallAt } from './windowAmong.ts';

export const RIBBON_STATES = [
  'on',
  'backup ball',
  'rest',
  'hidden',
  'off',
  'in-off',
  'lost',
  'missed',
] as const;
/**
 * What a stop leaves: on the ball that is named first; on another of those wanted; on one, but with the rest; all hidden;
 * no chance worth the name; the cue ball falls; the pot is missed.
 */
export type RibbonState = (typeof RIBBON_STATES)[number];

/** A stretch of the line on which a stroke's stops lie. */
export interface RibbonPiece {
  readonly state: RibbonState;
  /** Shares of the planned pace at its ends. */
  readonly from: number;
  readonly to: number;
  readonly points: readonly Point[];
}

type Placeless = 'in-off' | 'lost' | 'missed';

/** Whether a state has a place on the cloth that a line can be drawn through. */
export function hasPlace<S extends StopState | RibbonState>(state: S): state is Exclude<S, Placeless> {
  return state !== 'in-off' && state !== 'lost' && state !== 'missed';
}

function stateAt(
  table: Table,
  stop: Stop,
  lines: readonly PotLine[],
  objects: readonly BallOnTable[],
  aims: Aims,
): RibbonState {
  if (!hasPlace(stop.state)) return stop.state;
  const cue = cueBallAt(table, stop.at);
  let [hidden, seen] = [0, 0];
  const on: { readonly ball: string; readonly rest: boolean }[] = [];
  for (const line of lines) {
    const others = objects.filter(({ id }) => id !== line.ball);
    const view = viewOf(table, cue, line, others, aims.error, aims);
    if (view.why === 'hidden') hidden++;
    if (view.why !== 'on') continue;
    seen++;
    if (view.chance >= aims.confidence) on.push({ ball: line.ball, rest: view.cueing.verdict === 'rest' });
  }
  const first = aims.wanted.balls[0];
  const free = on.filter(({ rest }) => !rest);
  if (free.some(({ ball }) => ball === first)) return 'on';
  if (free.length > 0) return 'backup ball';
  if (on.length > 0) return 'rest';
  return hidden > 0 && seen === 0 ? 'hidden' : 'off';
}

/**
 * The line of a stroke's stops by pace, cut where what they leave changes.
 * @param lines pots of the wanted balls; @param objects the object balls that stay, where they lie
 */
export function ribbonOf(
  table: Table,
  stops: readonly Stop[],
  lines: readonly PotLine[],
  objects: readonly BallOnTable[],
  aims: Aims,
): readonly RibbonPiece[] {
  const pieces: RibbonPiece[] = [];
  for (const stop of stops) {
    const state = stateAt(table, stop, lines, objects, aims);
    const last = pieces.at(-1);
    if (last?.state === state) {
      pieces[pieces.length - 1] = { ...last, to: stop.factor, points: [...last.points, stop.at] };
    } else {
      // Stretches meet, so that the line has no gaps; a fall or a miss has no place that joins on.
      const joins = last !== undefined && hasPlace(last.state);
      const begin = joins ? last.points.slice(-1) : [];
      pieces.push({ state, from: stop.factor, to: stop.factor, points: [...begin, stop.at] });
    }
  }
  return pieces;
}
