import { distance } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { bestPotChance, roughPotChance } from '../planning/bestPot.ts';
import { potLines, viewOf, type AcceptanceSource, type PotLine } from '../planning/potOptions.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { executionErrorOf, type ExecutionError } from '../player/levels.ts';
import { USUAL_OPPONENT } from '../player/opponent.ts';
import type { Drill } from '../records/drill.ts';
import { acceptanceAbout, acceptanceNear } from '../shot/acceptanceNear.ts';
import { contactFor } from '../shot/cut.ts';
import { clothLinesOf } from '../table/markings.ts';
import type { Table } from '../table/table.ts';

/** What a break leaves, 0…3 each: for the next shot, and for all that comes after. */
export interface BreakGrades {
  readonly control: number;
  readonly layout: number;
}

/** What is broken: the rack of a drill. */
export type Rack = NonNullable<Drill['rack']>['kind'];

/** From these chances of the next pot on control is worth one, two and three. */
export const NEXT_POT = [0.3, 0.5, 0.75];
/** From these chances of clearing what is left on the layout is. */
export const CLEARING = [0.02, 0.08, 0.2];
/** Within these shares of the way from the baulk cushion to the line a break-off's cue ball is back. */
export const BACK = [1, 0.6, 0.3];
/** A break-off leaves this little at most: chances of the opponent's best pot. */
export const LEFT = [0.5, 0.25, 0.1];
/** The chance that a ball without a pocket of its own is freed on the way. */
const FREED = 0.35;
/** A ball is easy from here: so far behind the contact, metres, at such a cut, radians. */
const AWAY = 0.55;
const CUT = 0.25;

const reached = (value: number, from: readonly number[]) => from.filter((limit) => value >= limit).length;
const within = (value: number, limits: readonly number[]) => limits.filter((limit) => value <= limit).length;

/** The chance of a pot from a good place, whichever side of the line has room. */
function fromGoodPlace(
  table: Table,
  line: PotLine,
  others: readonly BallOnTable[],
  error: ExecutionError,
): number {
  const { cueBallRadius: radius } = table.preset;
  const contact = contactFor(line.object, line.acceptance.middle, radius, line.object.radius);
  const chances = [-CUT, CUT].map((cut) => {
    const back = line.acceptance.middle + Math.PI + cut;
    const cue = cueBallAt(
      table,
      { x: contact.x + AWAY * Math.cos(back), y: contact.y + AWAY * Math.sin(back) },
      'cue',
    );
    const isOn =
      cue.x > radius && cue.x < table.length - radius && cue.y > radius && cue.y < table.width - radius;
    const isFree = others.every((ball) => distance(ball, cue) > contactDistance(radius, ball.radius));
    return isOn && isFree ? viewOf(table, cue, line, others, error).chance : 0;
  });
  return Math.max(...chances);
}

/**
 * A rough chance of clearing what lies there with a good place for every shot: the product over the balls of their best
 * pot from a good place.
 */
function clearingChance(
  table: Table,
  objects: readonly BallOnTable[],
  error: ExecutionError,
  source: AcceptanceSource = acceptanceNear,
): number {
  const lines = potLines(
    table,
    objects,
    objects.map(({ id }) => id),
    source,
  );
  return objects.reduce((product, object) => {
    const others = objects.filter((ball) => ball !== object);
    const own = lines.filter(({ ball }) => ball === object.id);
    const best = Math.max(FREED, ...own.map((line) => fromGoodPlace(table, line, others, error)));
    return product * best;
  }, 1);
}

/** The same for one player of a stated level (see gradeBreak). @param objects all object balls that are left, metres */
export function clearsRoughly(table: Table, objects: readonly BallOnTable[]): number {
  return clearingChance(table, objects, breaker(table), acceptanceAbout);
}

/**
 * The chance of the next pot after a break, 0…1, by that player: the breaker's next one at pool, at snooker the opponent's.
 * @param cue where the cue ball rests @param objects all object balls that are left, metres
 */
function nextPot(
  table: Table,
  rack: Rack,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  source: AcceptanceSource,
): number {
  return bestPotChance(table, cue, objects, onAfterBreak(rack, objects), breaker(table), { source });
}

/** The same by plain geometry, for many breaks. */
export function nextPotRoughly(
  table: Table,
  rack: Rack,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
): number {
  return roughPotChance(table, cue, objects, onAfterBreak(rack, objects), breaker(table), acceptanceAbout);
}

const breaker = ({ preset }: Table) => executionErrorOf(USUAL_OPPONENT, preset.game);

/** What may be potted next: in rotation the lowest, at snooker a red, otherwise any. */
export function onAfterBreak(rack: Rack, objects: readonly BallOnTable[]): readonly string[] {
  const ids = objects.map(({ id }) => id);
  if (rack === 'reds') return ids.filter((id) => id.startsWith('red'));
  if (rack !== 'nine') return ids;
  return [...ids].sort((a, b) => Number(a) - Number(b)).slice(0, 1);
}

/**
 * Grades where balls rest after a break by what a breaker is to want of it, as one player of a stated level would find
 * it: on a pool table the chance of the next pot, and of clearing what is left; of a break-off at snooker that the cue
 * ball is back near the baulk cushion, and that nothing is on for the opponent.
 * @param rack what was broken: it says which ball is next
 * @param cue where the cue ball rests, metres; undefined when it is lost: control is then nothing
 * @param objects all object balls that are left, metres
 * @param source acceptances from elsewhere, for a search that asks for many
 * @returns grades 0…3; their limits, chances and shares of the way to the baulk line, are the product's own estimates
 */
export function gradeBreak(
  table: Table,
  rack: Rack,
  cue: BallOnTable | undefined,
  objects: readonly BallOnTable[],
  source: AcceptanceSource = acceptanceNear,
): BreakGrades {
  if (rack === 'reds') {
    if (cue === undefined) return { control: 0, layout: 0 };
    return {
      control: within(cue.x / clothLinesOf(table.preset).acrossAt, BACK),
      layout: within(nextPot(table, rack, cue, objects, source), LEFT),
    };
  }
  return {
    control: cue === undefined ? 0 : reached(nextPot(table, rack, cue, objects, source), NEXT_POT),
    layout: reached(clearingChance(table, objects, breaker(table), source), CLEARING),
  };
}
