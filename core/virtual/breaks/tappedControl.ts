import { CUE_BALL } from '../../drill/layout.ts';
import { distance, type Point } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import { cueBallAt } from '../../planning/windowAmong.ts';
import type { Table } from '../../table/table.ts';
import { gradeBreak, nextPotRoughly, type Rack } from '../breakGrades.ts';

/** How well the cue ball was kept, as two taps tell it. */
export interface TappedControl {
  /** 0…3, as breaks are graded. */
  readonly control: number;
  /** Of the next pot, 0…1; undefined at snooker, where it is not the breaker's. */
  readonly chance: number | undefined;
}

/**
 * Grades a break's cue ball from where it stopped and where the next ball lies; at snooker the next ball does not count.
 * Other balls that may be in the way nobody has tapped: the coach sees them.
 * @param cueAt and nextAt metres; a tap a little inside the other ball counts as touching it
 * @returns undefined while the next ball is needed and missing
 */
export function tappedControl(
  table: Table,
  rack: Rack,
  cueAt: Point,
  nextAt: Point | undefined,
): TappedControl | undefined {
  const { ballRadius: radius, ballMass: mass } = table.preset;
  if (rack === 'reds') {
    return {
      control: gradeBreak(table, rack, cueBallAt(table, cueAt, CUE_BALL), []).control,
      chance: undefined,
    };
  }
  if (nextAt === undefined) return undefined;
  const next = { id: '1', ...nextAt, radius, mass };
  const cue = cueBallAt(
    table,
    apart(cueAt, nextAt, contactDistance(table.preset.cueBallRadius, radius)),
    CUE_BALL,
  );
  return {
    control: gradeBreak(table, rack, cue, [next]).control,
    chance: nextPotRoughly(table, rack, cue, [next]),
  };
}

/** A place, moved away from another that it is nearer to than the reach. */
function apart(place: Point, from: Point, reach: number): Point {
  if (distance(place, from) > reach) return place;
  const away = Math.atan2(place.y - from.y, place.x - from.x);
  return { x: from.x + (reach + 1e-6) * Math.cos(away), y: from.y + (reach + 1e-6) * Math.sin(away) };
}
