import { cosine, sine } from '../math/elementary.ts';
import type { Point } from '../math/point.ts';
import type { Table } from '../table/table.ts';
import { positionAt } from './path.ts';
import type { BallPath, ShotEvent, ShotResult } from './shot.ts';

/** An event with the places that a drawing or a sentence needs, metres. */
export interface Mark {
  readonly event: ShotEvent;
  /** Where the ball is; of two balls that meet, the first. */
  readonly at: Point;
  /** Where two balls touch, or a ball the cushion. */
  readonly contact?: Point;
  /** On a table with sights: how many of them a cushion is met from the head end, or from the right-hand side. */
  readonly sight?: number;
}

/**
 * The marks of a shot that was played with its paths, in order.
 * @throws RangeError when the result has no paths
 */
export function marksOf(result: ShotResult, table: Table): readonly Mark[] {
  const { paths, events } = result;
  if (paths === undefined) throw new RangeError('marksOf: the shot must be played with its paths');
  const byId = new Map(paths.map((path) => [path.id, path]));
  return events.map((event) => markOf(event, byId, table));
}

function markOf(event: ShotEvent, paths: ReadonlyMap<string, BallPath>, table: Table): Mark {
  const placeOf = (id: string) => {
    const path = paths.get(id);
    if (path === undefined) throw new RangeError(`marksOf: there is no path of ball ${id}`);
    return positionAt(path, event.t);
  };
  if (event.kind === 'ball-ball') {
    const [first, second] = event.ids;
    const a = placeOf(first);
    const b = placeOf(second);
    return { event, at: a, contact: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } };
  }
  const at = placeOf(event.id);
  if (event.kind !== 'ball-cushion') return { event, at };
  const end = event.cushion === 'head' || event.cushion === 'foot';
  const contact = end
    ? { x: event.cushion === 'head' ? 0 : table.length, y: at.y }
    : { x: at.x, y: event.cushion.startsWith('right') ? 0 : table.width };
  const sight = end ? (4 * at.y) / table.width : (8 * at.x) / table.length;
  return { event, at, contact, ...(table.preset.sights ? { sight } : {}) };
}

/** The place at a distance from another in a direction, metres and radians. */
export function placeFrom(from: Point, direction: number, distance: number): Point {
  return { x: from.x + distance * cosine(direction), y: from.y + distance * sine(direction) };
}
