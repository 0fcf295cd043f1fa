import { contactDistance } from './ballBall.ts';
import type { CushionPiece } from '../table/cushions.ts';
import type { Table } from '../table/table.ts';
import { noseDistance } from './noseDistance.ts';
import type { BallOnTable, Shot } from './shot.ts';
import { MISCUE_OFFSET } from './strike.ts';

/** Balls may be placed this much into each other, metres: rounding of a written position, not an overlap. */
const PLACING_SLACK = 1e-6;

/** A shot that cannot be played; the message names the ball or the field and the reason. */
export class InvalidShotError extends Error {
  override name = 'InvalidShotError';
}

function refuse(field: string, reason: string): never {
  throw new InvalidShotError(`${field}${reason}`);
}

/** A ball's centre may be this far into a cushion, metres: rounding of a position written in millimetres. */
const CUSHION_SLACK = 6e-4;
/** A ball may lie in the jaws, this far behind the lines of the noses, metres. */
const JAWS_DEPTH = 0.12;

/** Whether a ball behind the lines of the noses lies in the jaws of a pocket: clear of all rubber, not over the drop. */
function liesInJaws(table: Table, ball: BallOnTable, reach: number): boolean {
  const over = table.pockets.some(
    ({ drop, radius }) => (ball.x - drop.x) ** 2 + (ball.y - drop.y) ** 2 < radius * radius,
  );
  if (over) return false;
  const near = table.pockets.some(
    ({ mouth }) => (ball.x - mouth.x) ** 2 + (ball.y - mouth.y) ** 2 < JAWS_DEPTH * JAWS_DEPTH,
  );
  return near && table.pieces.every((piece) => gapToPiece(piece, ball) > reach - CUSHION_SLACK);
}

/** The distance of a ball's centre from a piece of rubber; far on its inner side for what it does not face. */
function gapToPiece(piece: CushionPiece, { x, y }: BallOnTable): number {
  if (piece.kind === 'arc') {
    return Math.sqrt((x - piece.centre.x) ** 2 + (y - piece.centre.y) ** 2) - piece.radius;
  }
  const { from, to, normal } = piece;
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const along = (x - from.x) * dx + (y - from.y) * dy;
  if (along < 0 || along > dx * dx + dy * dy) return Infinity;
  return Math.abs((x - from.x) * normal.x + (y - from.y) * normal.y);
}

function checkBall(table: Table, ball: BallOnTable): void {
  const { x, y, radius, mass } = ball;
  if (!(Number.isFinite(x) && Number.isFinite(y) && Number.isFinite(radius) && Number.isFinite(mass))) {
    const field = (['x', 'y', 'radius', 'mass'] as const).find((name) => !Number.isFinite(ball[name]));
    refuse(`ball ${ball.id}`, `: ${field ?? 'x'} must be a number`);
  }
  if (radius <= 0 || mass <= 0) refuse(`ball ${ball.id}`, ': radius and mass must be above zero');
  if (table.pieces.length === 0) return;
  const reach = noseDistance(radius, table.parameters.noseHeight);
  const least = reach - CUSHION_SLACK;
  const inside = x >= least && x <= table.length - least && y >= least && y <= table.width - least;
  if (!inside && !liesInJaws(table, ball, reach)) {
    refuse(`ball ${ball.id}`, ': lies outside the cushions');
  }
}

/** Places of the balls that are checked. */
const xs: number[] = [];
const ys: number[] = [];

/**
 * Refuses a shot that cannot be played: not a number, balls outside the cushions or in each other, a tip past
 * the miscue limit, an unknown ball. A strike of no speed is one at which nothing moves.
 * @throws InvalidShotError naming the ball or the field, and the reason
 */
export function checkShot(shot: Shot): void {
  const { table, balls, strike } = shot;
  let struck = false;
  for (let i = 0; i < balls.length; i++) {
    const ball = balls[i]!;
    checkBall(table, ball);
    const { id, x, y, radius } = ball;
    struck ||= id === strike.ball;
    xs[i] = x;
    ys[i] = y;
    const reach = 4 * radius;
    for (let j = 0; j < i; j++) {
      const dx = xs[j]! - x;
      const dy = ys[j]! - y;
      const other = balls[j]!;
      if (other.id === id) refuse(`ball ${id}`, ': two balls have this name');
      // (2·√(R1·R2) − slack)², without the roots for balls that are far apart.
      const apartSq = dx * dx + dy * dy;
      if (apartSq > reach * other.radius) continue;
      if (Math.sqrt(apartSq) < contactDistance(other.radius, ball.radius) - PLACING_SLACK) {
        refuse(`ball ${ball.id}`, `: overlaps ball ${other.id}`);
      }
    }
  }
  if (!struck) refuse('strike.ball', `: there is no ball ${strike.ball}`);
  const { speed, direction, tip, elevation } = strike;
  if (!Number.isFinite(speed) || speed < 0) refuse('strike.speed', ': must be a number, zero or more');
  if (!Number.isFinite(direction)) refuse('strike.direction', ': must be a number');
  if (!Number.isFinite(tip.side)) refuse('strike.tip.side', ': must be a number');
  if (!Number.isFinite(tip.height)) refuse('strike.tip.height', ': must be a number');
  if (!(elevation >= 0 && elevation <= Math.PI / 2)) {
    refuse('strike.elevation', ': must lie between level and upright');
  }
  if (Math.sqrt(tip.side * tip.side + tip.height * tip.height) > MISCUE_OFFSET + 1e-12) {
    refuse('strike.tip', `: farther than ${MISCUE_OFFSET} radii from the middle is a miscue`);
  }
}
