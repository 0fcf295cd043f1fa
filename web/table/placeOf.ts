import type { Point } from '../../core/math/point.ts';
import { positionAt } from '../../core/motion/path.ts';
import type { ShotResult } from '../../core/motion/shot.ts';

/** Where the balls of a played shot are at a time; undefined once a ball has left the cloth. */
export function placesAt(result: ShotResult, t: number): (id: string, set: Point) => Point | undefined {
  const gone = new Map(
    result.events.flatMap((event) =>
      event.kind === 'pocket' || event.kind === 'off-table' ? [[event.id, event.t] as const] : [],
    ),
  );
  return (id, set) => {
    if (t >= (gone.get(id) ?? Infinity)) return undefined;
    const path = result.paths?.find((each) => each.id === id);
    return path === undefined ? set : positionAt(path, Math.min(t, result.duration));
  };
}
