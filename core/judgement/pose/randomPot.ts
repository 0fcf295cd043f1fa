import { bearing, type Point } from '../../math/point.ts';
import { toRadians } from '../../math/angle.ts';
import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { cueBallAt } from '../../planning/windowAmong.ts';
import type { Random } from '../../random/random.ts';
import { contactFor } from '../../shot/cut.ts';
import { aimToPot } from '../../shot/aim.ts';
import { POCKET_NAMES, type PocketName } from '../../table/pockets.ts';
import { pocketNamed, type Table } from '../../table/table.ts';

/** The balls of a made-up position, by game. */
export const BALLS = { pool: ['1', '2'], snooker: ['red', 'blue'] } as const;

/** A stroke at a pot, as it comes: plain, at a choice of heights and paces. */
export interface Posed {
  readonly shot: Shot;
  readonly pot: string;
  readonly pocket: PocketName;
}

/** An object ball at a place. */
export function ballAt({ preset }: Table, id: string, { x, y }: Point): BallOnTable {
  return { id, x, y, radius: preset.ballRadius, mass: preset.ballMass };
}

/** A place at random, a margin away from the cushions, metres. */
export function somewhere(table: Table, random: Random, margin: number): Point {
  return {
    x: margin + random.uniform() * (table.length - 2 * margin),
    y: margin + random.uniform() * (table.width - 2 * margin),
  };
}

/** One of the six pockets at random. */
export function somePocket(random: Random): PocketName {
  return POCKET_NAMES[Math.floor(random.uniform() * POCKET_NAMES.length)] ?? 'foot-left';
}

/** A pot at random: a ball, a pocket, the cue ball behind it at some cut, and a plain stroke that makes it. */
export function randomPot(table: Table, random: Random): Posed | undefined {
  const id = BALLS[table.preset.game][0];
  const object = ballAt(table, id, somewhere(table, random, 0.12));
  const pocket = somePocket(random);
  const towards = bearing(object, pocketNamed(table, pocket).mouth);
  const cut = toRadians((random.uniform() < 0.5 ? -1 : 1) * (8 + 47 * random.uniform()));
  const way = (0.25 + 0.45 * random.uniform()) * table.width;
  const contact = contactFor(object, towards, table.preset.cueBallRadius, object.radius);
  const at = { x: contact.x - way * Math.cos(towards - cut), y: contact.y - way * Math.sin(towards - cut) };
  const edge = 2 * table.preset.cueBallRadius;
  if (at.x < edge || at.x > table.length - edge || at.y < edge || at.y > table.width - edge) return undefined;
  const height = [-0.35, 0, 0.35][Math.floor(3 * random.uniform())] ?? 0;
  const stroke = {
    ball: 'cue',
    speed: 1.2 + 1.6 * random.uniform(),
    tip: { side: 0, height },
    elevation: 0,
  };
  const aim = aimToPot(table, [cueBallAt(table, at), object], stroke, id, pocket);
  return aim.kind === 'pots' ? { shot: aim.shot, pot: id, pocket } : undefined;
}
