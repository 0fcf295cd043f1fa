import { ballAt, somewhere } from '../core/judgement/pose/randomPot.ts';
import { toRadians, wrapAngle } from '../core/math/angle.ts';
import { bearing, distance, type Point } from '../core/math/point.ts';
import type { BallOnTable, Shot, Tip } from '../core/motion/shot.ts';
import { simulate } from '../core/motion/simulate.ts';
import { checkShot, InvalidShotError } from '../core/motion/validate.ts';
import { potLines, viewOf, type PotLine } from '../core/planning/potOptions.ts';
import { buttOf, cueingOf, hampered } from '../core/player/cueing.ts';
import { executed } from '../core/player/execute.ts';
import { executionErrorOf, LEVEL_NAMES } from '../core/player/levels.ts';
import { createRandom, type Random } from '../core/random/random.ts';
import { fullAcceptanceOf } from '../core/shot/acceptance.ts';
import { createAimer } from '../core/shot/aim.ts';
import { contactFor } from '../core/shot/cut.ts';
import { pocketNamed, buildTable, type Table } from '../core/table/table.ts';
import { POCKET_NAMES, type PocketName } from '../core/table/pockets.ts';
import { atMost, told, within, type Asked, type Figure } from './figure.ts';

const PLACES = 1_000;
/** Executions that a chance is held to. */
const HELD_TO = 1_500;
const KINDS = ['open', 'rail ball', 'jaws', 'thin cut', 'close cue ball', 'raised butt'] as const;
type Kind = (typeof KINDS)[number];
const STROKES = ['centre', 'rolling', 'drawn', 'side'] as const;
const TIPS: Readonly<Record<(typeof STROKES)[number], Tip>> = {
  centre: { side: 0, height: 0 },
  rolling: { side: 0, height: 0.4 },
  drawn: { side: 0, height: -0.3 },
  side: { side: 0.25, height: 0.1 },
};
/** Cuts from here on count as thin, radians. */
const THIN = toRadians(60);
const THINNEST = toRadians(82);
/** Nobody sends the cue ball faster, m/s. */
const HARDEST = 7;

interface Place {
  readonly cue: BallOnTable;
  readonly line: PotLine;
  /** Of the pot as geometry has it, radians, ≥ 0. */
  readonly cut: number;
}

const inside = ({ length, width, preset: { cueBallRadius: r } }: Table, { x, y }: Point) =>
  x >= r && x <= length - r && y >= r && y <= width - r;

function objectFor(table: Table, random: Random, kind: Kind, pocket: PocketName): BallOnTable {
  const { length, width } = table;
  const radius = table.preset.ballRadius;
  const { mouth, drop } = pocketNamed(table, pocket);
  if (kind === 'jaws') {
    const way = bearing(drop, mouth) + (random.uniform() - 0.5) * 1.2;
    const away = 0.005 + 0.055 * random.uniform();
    return ballAt(table, 'object', { x: mouth.x + away * Math.cos(way), y: mouth.y + away * Math.sin(way) });
  }
  const at = somewhere(table, random, 0.02);
  if (kind !== 'rail ball') return ballAt(table, 'object', at);
  const gap = radius + 1e-6 + 0.02 * Math.max(0, random.uniform() - 0.4);
  const side = Math.floor(4 * random.uniform());
  const onRail =
    side === 0
      ? { x: at.x, y: gap }
      : side === 1
        ? { x: at.x, y: width - gap }
        : { x: side === 2 ? gap : length - gap, y: at.y };
  return ballAt(table, 'object', onRail);
}

/** Whether a ball lies where the simulator takes it: beside the mouth of a pocket there may be no room. */
function canLie(table: Table, ball: BallOnTable): boolean {
  const strike = { ball: ball.id, speed: 1, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 };
  try {
    checkShot({ table, balls: [ball], strike });
    return true;
  } catch (error) {
    if (error instanceof InvalidShotError) return false;
    throw error;
  }
}

/** A random place of its kind at which the pot is there by geometry. */
function placeOf(table: Table, random: Random, kind: Kind): Place | undefined {
  const pocket = POCKET_NAMES[Math.floor(POCKET_NAMES.length * random.uniform())] ?? 'head-left';
  const object = objectFor(table, random, kind, pocket);
  if (!inside(table, object) || !canLie(table, object)) return undefined;
  const [line] = potLines(table, [object], ['object'], fullAcceptanceOf, [pocket]);
  if (line === undefined) return undefined;
  const contact = contactFor(object, line.acceptance.middle, table.preset.cueBallRadius, object.radius);
  let at = somewhere(table, random, 0.02);
  if (kind === 'close cue ball') {
    const way = 2 * Math.PI * random.uniform();
    const away = table.preset.ballRadius + table.preset.cueBallRadius + 0.002 + 0.12 * random.uniform();
    at = { x: object.x + away * Math.cos(way), y: object.y + away * Math.sin(way) };
  } else if (kind === 'raised butt') {
    const gap = table.preset.cueBallRadius + 0.03 * random.uniform();
    at = random.uniform() < 0.5 ? { x: gap, y: at.y } : { x: at.x, y: gap };
  }
  const cue = ballAt(table, 'cue', at);
  if (!inside(table, cue) || distance(cue, object) < cue.radius + object.radius + 0.001) return undefined;
  const cut = Math.abs(wrapAngle(line.acceptance.middle - bearing(cue, contact)));
  if (cut > THINNEST || (kind === 'thin cut') !== cut > THIN) return undefined;
  return { line, cue: { ...cue, radius: table.preset.cueBallRadius, mass: table.preset.cueBallMass }, cut };
}

/** How often the pot falls when it is played. */
function playedOut(shot: Shot, { line }: Place, error: Parameters<typeof executed>[1], seed: number): number {
  const random = createRandom(seed);
  let made = 0;
  for (let k = 0; k < HELD_TO; k++) {
    const { rest } = simulate(executed(shot, error, random), { events: false });
    if (rest.some(({ id, pocket }) => id === line.ball && pocket === line.pocket)) made++;
  }
  return made / HELD_TO;
}

interface Held {
  readonly kind: Kind;
  readonly stroke: (typeof STROKES)[number];
  readonly preset: string;
  readonly thin: boolean;
  readonly off: number;
}

/** What windows claim of a pot from a place, against playing it out. */
export function windows({ seed, size }: Asked): readonly Figure[] {
  const random = createRandom(seed);
  const tables = [buildTable('pool-9ft'), buildTable('snooker-12ft'), buildTable('eight-7ft')];
  const held: Held[] = [];
  for (let tries = 0; held.length < PLACES * size && tries < 200 * PLACES; tries++) {
    const n = held.length;
    const table = tables[n % 3];
    const kind = KINDS[Math.floor(n / 3) % KINDS.length];
    const stroke = STROKES[Math.floor(n / 18) % STROKES.length];
    const level = LEVEL_NAMES[Math.floor(LEVEL_NAMES.length * random.uniform())];
    if (table === undefined || kind === undefined || stroke === undefined || level === undefined) continue;
    const place = placeOf(table, random, kind);
    if (place === undefined) continue;
    const { cue, line, cut } = place;
    const { object, acceptance } = line;
    const contact = contactFor(object, acceptance.middle, cue.radius, object.radius);
    const cueing = cueingOf(table, cue, [object], bearing(cue, contact));
    if (cueing.verdict === 'impossible' || (kind === 'raised butt' && cueing.verdict !== 'raised')) continue;
    const { rollingFriction, gravity, ballRestitution } = table.parameters;
    const passedOn = (cue.mass / (cue.mass + object.mass)) * (1 + ballRestitution);
    const met = acceptance.speed / (passedOn * Math.cos(cut));
    const slowing = 2 * rollingFriction * gravity * distance(cue, contact);
    const speed = Math.min(HARDEST, 1.15 * Math.sqrt(met * met + slowing));
    const elevation = buttOf(cueing);
    const played = { ball: 'cue', speed, tip: TIPS[stroke], elevation };
    const shot = createAimer(table, cue, object).shot([cue, object], played, acceptance.middle);
    const error = executionErrorOf(level, table.preset.game);
    // Where no line sends the ball to the pocket, nobody pots it.
    const share =
      shot === undefined ? 0 : playedOut(shot, place, hampered(error, cueing.because), seed * 7919 + tries);
    // With centre ball as windows claim it: at the pace that they take it to be played at.
    const asked = stroke === 'centre' ? {} : { stroke: { tip: TIPS[stroke], speed } };
    const claimed = viewOf(table, cue, line, [], error, asked).chance;
    held.push({ kind, stroke, preset: table.preset.id, thin: cut > THIN, off: claimed - share });
  }
  const mean = (of: readonly Held[], value: (off: number) => number) =>
    of.reduce((sum, { off }) => sum + value(off), 0) / of.length;
  const sizes = held.map(({ off }) => Math.abs(off)).sort((a, b) => a - b);
  const classes: readonly (readonly [string, (each: Held) => boolean])[] = [
    ...KINDS.map((kind) => [kind, (each: Held) => each.kind === kind] as const),
    ...STROKES.map((stroke) => [stroke, (each: Held) => each.stroke === stroke] as const),
    ...tables.map(({ preset }) => [preset.id, (each: Held) => each.preset === preset.id] as const),
  ];
  return [
    atMost(
      'windows.off.under-60',
      mean(
        held.filter(({ thin }) => !thin),
        Math.abs,
      ),
      0.02,
      'mean difference',
    ),
    atMost('windows.off', mean(held, Math.abs), 0.04, 'mean difference'),
    atMost('windows.off.95', sizes[Math.floor(0.95 * sizes.length)] ?? 1, 0.1, '95 % within'),
    ...classes.map(([name, isIn]) =>
      within(
        `windows.bias.${name.replaceAll(' ', '-')}`,
        mean(held.filter(isIn), (off) => off),
        [-0.01, 0.01],
        'mean',
      ),
    ),
    told('windows.places', held.length, 'places'),
  ];
}
