import type { Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';

/**
 * The line of equal angles: a ball that leaves every cushion as it came.
 * @param from middle of the cue ball @param to where its middle is to come @param cushions sides of the table, in order
 * @returns direction in radians, and where it arrives from; undefined where these cushions cannot be met in this order
 */
export function mirroredLine(
  { length, width, preset: { ballRadius: r } }: Table,
  from: Point,
  to: Point,
  cushions: readonly string[],
): { readonly direction: number; readonly last: Point } | undefined {
  // A ball's middle turns a radius before the nose.
  const planes: Readonly<Record<string, { readonly axis: 'x' | 'y'; readonly at: number }>> = {
    head: { axis: 'x', at: r },
    foot: { axis: 'x', at: length - r },
    right: { axis: 'y', at: r },
    left: { axis: 'y', at: width - r },
  };
  let image = to;
  for (const cushion of [...cushions].reverse()) {
    const plane = planes[cushion];
    if (plane === undefined) throw new RangeError(`mirroredLine: there is no cushion ${cushion}`);
    image = { ...image, [plane.axis]: 2 * plane.at - image[plane.axis] };
  }
  const direction = Math.atan2(image.y - from.y, image.x - from.x);
  let [at, ux, uy] = [from, Math.cos(direction), Math.sin(direction)];
  for (const cushion of cushions) {
    const reach = Object.entries(planes)
      .map(([name, { axis, at: plane }]) => {
        const u = axis === 'x' ? ux : uy;
        const gap = plane - at[axis];
        return { name, t: u * gap > 1e-12 ? gap / u : Infinity };
      })
      .reduce((best, each) => (each.t < best.t ? each : best));
    if (reach.name !== cushion) return undefined;
    at = { x: at.x + reach.t * ux, y: at.y + reach.t * uy };
    if (planes[cushion]?.axis === 'x') ux = -ux;
    else uy = -uy;
  }
  return { direction, last: at };
}
