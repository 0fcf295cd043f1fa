import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import { median } from '../statistics/summary.ts';
import { eyeOf, projected, projectorOf, type Camera, type Pixel, type PictureSize } from './camera.ts';
import type { Mark } from './marks.ts';

/** Four corners are needed; from so many marks on the distortion is found too. */
const LEAST_MARKS = 4;
const MARKS_FOR_DISTORTION = 8;
/** What pictures of telephones have: focal length as a share of the longer side, and by how much it differs, a share. */
const USUAL_FOCAL = 0.75;
const FOCAL_SPREAD = 0.35;
/** How much telephones distort: spread of the term. */
const DISTORTION_SPREAD = 0.08;
/** A mark is set by a finger under a magnifier to so many pixels of a picture of 1,600: a standard deviation. */
const FINGER = 1.5 / 1600;

/** The table takes at least this share of the picture. */
const LEAST_AREA = 0.005;
/** A corner that is drawn so far from where it was marked was never one, a share of the longer side. */
const MOST_OFF = 0.02;

/** A camera from marks, and how well it fits. */
export interface SolvedCamera {
  readonly camera: Camera;
  /** How far a mark is drawn from where it was marked while it was not used, pixels: a standard deviation. */
  readonly error: number;
  /** Whether that was measured by marks that were not used, or is what a finger usually makes. */
  readonly isMeasured: boolean;
}

/**
 * How a picture was taken, from marks of known places: the perspective of the corners gives a first answer (direct linear
 * transform; Hartley and Zisserman 2004), which is then fitted to all marks by Levenberg and Marquardt, with what telephones usually have as one more
 * observation. From eight marks on the distortion is fitted too. The error comes from marks that are left out one by one; with four
 * alone there are none.
 * @param marks four corners first, others after them
 * @throws RangeError for fewer than four marks, or corners that no camera can see so
 */
export function solveCamera(marks: readonly Mark[], size: PictureSize): SolvedCamera {
  if (marks.length < LEAST_MARKS) throw new RangeError('four corners are needed');
  if (areaOf(marks.slice(0, LEAST_MARKS)) < LEAST_AREA * size.width * size.height)
    throw new RangeError('no camera sees corners so');
  const start = firstCamera(marks.slice(0, LEAST_MARKS), size);
  const camera = refined(start, marks, size);
  if (eyeOf(camera).z <= 0)
    throw new RangeError('the corners go round the wrong way: right and left are exchanged');
  const longer = Math.max(size.width, size.height);
  const finger = FINGER * longer;
  const offOf = (by: Camera, { at, pixel }: Mark) => {
    const drawn = projected(by, at);
    return drawn === undefined ? Infinity : Math.hypot(drawn.across - pixel.across, drawn.down - pixel.down);
  };
  if (marks.slice(0, LEAST_MARKS).some((corner) => offOf(camera, corner) > MOST_OFF * longer))
    throw new RangeError('no camera sees corners so');
  const further = marks.slice(LEAST_MARKS);
  if (further.length === 0) return { camera, error: finger, isMeasured: false };
  const residuals = further.map((left) => {
    const others = marks.filter((mark) => mark !== left);
    return offOf(refined(camera, others, size), left);
  });
  // The median of a distance in the plane is 1.18 of its standard deviation by each axis (Rayleigh).
  return { camera, error: Math.max(finger / 3, median(residuals) / 1.1774), isMeasured: true };
}

/** What the corners enclose, square pixels (the shoelace formula). */
function areaOf(corners: readonly Mark[]): number {
  const twice = corners.reduce((sum, { pixel: from }, i) => {
    const to = corners[(i + 1) % corners.length]?.pixel ?? from;
    return sum + from.across * to.down - to.across * from.down;
  }, 0);
  return Math.abs(twice) / 2;
}

type Parameters = readonly number[];

function cameraOf(
  [focal = 1, a = 0, b = 0, c = 0, x = 0, y = 0, z = 1, distortion = 0]: Parameters,
  size: PictureSize,
): Camera {
  const longer = Math.max(size.width, size.height);
  return { size, focal: Math.exp(focal) * longer, turn: [a, b, c], origin: [x, y, z], distortion };
}

function refined(start: Camera, marks: readonly Mark[], size: PictureSize): Camera {
  const longer = Math.max(size.width, size.height);
  const finger = FINGER * longer;
  const bends = marks.length >= MARKS_FOR_DISTORTION;
  const pixels = marks.flatMap(({ pixel }) => [pixel.across, pixel.down]);
  // All in standard deviations; the last two say what telephones have.
  const wanted = [...pixels.map((value) => value / finger), Math.log(USUAL_FOCAL) / FOCAL_SPREAD, 0];
  const model = (parameters: number[]) => {
    const project = projectorOf(cameraOf(parameters, size));
    const drawn = marks.flatMap(({ at }) => {
      const pixel: Pixel = project(at) ?? { across: 1e6, down: 1e6 };
      return [pixel.across / finger, pixel.down / finger];
    });
    const told = [...drawn, (parameters[0] ?? 0) / FOCAL_SPREAD, (parameters[7] ?? 0) / DISTORTION_SPREAD];
    return (i: number) => told[i] ?? 0;
  };
  const initialValues = [
    Math.log(start.focal / longer),
    ...start.turn,
    ...start.origin,
    ...(bends ? [start.distortion] : []),
  ];
  const { parameterValues } = levenbergMarquardt({ x: wanted.map((_, i) => i), y: wanted }, model, {
    initialValues,
    damping: 1e-3,
    maxIterations: 200,
    gradientDifference: 1e-6,
    centralDifference: true,
    errorTolerance: 1e-9,
    improvementThreshold: 1e-9,
  });
  return cameraOf(parameterValues, size);
}

/** The camera that four corners at one height tell by themselves. */
function firstCamera(corners: readonly Mark[], size: PictureSize): Camera {
  const longer = Math.max(size.width, size.height);
  const height = corners[0]?.at.z ?? 0;
  const rows = corners.flatMap(({ at, pixel }) => {
    const [u, v] = [(pixel.across - size.width / 2) / longer, (pixel.down - size.height / 2) / longer];
    return [
      [at.x, at.y, 1, 0, 0, 0, -u * at.x, -u * at.y, -u],
      [0, 0, 0, at.x, at.y, 1, -v * at.x, -v * at.y, -v],
    ];
  });
  // Nine columns need as many rows.
  rows.push(Array.from({ length: 9 }, () => 0));
  const vectors = new SingularValueDecomposition(new Matrix(rows), { autoTranspose: true })
    .rightSingularVectors;
  const h = vectors.getColumn(vectors.columns - 1);
  const sign = (h[8] ?? 1) < 0 ? -1 : 1;
  const at = (row: number, column: number) => sign * (h[3 * row + column] ?? 0);
  const focal = focalOf([0, 1, 2].map((row) => [at(row, 0), at(row, 1)]));
  const column = (j: number) => [at(0, j) / focal, at(1, j) / focal, at(2, j)] as [number, number, number];
  const [first, second, third] = [column(0), column(1), column(2)];
  const scale = (Math.hypot(...first) + Math.hypot(...second)) / 2;
  if (!(scale > 0)) throw new RangeError('no camera sees corners so');
  const along = unit(first);
  const away = dotOf(along, second);
  const across = unit(second.map((value, i) => value - away * (along[i] ?? 0)) as [number, number, number]);
  const up = cross(along, across);
  const rotation = [0, 1, 2].map((i) => [along[i] ?? 0, across[i] ?? 0, up[i] ?? 0]);
  const origin = third.map((value, i) => value / scale - (up[i] ?? 0) * height) as [number, number, number];
  return { size, focal: focal * longer, turn: axisOf(rotation), origin, distortion: 0 };
}

/** The focal length at which the two sides of the table are square to each other, in longer sides; the usual one where they do not say. */
function focalOf([
  [a = 0, b = 0] = [],
  [c = 0, d = 0] = [],
  [e = 0, f = 0] = [],
]: readonly (readonly number[])[]): number {
  const squared = -(a * b + c * d) / (e * f);
  const focal = Math.sqrt(squared);
  return Number.isFinite(focal) && focal > USUAL_FOCAL / 3 && focal < USUAL_FOCAL * 3 ? focal : USUAL_FOCAL;
}

type Triple = [number, number, number];
const dotOf = (a: Triple, b: Triple) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const unit = (a: Triple): Triple => a.map((value) => value / Math.hypot(...a)) as Triple;
const cross = (a: Triple, b: Triple): Triple => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Axis times angle of a rotation. */
function axisOf(rotation: readonly (readonly number[])[]): Triple {
  const r = (i: number, j: number) => rotation[i]?.[j] ?? 0;
  const angle = Math.acos(Math.max(-1, Math.min(1, (r(0, 0) + r(1, 1) + r(2, 2) - 1) / 2)));
  const turn: Triple = [r(2, 1) - r(1, 2), r(0, 2) - r(2, 0), r(1, 0) - r(0, 1)];
  const length = Math.hypot(...turn);
  if (length > 1e-6) return turn.map((value) => (value / length) * angle) as Triple;
  if (angle < 1) return [0, 0, 0];
  // Half a turn: the axis stands in the diagonal of (R + 1) / 2.
  const squares = [0, 1, 2].map((i) => Math.max(0, (r(i, i) + 1) / 2));
  const most = squares.indexOf(Math.max(...squares));
  const main = Math.sqrt(squares[most] ?? 1);
  return [0, 1, 2].map((i) => (i === most ? main : (r(most, i) + r(i, most)) / 4 / main) * angle) as Triple;
}
