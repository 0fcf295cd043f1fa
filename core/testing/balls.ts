import type { BallMotion, BallOnTable, Shot, Strike } from '../motion/shot.ts';
import { buildTable, withoutCushions, type Table } from '../table/table.ts';

/** Test tables: a real one and the endless bed on which theory holds undisturbed. */
export const POOL = buildTable('pool-9ft');
export const SNOOKER = buildTable('snooker-12ft');
/** The table whose cue ball is smaller and lighter than the others. */
export const SMALL = buildTable('eight-7ft');

export function bedWith(overrides: Partial<Table['parameters']> = {}): Table {
  return withoutCushions(buildTable('pool-9ft', overrides));
}

export function ball(id: string, x: number, y: number, table: Table = POOL): BallOnTable {
  return { id, x, y, radius: table.preset.ballRadius, mass: table.preset.ballMass };
}

export function cueBall(x: number, y: number, table: Table = POOL): BallOnTable {
  return { id: 'cue', x, y, radius: table.preset.cueBallRadius, mass: table.preset.cueBallMass };
}

export function moving(at: BallOnTable, motion: Partial<BallMotion>): BallMotion {
  return { ...at, vx: 0, vy: 0, wx: 0, wy: 0, wz: 0, ...motion };
}

export function strike(over: Partial<Strike> = {}): Strike {
  return { ball: 'cue', speed: 2, direction: 0, tip: { side: 0, height: 0 }, elevation: 0, ...over };
}

export function shotOf(table: Table, balls: readonly BallOnTable[], over: Partial<Strike> = {}): Shot {
  return { table, balls, strike: strike(over) };
}

/** Kinetic energy of a ball, joules. */
export function energy(b: Pick<BallMotion, 'vx' | 'vy' | 'wx' | 'wy' | 'wz' | 'mass' | 'radius'>): number {
  const inertia = 0.4 * b.mass * b.radius * b.radius;
  return 0.5 * b.mass * (b.vx ** 2 + b.vy ** 2) + 0.5 * inertia * (b.wx ** 2 + b.wy ** 2 + b.wz ** 2);
}
