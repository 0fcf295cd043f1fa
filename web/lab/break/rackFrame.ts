import type { Point } from '../../../core/math/point.ts';
import { rackBalls, type RackKind } from '../../../core/rack/rack.ts';
import type { TablePreset } from '../../../core/table/preset.ts';

/** A picture of the rack from above, the breaker below: its size, and where a place of the table is in it, metres. */
export interface RackFrame {
  readonly width: number;
  readonly height: number;
  readonly at: (place: Point) => readonly [x: number, y: number];
}

/** @param margin round the rack, ball radii */
export function rackFrame(kind: RackKind, preset: TablePreset, margin = 1): RackFrame {
  const balls = rackBalls(kind, preset);
  const by = margin * preset.ballRadius;
  const xs = balls.map(({ x }) => x);
  const ys = balls.map(({ y }) => y);
  const [left, far] = [Math.max(...ys) + by, Math.max(...xs) + by];
  return {
    width: left - Math.min(...ys) + by,
    height: far - Math.min(...xs) + by,
    at: ({ x, y }) => [left - y, far - x],
  };
}
