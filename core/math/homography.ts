import { Matrix, solve } from 'ml-matrix';

type Pair = readonly [number, number];

/** A projective map of the plane, row by row, with 1 at its end. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/**
 * The projective map that takes four points to four others (eight linear equations; Hartley and Zisserman 2004, 4.1).
 * @throws RangeError where three of four points lie on a line
 */
export function homographyOf(from: readonly Pair[], to: readonly Pair[]): Homography {
  const rows = from.slice(0, 4).flatMap(([x, y], i) => {
    const [u, v] = to[i] ?? [0, 0];
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y],
      [0, 0, 0, x, y, 1, -v * x, -v * y],
    ];
  });
  const wanted = to.slice(0, 4).flatMap(([u, v]) => [[u], [v]]);
  if (isDegenerate(from) || isDegenerate(to))
    throw new RangeError('homographyOf: three points lie on a line');
  const [a = 1, b = 0, c = 0, d = 0, e = 1, f = 0, g = 0, h = 0] = solve(
    new Matrix(rows),
    new Matrix(wanted),
  ).getColumn(0);
  return [a, b, c, d, e, f, g, h, 1];
}

/** Where a map takes a point. */
export function mapped([a, b, c, d, e, f, g, h, i]: Homography, [x, y]: Pair): Pair {
  const w = g * x + h * y + i;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
}

/** Of the largest side, squared: a triangle that is flatter than this is a line. */
const FLAT = 1e-6;

function isDegenerate(points: readonly Pair[]): boolean {
  return points.some((_, left) => {
    const [p, q, r] = points.filter((_point, i) => i !== left);
    if (p === undefined || q === undefined || r === undefined) return true;
    const area = Math.abs((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
    const side = Math.max(Math.hypot(q[0] - p[0], q[1] - p[1]), Math.hypot(r[0] - p[0], r[1] - p[1]));
    return !(area > FLAT * side * side);
  });
}
