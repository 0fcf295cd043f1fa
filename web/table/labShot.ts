import { compressToEncodedURIComponent, decompressFromEncodedURIComponent } from 'lz-string';
import { readShotFile, writeShotFile } from '../../core/formats/shotFile.ts';
import { shotFileSchema, type ShotFile } from '../../core/formats/shotFileSchema.ts';
import { contactDistance } from '../../core/motion/ballBall.ts';
import type { BallOnTable, Shot } from '../../core/motion/shot.ts';
import { noseDistance } from '../../core/motion/noseDistance.ts';
import type { Point } from '../../core/math/point.ts';
import type { Table } from '../../core/table/table.ts';

/** The id of the cue ball in the lab. */
export const CUE = 'cue';

function ballOn(table: Table, id: string, at: Point): BallOnTable {
  const { preset } = table;
  const cue = id === CUE;
  return {
    id,
    x: at.x,
    y: at.y,
    radius: cue ? preset.cueBallRadius : preset.ballRadius,
    mass: cue ? preset.cueBallMass : preset.ballMass,
  };
}

/** What the lab shows first on a table: three balls and a stroke that pots nothing yet but meets one. */
export function firstShot(table: Table): Shot {
  const { length, width } = table;
  const names = table.preset.markings === 'colours' ? ['red', 'blue'] : ['1', '2'];
  const balls = [
    ballOn(table, CUE, { x: 0.3 * length, y: 0.4 * width }),
    ballOn(table, names[0] ?? '1', { x: 0.65 * length, y: 0.55 * width }),
    ballOn(table, names[1] ?? '2', { x: 0.8 * length, y: 0.25 * width }),
  ];
  return {
    table,
    balls,
    strike: {
      ball: CUE,
      speed: 2.2,
      direction: Math.atan2(0.15 * width, 0.35 * length) + 0.02,
      tip: { side: 0, height: 0 },
      elevation: 0,
    },
  };
}

/** Where a cue ball in hand waits, shares of the table. */
const IN_HAND = { along: 0.2, across: 0.5 };

/** A shot on a table with these balls; a cue ball that is not among them waits behind the line. */
export function shotWith(table: Table, balls: readonly BallOnTable[]): Shot {
  const shot = { ...firstShot(table), balls };
  if (balls.some(({ id }) => id === CUE)) return shot;
  return moveBall(addBall(shot, CUE), CUE, {
    x: IN_HAND.along * table.length,
    y: IN_HAND.across * table.width,
  });
}

/** Balls where somebody saw them: one that would lie in another or in a cushion is moved out of it. */
export function ballsAt(
  table: Table,
  places: readonly { readonly id: string; readonly at: Point }[],
): readonly BallOnTable[] {
  return places.reduce<Shot>(
    (shot, { id, at }) => ({ ...shot, balls: [...shot.balls, ballOn(table, id, freePlace(shot, id, at))] }),
    { ...firstShot(table), balls: [] },
  ).balls;
}

/** Balls that can be put on: numbers on pool tables, a second red and the colours on snooker tables. */
export function addableBalls({ table, balls }: Shot): readonly string[] {
  const all =
    table.preset.markings === 'colours'
      ? ['red', 'red 2', 'red 3', 'yellow', 'green', 'brown', 'blue', 'pink', 'black']
      : ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
  return all.filter((id) => balls.every((ball) => ball.id !== id));
}

/** The nearest place to the wanted one that a ball can take: on the cloth, and in no other ball. */
export function freePlace(shot: Shot, id: string, wanted: Point): Point {
  const { table, balls } = shot;
  const own = balls.find((ball) => ball.id === id) ?? ballOn(table, id, wanted);
  const reach = noseDistance(own.radius, table.parameters.noseHeight);
  const within = (value: number, size: number) => Math.min(size - reach, Math.max(reach, value));
  let place = { x: within(wanted.x, table.length), y: within(wanted.y, table.width) };
  // Pushed out of each ball in turn; a few rounds settle it where balls lie close together.
  for (let round = 0; round < 8; round++) {
    for (const other of balls) {
      if (other.id === id) continue;
      const least = contactDistance(own.radius, other.radius);
      const dx = place.x - other.x;
      const dy = place.y - other.y;
      const apart = Math.hypot(dx, dy);
      if (apart >= least) continue;
      const scale = apart === 0 ? 0 : (least * (1 + 1e-9)) / apart;
      place = {
        x: within(apart === 0 ? other.x + least : other.x + dx * scale, table.length),
        y: within(apart === 0 ? other.y : other.y + dy * scale, table.width),
      };
    }
  }
  return place;
}

export function moveBall(shot: Shot, id: string, wanted: Point): Shot {
  const place = freePlace(shot, id, wanted);
  return { ...shot, balls: shot.balls.map((ball) => (ball.id === id ? { ...ball, ...place } : ball)) };
}

export function addBall(shot: Shot, id: string): Shot {
  const { table } = shot;
  const place = freePlace(shot, id, { x: table.length / 2, y: table.width / 2 });
  return { ...shot, balls: [...shot.balls, ballOn(table, id, place)] };
}

/**
 * The same balls, with their sizes there, on another table of the same length and width; on one of another size the
 * first position.
 */
export function onTable(shot: Shot, table: Table): Shot {
  if (table.length !== shot.table.length || table.width !== shot.table.width) return firstShot(table);
  const moved: Shot = { ...shot, table, balls: shot.balls.map((ball) => ballOn(table, ball.id, ball)) };
  // A larger cue ball may not have room where a smaller one had.
  return shot.balls.reduce<Shot>((before, ball) => moveBall(before, ball.id, ball), moved);
}

export function removeBall(shot: Shot, id: string): Shot {
  return { ...shot, balls: shot.balls.filter((ball) => ball.id !== id) };
}

/** A shot as a short text for the address. */
export function shotToLink(shot: Shot): string {
  return compressToEncodedURIComponent(JSON.stringify(writeShotFile(shot)));
}

/** @returns undefined for a text that is no shot */
export function shotFromLink(text: string): Shot | undefined {
  try {
    return readShotText(decompressFromEncodedURIComponent(text));
  } catch {
    return undefined;
  }
}

/** @throws SyntaxError or ValidationError that says what is wrong */
export function readShotText(text: string): Shot {
  const value: unknown = JSON.parse(text);
  const file: ShotFile = shotFileSchema.validateSync(Array.isArray(value) ? value[0] : value);
  return readShotFile(file);
}

export function shotText(shot: Shot): string {
  return JSON.stringify(writeShotFile(shot), null, 2);
}
