import { toRadians } from '../math/angle.ts';
import { pointsOnTable } from './pointsOnTable.ts';
import type { ExecutionError } from '../player/levels.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { potChance } from '../shot/potChance.ts';
import type { Table } from '../table/table.ts';

/** The pot by which a player is judged: so far from its corner and from the cue ball, metres, and so thin, radians. */
const FROM_CORNER = 1.2;
const FROM_BALL = 1.2;
const CUT = toRadians(30);
/** Points of a pot at snooker on average: a red, then a colour between blue and black. */
const POINTS_A_POT = 3.5;

/** The chance of an ordinary pot, 0…1: neither short nor thin. @param error the player's */
function ordinaryPot(table: Table, error: ExecutionError): number {
  const pocket = table.pockets.find(({ name }) => name === 'foot-left');
  if (pocket === undefined) throw new RangeError('ordinaryPot: the table has no corner');
  const inwards = Math.atan2(table.width / 2 - pocket.drop.y, table.length / 2 - pocket.drop.x);
  const object = {
    x: pocket.drop.x + FROM_CORNER * Math.cos(inwards),
    y: pocket.drop.y + FROM_CORNER * Math.sin(inwards),
  };
  const cue = {
    x: object.x + FROM_BALL * Math.cos(inwards + CUT),
    y: object.y + FROM_BALL * Math.sin(inwards + CUT),
  };
  const acceptance = acceptanceNear(table, object, pocket.name);
  return acceptance === undefined ? 0 : potChance(table, cue, { object, acceptance }, error);
}

/**
 * Points that a visit at snooker brings once its first pot falls, as long as there are some: pots of 3.5 points, each as
 * likely as an ordinary one, until one is missed (a geometric series).
 * @param error the player's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees)
 */
export function visitLength(table: Table, error: ExecutionError): number {
  return POINTS_A_POT / (1 - ordinaryPot(table, error));
}

/** The same, and no more than are on the table. @param objects ids of the balls on the table */
export function visitPoints(table: Table, error: ExecutionError, objects: readonly string[]): number {
  return Math.min(pointsOnTable(objects), visitLength(table, error));
}
