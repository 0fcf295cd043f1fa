import { distance, type Point } from '../math/point.ts';
import { resolvePlace } from '../drill/layout.ts';
import type { Target } from '../records/drill.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { TablePreset } from '../table/preset.ts';

interface Corner {
  readonly along: number;
  readonly across: number;
}

/** A place given in shares of the table, metres. */
function onTable({ along, across }: Corner, { length, width }: TablePreset): Point {
  return { x: along * length, y: across * width };
}

/** Whether a place lies inside a polygon, by how often a ray from it crosses the sides (even and odd). */
function isInside(place: Point, corners: readonly Point[]): boolean {
  let inside = false;
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length] ?? a;
    if (a.y > place.y === b.y > place.y) return;
    if (place.x <= a.x + ((place.y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
  });
  return inside;
}

/** The distance of a place from a stretch between two points, metres. */
function fromStretch(place: Point, a: Point, b: Point): number {
  const lengthSq = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const t = lengthSq === 0 ? 0 : ((place.x - a.x) * (b.x - a.x) + (place.y - a.y) * (b.y - a.y)) / lengthSq;
  const s = Math.min(1, Math.max(0, t));
  return distance(place, { x: a.x + s * (b.x - a.x), y: a.y + s * (b.y - a.y) });
}

/**
 * The middle of rings on a table, metres.
 * @param placed the drill's placed balls, for rings that lie beside one
 * @throws RangeError at a place that this kind of table does not have
 */
export function centreOfRings(
  target: Extract<Target, { kind: 'rings' }>,
  preset: TablePreset,
  placed: readonly BallOnTable[],
): Point {
  return resolvePlace(target.at, preset, { radius: preset.cueBallRadius, placed });
}

/**
 * What a cue ball earns that stops at a place: the most that any of the targets gives; a stretch of cushion and the
 * thickness of a hit are judged by other means and give nothing here.
 * @param landing centre of the cue ball, metres
 * @param placed the drill's placed balls, for rings that lie beside one
 * @throws RangeError when rings stand at a place that this kind of table does not have
 */
export function targetPoints(
  landing: Point,
  targets: readonly Target[],
  preset: TablePreset,
  placed: readonly BallOnTable[],
): number {
  const ball = 2 * preset.ballRadius;
  return targets.reduce((most, target) => {
    switch (target.kind) {
      case 'rings': {
        const away = distance(landing, centreOfRings(target, preset, placed));
        const ring = target.rings.find(({ radius }) => away <= radius * ball);
        return Math.max(most, ring?.points ?? 0);
      }
      case 'rectangle': {
        const [a, b] = [onTable(target.from, preset), onTable(target.to, preset)];
        const within =
          landing.x >= Math.min(a.x, b.x) &&
          landing.x <= Math.max(a.x, b.x) &&
          landing.y >= Math.min(a.y, b.y) &&
          landing.y <= Math.max(a.y, b.y);
        return Math.max(most, within ? target.points : 0);
      }
      case 'polygon': {
        const corners = target.corners.map((corner) => onTable(corner, preset));
        return Math.max(most, isInside(landing, corners) ? target.points : 0);
      }
      case 'way': {
        const away = fromStretch(landing, onTable(target.from, preset), onTable(target.to, preset));
        return Math.max(most, away <= target.room * ball ? target.points : 0);
      }
      case 'cushion':
      case 'thickness':
        return most;
    }
  }, 0);
}
