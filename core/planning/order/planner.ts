import { distance, type Point } from '../../math/point.ts';
import type { BallOnTable, Shot, ShotResult } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { buttOf, hampered } from '../../player/cueing.ts';
import { executedWith, type Draws } from '../../player/execute.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { isOnTable } from '../../shot/outcome.ts';
import { aimedPot, aimedStroke } from '../../shot/potChance.ts';
import type { PocketName } from '../../table/pockets.ts';
import type { Table } from '../../table/table.ts';
import { bestPotChance } from '../bestPot.ts';
import { chanceAt, type PositionWindow } from '../grid.ts';
import { potLines, potOptions, type PotLine, type PotOption } from '../potOptions.ts';
import { orderNodes, type OrderGame, type OrderNode } from './nodes.ts';
import { buildShotTable, type TableDetail } from './shotTable.ts';
import { valuesOf, type Values } from './values.ts';

/** What a plan is asked for. */
export interface OrderQuestion<S> {
  readonly table: Table;
  /** Object balls where they lie. */
  readonly balls: readonly BallOnTable[];
  readonly game: OrderGame<S>;
  /** The player's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees). */
  readonly error: ExecutionError;
  readonly detail: TableDetail;
}

/** A stroke that a plan proposes. */
export interface PlannedStroke {
  readonly shot: Shot;
  readonly ball: string;
  readonly pocket: PocketName;
  /** Of the pot, 0…1. */
  readonly chance: number;
  /** Of clearing from here on, as the plan has it, 0…1. */
  readonly value: number;
}

/** Balls that moved less lie where they lay, metres. */
export const STAYED = 0.006;

/** Paces and heights that are tried where the cue ball lies; lines that are followed up, and strokes looked at closely. */
const SPEEDS = [0.7, 0.95, 1.3, 1.75, 2.4, 3.3];
const HEIGHTS = [-0.4, -0.2, 0.05, 0.25, 0.42];
const LINES = 5;
const CLOSELY = 4;
/** Pots that are less likely are not played. */
const LEAST_CHANCE = 0.02;

const draw = (pace: number, height: number, side: number, line: number): Draws => ({
  line,
  pace,
  side,
  height,
  elevation: 0,
});
const ROUGH_DRAWS = [draw(0.8, 0.4, 0.3, 0.3), draw(-0.8, -0.4, -0.3, -0.3)];
/** Spread evenly over what errors do: a fixed rule of points, the same for every stroke. */
const CLOSE_DRAWS = [
  draw(1.2, 0.3, 0.6, 0.3),
  draw(-1.2, -0.3, -0.6, 0.3),
  draw(0.4, -1.2, 0.3, -0.6),
  draw(-0.4, 1.2, -0.3, -0.6),
  draw(0.8, 0.8, -1, 0.6),
  draw(-0.8, -0.8, 1, 0.6),
  draw(0.1, 0.4, 0.5, -0.3),
  draw(-0.1, -0.4, -0.5, -0.3),
];

/** What a played stroke must not do; false for one that breaks a condition. */
export type Allowed = (
  result: ShotResult,
  stroke: { readonly ball: string; readonly pocket: PocketName },
) => boolean;

/** A plan for clearing a table in an order: what each place is worth for every set of balls, and the stroke to play. */
export class OrderPlanner<S> {
  readonly #question: OrderQuestion<S>;
  readonly #nodes: ReadonlyMap<string, number>;
  readonly #list: readonly OrderNode[];
  readonly #values: Values;
  readonly #grid: PositionWindow;

  private constructor(question: OrderQuestion<S>, nodes: readonly OrderNode[]) {
    const { table, balls, error, detail } = question;
    // As if each ball lay there alone: the others are kept as what is in the way.
    const lines = balls.flatMap((ball) => potLines(table, [ball], [ball.id], acceptanceOf));
    const shots = buildShotTable(table, balls, lines, error, detail);
    this.#question = question;
    this.#list = nodes;
    this.#nodes = new Map(nodes.map(({ key }, i) => [key, i]));
    this.#values = valuesOf(nodes, shots);
    this.#grid = shots.grid;
  }

  /** @returns undefined for an order with more states than a plan can look at */
  static of<S>(question: OrderQuestion<S>): OrderPlanner<S> | undefined {
    const nodes = orderNodes(
      question.game,
      question.balls.map(({ id }) => id),
    );
    return nodes && new OrderPlanner(question, nodes);
  }

  /** The chance of clearing from each place, for a state; undefined for one that good play does not come to. */
  mapOf(state: S): PositionWindow | undefined {
    const node = this.#nodes.get(this.#question.game.key(state));
    const chances = node === undefined ? undefined : this.#values[node];
    return chances && { ...this.#grid, chances };
  }

  /** How many states were looked at. */
  get size(): number {
    return this.#list.length;
  }

  /** The stroke to play; undefined when no ball is on. @param balls object balls as they lie now */
  choose(
    state: S,
    cue: BallOnTable,
    balls: readonly BallOnTable[],
    allowed: Allowed = () => true,
  ): PlannedStroke | undefined {
    return this.strokes(state, cue, balls, allowed)[0];
  }

  /** The strokes that are worth a look, the best first: those at the top were tried with more executions. */
  strokes(
    state: S,
    cue: BallOnTable,
    balls: readonly BallOnTable[],
    allowed: Allowed = () => true,
  ): readonly PlannedStroke[] {
    const { table, game, error } = this.#question;
    const lines = potLines(table, balls, game.legal(state), acceptanceOf);
    const options = potOptions(table, cue, lines, balls, error)
      .map((option) => ({ option, hope: option.chance * this.#bestAfter(state, option.line) }))
      .sort((a, b) => b.hope - a.hope)
      .slice(0, LINES);
    const rough = options.flatMap(({ option }) => this.#tried(state, cue, balls, option, allowed));
    rough.sort((a, b) => b.value - a.value);
    const close = rough
      .slice(0, CLOSELY)
      .map((stroke) => ({ ...stroke, value: this.#worth(state, stroke, CLOSE_DRAWS, allowed) }))
      .sort((a, b) => b.value - a.value);
    return [...close, ...rough.slice(CLOSELY)];
  }

  /** The most that can come after a pot, wherever the cue ball stops. */
  #bestAfter(state: S, { ball }: PotLine): number {
    const { game } = this.#question;
    const next = game.after(state, ball);
    if (game.isCleared(next)) return 1;
    const map = this.mapOf(next);
    return map === undefined ? 0 : map.chances.reduce((most, value) => Math.max(most, value), 0);
  }

  #tried(
    state: S,
    cue: BallOnTable,
    balls: readonly BallOnTable[],
    { line, cueing }: PotOption,
    allowed: Allowed,
  ): PlannedStroke[] {
    const { table, error } = this.#question;
    const own = hampered(error, cueing.because);
    const elevation = buttOf(cueing);
    const strokes: PlannedStroke[] = [];
    for (const speed of SPEEDS) {
      const plain = { tip: { side: 0, height: 0 }, elevation, speed };
      const falls = aimedPot(table, cue, line, own, plain)?.falls ?? 0;
      for (const height of HEIGHTS) {
        const tip = { side: 0, height };
        const aimed = aimedStroke(table, cue, line, own, { tip, elevation, speed });
        const chance = falls * (aimed?.arrives ?? 0);
        if (aimed === undefined || chance < LEAST_CHANCE) continue;
        const strike = { ball: cue.id, speed, direction: aimed.leaves, tip, elevation };
        const shot: Shot = { table, balls: [cue, ...balls], strike };
        const stroke = { shot, ball: line.ball, pocket: line.pocket, chance, value: 0 };
        strokes.push({ ...stroke, value: this.#worth(state, stroke, ROUGH_DRAWS, allowed) });
      }
    }
    return strokes;
  }

  /** The chance of the pot times what the landings of some executions are worth. */
  #worth(state: S, stroke: PlannedStroke, draws: readonly Draws[], allowed: Allowed): number {
    const { game, error } = this.#question;
    const next = game.after(state, stroke.ball);
    const cleared = game.isCleared(next);
    const map = cleared ? undefined : this.mapOf(next);
    if (!cleared && map === undefined) return 0;
    const struck = stroke.shot.strike.ball;
    let [sum, seen] = [0, 0];
    for (const draw of draws) {
      const result = simulate(executedWith(stroke.shot, error, draw));
      const at = result.rest.find(({ id }) => id === stroke.ball);
      // A miss says nothing of where a pot leaves the cue ball.
      if (at?.pocket !== stroke.pocket) continue;
      seen++;
      const cue = result.rest.find(({ id }) => id === struck);
      if (cue === undefined || !isOnTable(cue) || !allowed(result, stroke)) continue;
      sum += map === undefined ? 1 : this.#valueAt(next, map, cue, stroke, result);
    }
    return seen === 0 ? 0 : (stroke.chance * sum) / seen;
  }

  /** What a landing is worth: nothing where no legal ball can be seen. */
  #valueAt(
    next: S,
    map: PositionWindow,
    cue: Point,
    { shot, ball }: PlannedStroke,
    { rest }: ShotResult,
  ): number {
    const value = chanceAt(map, cue);
    if (value === 0) return 0;
    const { table, game, error } = this.#question;
    const legal = game.legal(next);
    const left = shot.balls.flatMap((each) => {
      const at = rest.find(({ id }) => id === each.id);
      return at === undefined || !isOnTable(at) || each.id === ball ? [] : [{ ...each, x: at.x, y: at.y }];
    });
    const struck = left.find(({ id }) => id === shot.strike.ball);
    if (struck === undefined) return 0;
    const objects = left.filter((each) => each !== struck);
    const moved = objects.some((each) => {
      const before = shot.balls.find(({ id }) => id === each.id);
      return before !== undefined && distance(before, each) > STAYED;
    });
    if (legal.length > 2 && !moved) return value;
    return Math.min(value, bestPotChance(table, struck, objects, legal, error));
  }
}
