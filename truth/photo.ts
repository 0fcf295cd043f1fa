import { ballInPhoto } from '../core/photo/ballInPhoto.ts';
import type { Pixel } from '../core/photo/camera.ts';
import { findBalls } from '../core/photo/findBalls.ts';
import { cornersOf, furtherLandmarks, type Landmark, type Mark } from '../core/photo/marks.ts';
import { solveCamera } from '../core/photo/solveCamera.ts';
import { createRandom, type Random } from '../core/random/random.ts';
import type { PresetId } from '../core/table/preset.ts';
import { buildTable, type Table } from '../core/table/table.ts';
import { drawnAt, renderedTable, type DrawnBall, type Viewpoint } from '../scripts/lib/renderedTable.ts';
import { atLeast, atMost, told, type Asked, type Figure } from './figure.ts';

const PICTURES = 60;
const WIDTH = 1600;
const HEIGHT = 1200;
/** A finger sets a mark to so many pixels, and the middle of a ball to this share of its radius: standard deviations. */
const FINGER = 1.5;
const TAPPED = 0.12;
/** Of 255. */
const NOISE = 6;
/** A proposal so near to a ball, in radii, is of it. */
const NEAR = 1;
const KINDS: readonly PresetId[] = ['pool-9ft', 'pool-8ft', 'snooker-12ft'];

/** Colours of balls, as they are sold. */
const COLOURS: readonly DrawnBall['colour'][] = [
  [245, 243, 235],
  [236, 190, 40],
  [34, 70, 160],
  [200, 44, 40],
  [96, 50, 128],
  [226, 116, 40],
  [30, 28, 32],
  [128, 36, 40],
  [232, 150, 170],
];

const between = (random: Random, low: number, high: number) => low + (high - low) * random.uniform();

/** Somebody stands at the table with a telephone held up, at any side of it. */
export function viewOf(table: Table, random: Random): Viewpoint {
  const { length, width } = table;
  const round = between(random, 0, 2 * Math.PI);
  const away = between(random, 0.35, 0.6);
  const eye = [
    length / 2 + Math.cos(round) * (length / 2 + away),
    width / 2 + Math.sin(round) * (width / 2 + away),
    between(random, 1.2, 2) * (length / 2.54),
  ] as const;
  const towards = [
    length / 2 + between(random, -0.1, 0.1),
    width / 2 + between(random, -0.1, 0.1),
    0,
  ] as const;
  const roll = between(random, -0.1, 0.1);
  const distortion = between(random, -0.05, 0.05);
  const base = { eye, towards, roll, distortion, width: WIDTH, height: HEIGHT };
  // They go back with the zoom until the table is in the picture.
  let focal = 0.95;
  const fits = () =>
    cornersOf(table).every(({ at }) => {
      const [u, v] = drawnAt({ ...base, focal }, [at.x, at.y, at.z]);
      return u > 0.03 * WIDTH && v > 0.03 * HEIGHT && u < 0.97 * WIDTH && v < 0.97 * HEIGHT;
    });
  while (!fits() && focal > 0.3) focal *= 0.97;
  return { ...base, focal };
}

/** Balls anywhere, none in another, one of them white. */
export function layoutOf(table: Table, random: Random): readonly DrawnBall[] {
  const radius = table.preset.ballRadius;
  const balls: DrawnBall[] = [];
  const count = 4 + Math.floor(9 * random.uniform());
  while (balls.length < count) {
    const x = between(random, radius, table.length - radius);
    const y = between(random, radius, table.width - radius);
    const isFree = balls.every((other) => Math.hypot(other.x - x, other.y - y) > 2 * radius);
    const isInPocket = table.pockets.some(({ mouth }) => Math.hypot(mouth.x - x, mouth.y - y) < 3 * radius);
    // Only the first is white.
    const colour = COLOURS[balls.length === 0 ? 0 : 1 + ((balls.length - 1) % (COLOURS.length - 1))];
    if (isFree && !isInPocket && colour !== undefined) balls.push({ x, y, radius, colour });
  }
  return balls;
}

/** Marks as a finger sets them. */
export function marksIn(view: Viewpoint, landmarks: readonly Landmark[], random: Random): readonly Mark[] {
  return landmarks.map((landmark) => {
    const [across, down] = drawnAt(view, [landmark.at.x, landmark.at.y, landmark.at.z]);
    return {
      ...landmark,
      pixel: { across: across + FINGER * random.normal(), down: down + FINGER * random.normal() },
    };
  });
}

/** Tables in pictures that are drawn by us, with noise and distortion, against what is read out of them. */
export function photo({ seed, size }: Asked): readonly Figure[] {
  const root = createRandom(seed);
  const count = Math.max(6, Math.round(size * PICTURES));
  const [proposed, tapped, inside]: [number[], number[], number[]] = [[], [], []];
  let [balls, found, wrong, cueBalls] = [0, 0, 0, 0];
  for (let n = 0; n < count; n++) {
    const random = root.fork(n);
    const table = buildTable(KINDS[n % KINDS.length] ?? 'pool-9ft');
    const view = viewOf(table, random);
    const layout = layoutOf(table, random);
    const picture = renderedTable(table, layout, view, NOISE, random);
    const solved = solveCamera(marksIn(view, [...cornersOf(table), ...furtherLandmarks(table)], random), {
      width: WIDTH,
      height: HEIGHT,
    });
    const seen = findBalls(picture, solved.camera, table);
    balls += layout.length;
    for (const { at, isCueBall } of seen) {
      const own = layout.find((ball) => Math.hypot(ball.x - at.x, ball.y - at.y) < NEAR * ball.radius);
      if (own === undefined) wrong++;
      else {
        found++;
        proposed.push(Math.hypot(own.x - at.x, own.y - at.y) / (2 * own.radius));
        if (isCueBall && own === layout[0]) cueBalls++;
      }
    }
    for (const ball of layout) {
      const [across, down] = drawnAt(view, [ball.x, ball.y, ball.radius]);
      const [side] = drawnAt(view, [ball.x, ball.y, 0]);
      // The radius as it is drawn, from two rays; good enough to say how far a finger is off.
      const drawn = Math.max(4, Math.hypot(across - side, down - drawnAt(view, [ball.x, ball.y, 0])[1]));
      const pixel: Pixel = {
        across: across + TAPPED * drawn * random.normal(),
        down: down + TAPPED * drawn * random.normal(),
      };
      const read = ballInPhoto(solved, pixel, ball.radius);
      if (read === undefined) continue;
      const off = Math.hypot(read.at.x - ball.x, read.at.y - ball.y);
      tapped.push(off / (2 * ball.radius));
      inside.push(off <= 2 * read.error ? 1 : 0);
    }
  }
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  return [
    atMost('photo.proposed-error', mean(proposed), 0.2, 'balls'),
    atMost('photo.tapped-error', mean(tapped), 0.2, 'balls'),
    atLeast('photo.found', found / balls, 0.9, 'share'),
    atMost('photo.wrong', wrong / balls, 0.03, 'share'),
    atLeast('photo.cue-ball', cueBalls / count, 0.9, 'share'),
    told('photo.within-two-deviations', mean(inside), 'share'),
  ];
}
