import { distance, type Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { Random } from '../random/random.ts';
import type { TablePreset } from '../table/preset.ts';
import { rackBalls, type RackKind } from './rack.ts';
import type { RackQuality } from './rackers.ts';

/** Two neighbours of a rack, by their places in it, the head ball being 0, and how far they are apart, metres. */
export interface RackGap {
  readonly between: readonly [number, number];
  readonly gap: number;
}

/** Pairs that are farther apart in a perfect rack are no neighbours, ball widths. */
const NEIGHBOURS = 1.1;
/** Rounds of moving neighbours to their distances, and then out of each other, before they count as they lie. */
const ROUNDS = 250;
const APART_ROUNDS = 4_000;
/** An overlap below this is none, metres. */
const NONE = 1e-10;

/** The pairs of places of a rack that touch when it is tight: 16 of nine balls, 30 of fifteen. */
export function rackContacts(kind: RackKind, preset: TablePreset): readonly (readonly [number, number])[] {
  const balls = rackBalls(kind, preset);
  const near = NEIGHBOURS * 2 * preset.ballRadius;
  return balls.flatMap((ball, i) =>
    balls.flatMap((other, j): (readonly [number, number])[] =>
      j > i && distance(ball, other) < near ? [[i, j]] : [],
    ),
  );
}

/** What is known of a rack; the rest is drawn. */
export interface RackWish {
  readonly kind: RackKind;
  readonly quality: RackQuality;
  /** Gaps that are known: all other pairs of neighbours then touch, as far as balls can. */
  readonly gaps?: readonly RackGap[] | undefined;
  /** The balls from the head ball back, row by row; drawn by the game's fixed places where it is left out. */
  readonly order?: readonly string[] | undefined;
}

/**
 * A rack as a racker leaves it: every pair of neighbours a drawn gap apart, the whole a little beside its spot and turned.
 * Gaps of a triangle cannot all be had at once (three balls in a ring fix each other): the balls lie so that the gaps are
 * met as nearly as they can, and none overlap.
 * @param random draws the gaps, the place, the turn and the numbers
 * @throws RangeError for a gap between balls that are no neighbours, or an order that is not of the rack's balls
 */
export function drawnRack(
  { kind, quality, gaps, order }: RackWish,
  preset: TablePreset,
  random: Random,
): readonly BallOnTable[] {
  const tight = rackBalls(kind, preset);
  const contacts = rackContacts(kind, preset);
  const isPair = ({ between: [a, b] }: RackGap) =>
    contacts.some(([i, j]) => (i === a && j === b) || (i === b && j === a));
  const strange = gaps?.find((gap) => !isPair(gap));
  if (strange !== undefined)
    throw new RangeError(`drawnRack: ${strange.between.join(' and ')} are no neighbours`);
  const wanted = contacts.map(([i, j]) => {
    if (gaps === undefined) return quality.gap * random.uniform();
    const known = gaps.find(({ between: [a, b] }) => (i === a && j === b) || (i === b && j === a));
    return known?.gap ?? 0;
  });
  const places = tight.map(({ x, y }) => ({ x, y }));
  const across = 2 * preset.ballRadius;
  if (wanted.some((gap) => gap > 0)) {
    settle(places, contacts, wanted, across);
    moveApart(places, contacts, across);
  }
  const ids = order ?? drawnOrder(kind, tight, random);
  const own = [...tight.map(({ id }) => id)].sort();
  if ([...ids].sort().join() !== own.join())
    throw new RangeError('drawnRack: order must name each ball once');
  const anchor = kind === 'eight on the spot' ? EIGHTH : 0;
  const turn = quality.tilt * random.normal();
  const [along, aside] = [quality.offset * random.normal(), quality.offset * random.normal()];
  // Reds are put behind the pink, never into it.
  const shift = { x: kind === 'reds' ? Math.abs(along) : along, y: aside };
  const [spot, from] = [tight[anchor], places[anchor]];
  if (spot === undefined || from === undefined) throw new RangeError('drawnRack: the rack is empty');
  const upright = turn - bearingOff(places, tight, anchor);
  return tight.map((ball, i) => {
    const [dx, dy] = [places[i]!.x - from.x, places[i]!.y - from.y];
    return {
      ...ball,
      id: ids[i]!,
      x: spot.x + shift.x + dx * Math.cos(upright) - dy * Math.sin(upright),
      y: spot.y + shift.y + dx * Math.sin(upright) + dy * Math.cos(upright),
    };
  });
}

/** The place of the last ball in a triangle: the middle of its third row. */
const EIGHTH = 4;

/** Moves neighbours to their distances, pair by pair, again and again (Gauss and Seidel). */
function settle(
  places: Point[],
  contacts: readonly (readonly [number, number])[],
  wanted: readonly number[],
  across: number,
): void {
  for (let round = 0; round < ROUNDS; round++) {
    contacts.forEach(([i, j], k) => part(places, i, j, across + wanted[k]!));
  }
}

/** Moves balls out of each other until none overlaps. */
function moveApart(places: Point[], contacts: readonly (readonly [number, number])[], across: number): void {
  for (let round = 0; round < APART_ROUNDS; round++) {
    let deepest = 0;
    for (const [i, j] of contacts) {
      const gap = distance(places[i]!, places[j]!) - across;
      deepest = Math.min(deepest, gap);
      if (gap < 0) part(places, i, j, across + NONE);
    }
    if (deepest > -NONE) return;
  }
}

function part(places: Point[], i: number, j: number, wanted: number): void {
  const [a, b] = [places[i]!, places[j]!];
  const apart = distance(a, b);
  const by = (0.5 * (wanted - apart)) / apart;
  const [dx, dy] = [(b.x - a.x) * by, (b.y - a.y) * by];
  places[i] = { x: a.x - dx, y: a.y - dy };
  places[j] = { x: b.x + dx, y: b.y + dy };
}

/** By how much a settled rack has turned as a whole against the tight one, radians. */
function bearingOff(places: readonly Point[], tight: readonly Point[], anchor: number): number {
  const [from, spot] = [places[anchor]!, tight[anchor]!];
  let [cross, dot] = [0, 0];
  tight.forEach((at, i) => {
    const [ax, ay] = [at.x - spot.x, at.y - spot.y];
    const [bx, by] = [places[i]!.x - from.x, places[i]!.y - from.y];
    cross += ax * by - ay * bx;
    dot += ax * bx + ay * by;
  });
  return Math.atan2(cross, dot);
}

const LAST = '8';
const MIDDLE = '9';

/** Numbers as the game has them: fixed places kept, the others drawn; at eight-ball a corner of each suit. */
function drawnOrder(kind: RackKind, tight: readonly BallOnTable[], random: Random): readonly string[] {
  const ids = tight.map(({ id }) => id);
  if (kind === 'reds') return ids;
  if (kind === 'nine') {
    const free = shuffled(
      ids.filter((id) => id !== '1' && id !== MIDDLE),
      random,
    );
    return ids.map((id) => (id === '1' || id === MIDDLE ? id : free.pop()!));
  }
  const isLow = (id: string) => Number(id) < Number(LAST);
  const low = shuffled(ids.filter(isLow), random);
  const high = shuffled(
    ids.filter((id) => Number(id) > Number(LAST)),
    random,
  );
  const corners = shuffled([low.pop()!, high.pop()!], random);
  const rest = shuffled([...low, ...high], random);
  const [right, left] = [ids.length - 5, ids.length - 1];
  return ids.map((id, i) => (id === LAST ? id : i === right || i === left ? corners.pop()! : rest.pop()!));
}

function shuffled<T>(all: readonly T[], random: Random): T[] {
  const mixed = [...all];
  for (let k = mixed.length - 1; k > 0; k--) {
    const other = Math.floor(random.uniform() * (k + 1));
    [mixed[k], mixed[other]] = [mixed[other]!, mixed[k]!];
  }
  return mixed;
}
