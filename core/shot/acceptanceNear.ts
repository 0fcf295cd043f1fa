import { toRadians, wrapAngle } from '../math/angle.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { POCKET_NAMES, type PocketName } from '../table/pockets.ts';
import { pocketNamed, type Table } from '../table/table.ts';
import { acceptanceOf, pottingSpeed, type Acceptance } from './acceptance.ts';

/** How wide a pocket is for balls that come from a direction: what a look from one place tells about others. */
interface Opening {
  /** Half of what falls, measured at the mouth, metres. */
  readonly half: number;
  /** How far beside the mouth its middle lies, metres to the left of the way. */
  readonly aside: number;
}

/** Steps of the direction at which openings are computed, radians; between them linear. */
const TURN = toRadians(2.5);
/** Distances at which they are computed, metres: the nearest below counts. */
const DISTANCES = [1.2, 0.6, 0.3];
/** Flatter than this a corner takes a ball along its cushion, which no other place tells about. */
const FLATTEST_CORNER = toRadians(35);
const FLATTEST_MIDDLE = toRadians(62);
/** Beyond this nothing falls into a middle pocket: not worth a search. */
const SHUT_MIDDLE = toRadians(78);
/** Side of the squares in which a flat way into a pocket counts as the same but for its direction, metres. */
const CELL = 0.01;
/**
 * How long such a piece is along the cushion where many places are asked for, metres, and how wide farther from it than
 * this: close to it a centimetre counts.
 */
const PIECE = 0.16;
const WIDE_PIECE = 0.03;
const CLOSE = 0.08;

/** What is known of a table's pockets, by keys of pocket, direction and distance, or of pocket and square. */
interface Known {
  readonly openings: Map<number, Opening | undefined>;
  readonly cells: Map<number, Acceptance | undefined>;
  /** The same for longer pieces along the cushion. */
  readonly pieces: Map<number, Acceptance | undefined>;
}

const known = new WeakMap<Table, Known>();

function knownOf(table: Table): Known {
  let found = known.get(table);
  if (found === undefined)
    known.set(table, (found = { openings: new Map(), cells: new Map(), pieces: new Map() }));
  return found;
}

function isInside({ length, width, preset }: Table, { x, y }: Point): boolean {
  const radius = preset.ballRadius + 0.002;
  return x > radius && x < length - radius && y > radius && y < width - radius;
}

function remembered<T>(map: Map<number, T>, key: number, compute: () => T): T {
  const found = map.get(key);
  if (found !== undefined || map.has(key)) return found!;
  const made = compute();
  map.set(key, made);
  return made;
}

/** @param away how far the ball is, metres; undefined where any distance will do */
function openingAt(
  table: Table,
  name: PocketName,
  turn: number,
  away: number | undefined,
): Opening | undefined {
  const pocket = pocketNamed(table, name);
  const way = bearing(pocket.mouth, pocket.drop) + turn * TURN;
  const reach = DISTANCES.find(
    (each, i) =>
      (away === undefined || each <= away || i === DISTANCES.length - 1) &&
      isInside(table, {
        x: pocket.mouth.x - each * Math.cos(way),
        y: pocket.mouth.y - each * Math.sin(way),
      }),
  );
  if (reach === undefined) return undefined;
  const key = (POCKET_NAMES.indexOf(name) * DISTANCES.length + DISTANCES.indexOf(reach)) * 256 + (turn + 128);
  return remembered(knownOf(table).openings, key, () => {
    const from = { x: pocket.mouth.x - reach * Math.cos(way), y: pocket.mouth.y - reach * Math.sin(way) };
    const found = acceptanceOf(table, from, name);
    if (found === undefined) return undefined;
    return {
      half: reach * Math.tan(0.5 * (found.high - found.low)),
      aside: reach * Math.tan(wrapAngle(found.middle - way)),
    };
  });
}

/** The acceptance of a place from that of the middle of its square or piece, turned by the difference of their bearings. */
function fromSquare(table: Table, from: Point, name: PocketName, piece: boolean): Acceptance | undefined {
  const radius = table.preset.ballRadius;
  const { mouth } = pocketNamed(table, name);
  const isAlongX = Math.abs(from.x - mouth.x) > Math.abs(from.y - mouth.y);
  const off = isAlongX ? Math.min(from.y, table.width - from.y) : Math.min(from.x, table.length - from.x);
  const across = piece && off > CLOSE ? WIDE_PIECE : CELL;
  const along = piece ? PIECE : CELL;
  const [wide, high] = isAlongX ? [along, across] : [across, along];
  const column = Math.round(from.x / wide);
  const row = Math.round(from.y / high);
  const at = {
    x: Math.min(table.length - radius, Math.max(radius, column * wide)),
    y: Math.min(table.width - radius, Math.max(radius, row * high)),
  };
  const key =
    ((column * 4096 + row) * POCKET_NAMES.length + POCKET_NAMES.indexOf(name)) * 4 +
    (isAlongX ? 2 : 0) +
    (across === CELL ? 1 : 0);
  const { cells, pieces } = knownOf(table);
  const base = remembered(piece ? pieces : cells, key, () => acceptanceOf(table, at, name));
  if (base === undefined) return undefined;
  const turn = wrapAngle(bearing(from, mouth) - bearing(at, mouth));
  return { low: base.low + turn, high: base.high + turn, middle: base.middle + turn, speed: base.speed };
}

/**
 * The acceptance of a pocket for a ball at a place, from what was computed for other places: seen from one direction a
 * pocket is as wide from near as from far. For searches that ask for thousands, where `acceptanceOf` would take
 * milliseconds for each; within a tenth of the width of what that gives (tested), except right in front of a pocket.
 * @returns undefined when no direction near the straight line pots it
 */
export function acceptanceNear(table: Table, from: Point, name: PocketName): Acceptance | undefined {
  return acceptanceBy(table, from, name, false);
}

/**
 * The same from fewer places still, for searches that leave balls everywhere: along a cushion what holds at a place is taken
 * to hold for eight centimetres either way, and elsewhere a pocket is looked at from one distance, every five degrees.
 * Arguments as above.
 */
export function acceptanceAbout(table: Table, from: Point, name: PocketName): Acceptance | undefined {
  return acceptanceBy(table, from, name, true);
}

function acceptanceBy(table: Table, from: Point, name: PocketName, about: boolean): Acceptance | undefined {
  const pocket = pocketNamed(table, name);
  const straight = bearing(from, pocket.mouth);
  const off = wrapAngle(straight - bearing(pocket.mouth, pocket.drop));
  const isMiddle = name.startsWith('middle');
  if (isMiddle && Math.abs(off) > SHUT_MIDDLE) return undefined;
  const away = distance(from, pocket.mouth);
  const flat = Math.abs(off) > (isMiddle ? FLATTEST_MIDDLE : FLATTEST_CORNER);
  const step = about ? 2 : 1;
  const below = step * Math.floor(off / (step * TURN));
  const reach = about ? undefined : away;
  const [one, two] =
    flat || away < 0.5 * DISTANCES[DISTANCES.length - 1]!
      ? [undefined, undefined]
      : [openingAt(table, name, below, reach), openingAt(table, name, below + step, reach)];
  if (one === undefined || two === undefined) return fromSquare(table, from, name, about);
  const share = (off / TURN - below) / step;
  const half = Math.atan(((1 - share) * one.half + share * two.half) / away);
  const middle = straight + Math.atan(((1 - share) * one.aside + share * two.aside) / away);
  return { low: middle - half, high: middle + half, middle, speed: pottingSpeed(table, away) };
}
