import { toRadians } from '../math/angle.ts';
import { distance, type Point } from '../math/point.ts';
import type { ShotEvent } from '../motion/shot.ts';
import { aimToPot } from '../shot/aim.ts';
import { isOnTable } from '../shot/outcome.ts';
import { buildTable, tableFingerprint, type Table } from '../table/table.ts';
import { CUE_BALL, layOut } from './layout.ts';
import type { PositionDrill } from './positionDrill.ts';

/** What the cue ball meets on its way, in order: two shots with the same text were hit alike. */
export function meetings(events: readonly ShotEvent[]): string {
  return events
    .flatMap((event) => {
      if (event.kind === 'ball-ball') return [event.ids.join('+')];
      if (event.kind === 'ball-cushion' && event.id === CUE_BALL) return [event.cushion];
      return [];
    })
    .join(' ');
}

/** A planned stroke at some pace, m/s, without its direction. */
export function strokeOf({ tip, elevationDeg }: PositionDrill['plan'], speed: number) {
  return { ball: CUE_BALL, speed, tip, elevation: toRadians(elevationDeg) };
}

/** Paces that are tried first, as shares of what rolling friction and size alone ask for, and how finely after that. */
const SPREAD = [0.8, 0.85, 0.9, 0.95, 1, 1.05, 1.1, 1.15, 1.2] as const;
const FINE = [-0.03, -0.02, -0.01, 0.01, 0.02, 0.03] as const;
/** A stroke is never made so much softer or harder. */
const [LEAST, MOST] = [0.6, 1.7];
/** Paces are told in so many decimals, m/s. */
const DIGITS = 2;

/** Where a stroke ends, in shares of the table, and what the cue ball met; undefined where it does not pot. */
interface Ending {
  readonly at: Point;
  readonly met: string;
}

function endingAt(drill: PositionDrill, table: Table, speed: number): Ending | undefined {
  const { task, plan } = drill;
  const aim = aimToPot(table, layOut(drill, table.preset), strokeOf(plan, speed), task.pot, task.pocket);
  if (aim.kind === 'no-way') return undefined;
  const cue = aim.result.rest.find((ball) => ball.id === CUE_BALL);
  if (cue === undefined || !isOnTable(cue)) return undefined;
  return { at: { x: cue.x / table.length, y: cue.y / table.width }, met: meetings(aim.result.events) };
}

/**
 * The pace at which a drill's planned stroke ends nearest to where it ends on the table that it was made for: a slow cloth
 * asks for more, a fast one for less, and lively cushions too. The stroke must meet the same balls and cushions; where
 * none does, or on a table that plays as the drill's own, it is the pace of the drill.
 * @param drill as it is played at its stage @param table on which it is played
 * @returns m/s, between 0.6 and 1.7 times the drill's own
 */
export function paceOn(drill: PositionDrill, table: Table): number {
  const { speed } = drill.plan;
  const own = buildTable(drill.table);
  if (tableFingerprint(own) === tableFingerprint(table)) return speed;
  const wanted = endingAt(drill, own, speed);
  if (wanted === undefined) return speed;
  const away = (factor: number): number => {
    const ending = endingAt(drill, table, speed * factor);
    if (ending?.met !== wanted.met) return Infinity;
    return distance(
      { x: ending.at.x * table.length, y: ending.at.y * table.width },
      { x: wanted.at.x * table.length, y: wanted.at.y * table.width },
    );
  };
  // A ball that rolls out goes as far as the square of its speed over the friction.
  const asked = Math.sqrt(
    (table.parameters.rollingFriction / own.parameters.rollingFriction) * (table.length / own.length),
  );
  const asWritten = { factor: 1, away: away(1) };
  const best = (factors: readonly number[]) =>
    factors
      .filter((factor) => factor >= LEAST && factor <= MOST)
      .map((factor) => ({ factor, away: away(factor) }))
      .reduce((a, b) => (b.away < a.away ? b : a), asWritten);
  const rough = best(SPREAD.map((share) => share * asked));
  if (rough.away === Infinity) return speed;
  const fine = best(FINE.map((step) => rough.factor + step));
  const { factor } = fine.away < rough.away ? fine : rough;
  return Number((speed * factor).toFixed(DIGITS));
}
