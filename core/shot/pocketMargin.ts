import { distance, type Point } from '../math/point.ts';
import { toDegrees } from '../math/angle.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { pocketNamed, type Table } from '../table/table.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Acceptance } from './acceptance.ts';
import { contactPlace, cutTo } from './cut.ts';

/** How much a pot forgives. */
export interface PocketMargin {
  /** Either way from the middle of what falls, degrees of the object ball's direction. */
  readonly objectDeg: number;
  /** The same at the pocket's mouth, millimetres either way. */
  readonly mouthMm: number;
  /** Either way, degrees of the cue ball's direction. */
  readonly cueDeg: number;
  /** Either way, millimetres by which the cue ball may pass the contact place. */
  readonly contactMm: number;
}

/**
 * What a pot forgives, jaws and pace included: half the pocket's acceptance at the pocket, and turned back through the
 * hit to the cue ball. By geometry: an error ε of the cue ball's line over a way d from the contact turns the line of
 * centres by d·ε / (reach·cos cut), and the object ball's direction with it.
 * @param cue, object centres of the balls, metres
 */
export function pocketMargin(
  table: Table,
  cue: Point,
  object: Point,
  pocket: PocketName,
  acceptance: Acceptance,
): PocketMargin {
  const { cueBallRadius, ballRadius } = table.preset;
  const half = 0.5 * (acceptance.high - acceptance.low);
  const { mouth } = pocketNamed(table, pocket);
  const aimed = { x: object.x + Math.cos(acceptance.middle), y: object.y + Math.sin(acceptance.middle) };
  const contact = contactPlace(object, aimed, cueBallRadius, ballRadius);
  const cut = cutTo(cue, object, aimed, cueBallRadius, ballRadius);
  const reach = contactDistance(cueBallRadius, ballRadius);
  const way = distance(cue, contact);
  const contactShift = half * reach * Math.max(0, Math.cos((cut.degrees * Math.PI) / 180));
  return {
    objectDeg: toDegrees(half),
    mouthMm: 1000 * half * distance(object, mouth),
    cueDeg: way === 0 ? Infinity : toDegrees(contactShift / way),
    contactMm: 1000 * contactShift,
  };
}
