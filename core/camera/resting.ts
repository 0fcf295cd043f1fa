import { distance, type Point } from '../math/point.ts';
import { median } from '../statistics/summary.ts';
import type { CameraFrame, SeenBall } from './frame.ts';

/** A ball that lies still, as some frames together have it. */
export interface RestingBall {
  readonly name: string;
  readonly at: Point;
  /** Standard error of its place along each axis, metres. */
  readonly error: number;
  /** The share of the sightings that called it so. */
  readonly agreed: number;
  /** The share of the frames in which it was seen. */
  readonly seen: number;
  /** Mean confidence, 0…1. */
  readonly confidence: number;
}

/** What some frames together say. */
export type Stillness =
  | { readonly state: 'waiting' | 'covered' | 'moving' }
  | {
      readonly state: 'still';
      readonly balls: readonly RestingBall[];
      /** Places where something was seen now and then, and no ball can be told. */
      readonly flickers: readonly Point[];
    };

/** Balls are still when they were so for this long, seconds, in so many frames. */
export const LOOKED_AT = 1.5;
const SHORTEST = 1.2;
const FEWEST_FRAMES = 9;
/** A ball that is there was seen in half of so many last frames: otherwise it may have been met just now. */
const LAST_FRAMES = 4;
/** A sighting less sure than this counts for nothing. */
const FAINTEST = 0.3;
/** In this share of the frames there is a ball; in this share or less it was a mistake. */
const THERE = 0.6;
const MISTAKE = 0.2;
/** In the whole time a ball that lies still goes no further than this, metres, beside what noise makes of it. */
const DRIFT = 0.004;
const NOISE_FACTOR = 3;
/** Sightings that belong to no ball, for each frame, from which on something is moving. */
const STRAY = 0.5;

/** Sightings of one place. */
interface Cluster {
  readonly sightings: SeenBall[];
  x: number;
  y: number;
}

/**
 * Whether all balls lie still, and where. Places decide, not names: two balls never lie within a radius of each other, while names may be
 * exchanged. A ball that rolls slows down by some 0.1 m/s each second: in the second and a half before it stops it goes some 11 cm, so that
 * what moved less than some millimetres lies still.
 * @param frames the last ones, the oldest first; those of the last second and a half count
 * @param radius of a ball, metres
 */
export function stillness(frames: readonly CameraFrame[], radius: number): Stillness {
  const last = frames.at(-1);
  if (last === undefined) return { state: 'waiting' };
  const window = frames.filter(({ at }) => at > last.at - LOOKED_AT);
  const first = window[0];
  if (first === undefined || window.length < FEWEST_FRAMES || last.at - first.at < SHORTEST)
    return { state: 'waiting' };
  if (window.some(({ isCovered }) => isCovered)) return { state: 'covered' };
  const clusters = clustersOf(window, radius);
  const count = window.length;
  const isThere = ({ sightings }: Cluster) => sightings.length >= THERE * count;
  const isMistake = ({ sightings }: Cluster) => sightings.length <= Math.max(1, MISTAKE * count);
  const strays = clusters
    .filter((cluster) => !isThere(cluster))
    .reduce((sum, { sightings }) => sum + sightings.length, 0);
  const there = clusters.filter(isThere);
  const lately = window.slice(-LAST_FRAMES);
  const hasLeft = ({ x, y }: Cluster) =>
    lately.filter(({ balls }) => balls.some(({ at }) => distance(at, { x, y }) < radius)).length <
    LAST_FRAMES / 2;
  if (strays >= STRAY * count || there.some(hasDrifted)) return { state: 'moving' };
  if (there.some(hasLeft)) return { state: 'waiting' };
  return {
    state: 'still',
    balls: there.map((cluster) => restingBall(cluster, count)),
    flickers: clusters
      .filter((cluster) => !isThere(cluster) && !isMistake(cluster))
      .map(({ x, y }) => ({ x, y })),
  };
}

/** Sightings by where they are: each goes to the nearest place within a radius, or begins one. */
function clustersOf(frames: readonly CameraFrame[], radius: number): readonly Cluster[] {
  const clusters: Cluster[] = [];
  for (const { balls } of frames) {
    for (const ball of balls) {
      if (ball.confidence < FAINTEST) continue;
      let nearest: Cluster | undefined;
      for (const cluster of clusters) {
        const away = distance(cluster, ball.at);
        if (away < radius && (nearest === undefined || away < distance(nearest, ball.at))) nearest = cluster;
      }
      if (nearest === undefined) {
        nearest = { sightings: [], x: ball.at.x, y: ball.at.y };
        clusters.push(nearest);
      }
      nearest.sightings.push(ball);
      // The middle goes with them, so that the first, noisy one does not decide.
      const n = nearest.sightings.length;
      nearest.x += (ball.at.x - nearest.x) / n;
      nearest.y += (ball.at.y - nearest.y) / n;
    }
  }
  return clusters;
}

/** The middle of places, each axis by itself: a sighting that is far off does not count more than another. */
function middleOf(sightings: readonly SeenBall[]): Point {
  return { x: median(sightings.map(({ at }) => at.x)), y: median(sightings.map(({ at }) => at.y)) };
}

/**
 * How far single sightings lie from where the ball is along an axis, as a standard deviation: by the steps from one to the next, which a
 * ball that rolls slowly hardly lengthens.
 */
function noiseOf(sightings: readonly SeenBall[]): number {
  const steps = sightings.slice(1).map(({ at }, i) => distance(at, sightings[i]?.at ?? at));
  // A step has the noise of both its ends; the median length in a plane is 1.177 deviations of an axis (Rayleigh).
  return steps.length === 0 ? 0 : median(steps) / (1.177 * Math.SQRT2);
}

/** Whether a ball went somewhere in the time, by the straight line through its sightings (least squares). */
function hasDrifted({ sightings }: Cluster): boolean {
  const n = sightings.length;
  const middle = (n - 1) / 2;
  const spread = sightings.reduce((sum, _, i) => sum + (i - middle) ** 2, 0);
  const wayOf = (axis: (ball: SeenBall) => number) =>
    (sightings.reduce((sum, ball, i) => sum + (i - middle) * axis(ball), 0) / spread) * (n - 1);
  const way = Math.hypot(
    wayOf(({ at }) => at.x),
    wayOf(({ at }) => at.y),
  );
  const chance = (noiseOf(sightings) * (n - 1)) / Math.sqrt(spread);
  return way > DRIFT + NOISE_FACTOR * chance;
}

function restingBall({ sightings }: Cluster, frames: number): RestingBall {
  const at = middleOf(sightings);
  const counts = new Map<string, number>();
  for (const { name } of sightings) counts.set(name, (counts.get(name) ?? 0) + 1);
  const [called] = [...counts].toSorted(([, a], [, b]) => b - a);
  const [name, times] = called ?? ['', 0];
  return {
    name,
    at,
    error: (1.25 * noiseOf(sightings)) / Math.sqrt(sightings.length),
    agreed: times / sightings.length,
    seen: sightings.length / frames,
    confidence: sightings.reduce((sum, { confidence }) => sum + confidence, 0) / sightings.length,
  };
}
