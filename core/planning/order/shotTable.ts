import { distance, type Point } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import type { BallOnTable, Shot, ShotResult, Tip } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { buttOf, cueingOf, hampered, type Cueing } from '../../player/cueing.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { isOnTable } from '../../shot/outcome.ts';
import { POCKET_NAMES, type PocketName } from '../../table/pockets.ts';
import type { Table } from '../../table/table.ts';
import { emptyGrid, placeOnGrid, type PositionWindow } from '../grid.ts';
import { aimsAt, approachesTo, type Approach } from './approach.ts';
import { hinderedBits } from './hindered.ts';
import type { TableDetail } from './tableDetail.ts';
import { landingsAround } from './landings.ts';
import type { PotLine } from '../potOptions.ts';
import { cueBallAt } from '../windowAmong.ts';

const NINE_FOOT_M2 = 2.54 * 1.27;

/** Pots less likely than this from a place are not followed up. */
const LEAST_CHANCE = 0.08;

/** Every stroke that is worth a look, by the places that it is played from; numbers in rows, for there are tens of thousands. */
export interface ShotTable {
  readonly grid: PositionWindow;
  /** Index of the first stroke from each place, the likeliest, and the end after the last. */
  readonly first: Int32Array;
  /** Place of the potted ball in the list of balls, and number of its pocket. */
  readonly ball: Int8Array;
  readonly pocket: Int8Array;
  readonly chance: Float32Array;
  /** Bit by bit the balls that are in the way. */
  readonly hindered: Int32Array;
  /** Executions of each stroke. */
  readonly executions: number;
  /** Where they leave the cue ball: cell of the grid and share of it; −1 for one that loses it. */
  readonly cell: Int32Array;
  readonly along: Float32Array;
  readonly across: Float32Array;
}

/** A share of the places of a grid, for one of several threads: every so many-th, so that each has as much to do. */
export interface TableShare {
  /** 0 … of − 1. */
  readonly part: number;
  readonly of: number;
}
const WHOLE: TableShare = { part: 0, of: 1 };

/** Fills the rows of a table. */
class Rows {
  readonly ball: number[] = [];
  readonly pocket: number[] = [];
  readonly chance: number[] = [];
  readonly hindered: number[] = [];
  readonly cell: number[] = [];
  readonly along: number[] = [];
  readonly across: number[] = [];

  add(grid: PositionWindow, { ball, pocket, chance, hindered, landings }: StrokeFromHere): void {
    this.ball.push(ball);
    this.pocket.push(pocket);
    this.chance.push(chance);
    this.hindered.push(hindered);
    for (const at of landings) this.#land(grid, at);
  }

  #land(grid: PositionWindow, at: Point | undefined): void {
    const { columns, rows, x0, y0, dx, dy } = grid;
    if (at === undefined) {
      this.cell.push(-1);
      this.along.push(0);
      this.across.push(0);
      return;
    }
    const u = Math.min(columns - 1, Math.max(0, (at.x - x0) / dx));
    const v = Math.min(rows - 1, Math.max(0, (at.y - y0) / dy));
    const i = Math.min(columns - 2, Math.floor(u));
    const j = Math.min(rows - 2, Math.floor(v));
    this.cell.push(j * columns + i);
    this.along.push(u - i);
    this.across.push(v - j);
  }
}

/** A stroke without side: its line is that on which the cue ball leaves. */
interface PlainStroke {
  readonly leaves: number;
  readonly speed: number;
  readonly tip: Tip;
  readonly elevation: number;
}

/** What a stroke does, played at the ball alone. */
interface TriedStroke {
  readonly hindered: number;
  /** Where it leaves the cue ball; undefined where it is lost. */
  readonly landing: Point | undefined;
}

interface StrokeFromHere extends Pick<TriedStroke, 'hindered'> {
  /** Where its executions leave the cue ball; undefined where it is lost. */
  readonly landings: readonly (Point | undefined)[];
  /** Place of its ball in the list of balls, and number of its pocket. */
  readonly ball: number;
  readonly pocket: number;
  readonly chance: number;
}

interface StrokeQuestion {
  readonly table: Table;
  readonly balls: readonly BallOnTable[];
  readonly cue: BallOnTable;
  readonly line: PotLine;
  readonly rules: ShotRules;
}

/** What a drill asks of each shot. */
export interface ShotRules {
  /** What a played shot must not do: false for one that breaks a condition; all are allowed where it is left out. */
  readonly allowed?:
    | ((result: ShotResult, stroke: { readonly ball: string; readonly pocket: PocketName }) => boolean)
    | undefined;
  /** Whether no rest may be used. */
  readonly noRest?: boolean | undefined;
  /** Whether the cue ball has to touch a cushion before the ball. */
  readonly cushionFirst?: boolean | undefined;
  /** The only pocket in which a ball is played. */
  readonly pockets?: ReadonlyMap<string, PocketName> | undefined;
}

/** Whether a pot is one at which a ball may be played. */
export function isWanted({ ball, pocket }: PotLine, { pockets }: ShotRules): boolean {
  return (pockets?.get(ball) ?? pocket) === pocket;
}

/** Whether a ball can be cued at by the rules. */
export function mayCue({ verdict }: Cueing, { noRest }: ShotRules): boolean {
  return verdict !== 'impossible' && !(noRest === true && verdict === 'rest');
}

/** Tries a stroke at a pot, the two balls alone on the table. @returns undefined when it does not pot as it is meant */
function tryStroke(
  { table, balls, cue, line, rules }: StrokeQuestion,
  { leaves, speed, tip, elevation }: PlainStroke,
): TriedStroke | undefined {
  const { object, pocket } = line;
  const strike = { ball: cue.id, speed, direction: leaves, tip, elevation };
  const shot: Shot = { table, balls: [cue, object], strike };
  const planned = simulate(shot, { paths: true });
  if (planned.rest.find(({ id }) => id === object.id)?.pocket !== pocket) return undefined;
  if (rules.allowed?.(planned, { ball: object.id, pocket }) === false) return undefined;
  const but = balls.findIndex(({ id }) => id === object.id);
  let hindered = 0;
  for (const path of planned.paths ?? []) {
    const radius = path.id === cue.id ? cue.radius : object.radius;
    hindered |= hinderedBits(path.pieces, planned.duration, radius, balls, but);
  }
  const at = planned.rest.find(({ id }) => id === cue.id);
  const landing = at !== undefined && isOnTable(at) ? { x: at.x, y: at.y } : undefined;
  return { hindered, landing };
}

/**
 * Plays, from a grid of places of the cue ball, every pot with a few strokes, the two balls alone on the table; the others
 * are kept as what is in the way. So one table serves every set of balls that is left.
 * @param balls object balls where they lie, at most 31 @param lines the pots, as if no other ball were in the way
 * @param rules strokes that break them, the two balls alone on the table, are left out
 * @param share the places that are played from; left out, all
 */
export function buildShotTable(
  table: Table,
  balls: readonly BallOnTable[],
  lines: readonly PotLine[],
  error: ExecutionError,
  detail: TableDetail,
  rules: ShotRules = {},
  { part, of }: TableShare = WHOLE,
): ShotTable {
  const { length, width } = table.preset;
  const grid = emptyGrid(table, detail.step * Math.sqrt((length * width) / NINE_FOOT_M2));
  const places = grid.chances.length;
  const first = new Int32Array(places + 1);
  const rows = new Rows();
  const numbers = lines.map(({ ball }) => balls.findIndex(({ id }) => id === ball));
  const pockets = lines.map(({ pocket }) => POCKET_NAMES.indexOf(pocket));
  for (let g = 0; g < places; g++) {
    first[g] = rows.ball.length;
    if (g % of !== part) continue;
    const cue = cueBallAt(table, placeOnGrid(grid, g));
    const here: StrokeFromHere[] = [];
    const hopeful: { readonly way: Approach; readonly n: number }[] = [];
    for (const [n, line] of lines.entries()) {
      if (!isWanted(line, rules) || overlaps(cue, line.object)) continue;
      for (const way of approachesTo(table, cue, line, error, rules.cushionFirst === true)) {
        if (way.rough > LEAST_CHANCE) hopeful.push({ way, n });
      }
    }
    const looks = hopeful
      .sort((a, b) => b.way.rough - a.way.rough)
      .filter(({ n }, rank, all) => {
        const before = all.slice(0, rank).filter((each) => numbers[each.n] === numbers[n]);
        return rank < detail.lines || before.length < detail.linesOfBall;
      });
    for (const { way, n } of looks) {
      const cueing = cueingOf(table, cue, [], way.direction);
      if (!mayCue(cueing, rules)) continue;
      const question = { table, balls, cue, line: way.line, rules };
      const own = hampered(error, cueing.because);
      const elevation = buttOf(cueing);
      const tried = detail.speeds.map((speed) => {
        const aimed = aimsAt(table, cue, way, own, elevation, speed, LEAST_CHANCE);
        return detail.heights.map((height) => {
          const aim = aimed(height);
          if (aim === undefined || aim.arrives < LEAST_CHANCE) return undefined;
          const stroke = { leaves: aim.leaves, speed, tip: { side: 0, height }, elevation };
          const played = tryStroke(question, stroke);
          return (
            played && {
              hindered: played.hindered,
              landing: played.landing,
              chance: aim.falls * aim.arrives,
            }
          );
        });
      });
      for (const [i, row] of tried.entries()) {
        for (const [j, stroke] of row.entries()) {
          if (stroke === undefined) continue;
          here.push({
            ball: numbers[n]!,
            pocket: pockets[n]!,
            chance: stroke.chance,
            hindered: stroke.hindered,
            landings: landingsAround(detail, own, tried, i, j),
          });
        }
      }
    }
    // The likeliest first: whoever looks for the best may stop at the first that is less likely than the best so far.
    for (const stroke of here.sort((a, b) => b.chance - a.chance)) rows.add(grid, stroke);
  }
  first[places] = rows.ball.length;
  return {
    grid,
    first,
    ball: Int8Array.from(rows.ball),
    pocket: Int8Array.from(rows.pocket),
    chance: Float32Array.from(rows.chance),
    hindered: Int32Array.from(rows.hindered),
    executions: detail.spread.length,
    cell: Int32Array.from(rows.cell),
    along: Float32Array.from(rows.along),
    across: Float32Array.from(rows.across),
  };
}

function overlaps(cue: BallOnTable, object: BallOnTable): boolean {
  return distance(cue, object) < contactDistance(cue.radius, object.radius);
}
