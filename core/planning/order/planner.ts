import type { Point } from '../../math/point.ts';
import type { BallOnTable, Shot, ShotResult } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { buttOf, hampered } from '../../player/cueing.ts';
import { errorAsCued } from '../../player/asCued.ts';
import { executedWith, type Draws } from '../../player/execute.ts';
import type { Acceptance } from '../../shot/acceptance.ts';
import { acceptanceNear } from '../../shot/acceptanceNear.ts';
import { isOnTable } from '../../shot/outcome.ts';
import type { PocketName } from '../../table/pockets.ts';
import { roughPotChance } from '../bestPot.ts';
import { chanceAt, type PositionWindow } from '../grid.ts';
import { potLines, potOptions, type AcceptanceSource, type PotLine } from '../potOptions.ts';
import { aimsAt, cushionOptions, type ApproachOption } from './approach.ts';
import { MOST_NODES, orderNodes, type OrderNode } from './nodes.ts';
import { CLOSE_DRAWS, JUDGING_DRAWS, ROUGH_DRAWS } from './draws.ts';
import { CAREFUL } from './look.ts';
import { hasMoved, opennessOf } from './movedBalls.ts';
import { openBalls, problemBalls, type ProblemBall } from './problemBalls.ts';
import type { OrderQuestion } from './orderQuestion.ts';
import { FEW, orderShots, potsAlone } from './orderShots.ts';
import { isWanted, mayCue, type ShotTable } from './shotTable.ts';
import { valuesOf, type Values } from './values.ts';

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

/** The closed form of a pot's chance weighs as much as so many executions. */
const PRIOR = 12;
/**
 * What a certain pot is worth after which the plan sees no way to the end: a grid is coarse, and something may turn up. With
 * nothing at all there would be no difference between strokes.
 */
const HOPE = 0.02;
/** What a ball that fell by rule is worth where nothing is on afterwards: more than one that did not. */
const FELL = 1e-6;
/** Pots that are less likely are not played. */
const LEAST_CHANCE = 0.02;

const placeKey = ({ x, y }: Point, pocket: PocketName) => [x, y, pocket].join();

/** The only ball that is looked at, and the only pocket; null for all. */
interface OnlyAt {
  readonly ball: string | null;
  readonly pocket: PocketName | null;
}
const ANYWHERE: OnlyAt = { ball: null, pocket: null };

/** A plan for clearing a table in an order: what each place is worth for every set of balls, and the stroke to play. */
export class OrderPlanner<S> {
  readonly #question: OrderQuestion<S>;
  readonly #nodes: ReadonlyMap<string, number>;
  readonly #list: readonly OrderNode[];
  readonly #values: Values;
  readonly #shots: ShotTable;
  readonly #lines: readonly PotLine[];
  /** The acceptances of the balls where they lay at first, by place and pocket. */
  readonly #acceptances: ReadonlyMap<string, Acceptance>;

  private constructor(
    question: OrderQuestion<S>,
    nodes: readonly OrderNode[],
    like: OrderPlanner<S> | undefined,
  ) {
    const pots = like === undefined ? potsAlone(question) : like.#lines;
    this.#lines = pots;
    this.#acceptances = new Map(
      pots.map(({ object, pocket, acceptance }) => [placeKey(object, pocket), acceptance]),
    );
    const known = like === undefined ? question.shots : like.#shots;
    const shots = known ?? orderShots(question, nodes, pots);
    this.#question = question;
    this.#list = nodes;
    this.#nodes = new Map(nodes.map(({ key }, i) => [key, i]));
    this.#values = valuesOf(nodes, shots, question.ahead);
    this.#shots = shots;
  }

  /**
   * @param most states that are looked at @param like a plan for the same balls, error, detail and rules in another order,
   * whose shots serve this one, too @returns undefined for an order with more states
   */
  static of<S>(
    question: OrderQuestion<S>,
    most = MOST_NODES,
    like?: OrderPlanner<S>,
  ): OrderPlanner<S> | undefined {
    const nodes = orderNodes(
      question.game,
      question.balls.map(({ id }) => id),
      most,
    );
    return nodes && new OrderPlanner(question, nodes, like);
  }

  /** The chance of clearing from each place, for a state; undefined for one that good play does not come to. */
  mapOf(state: S): PositionWindow | undefined {
    const node = this.#nodes.get(this.#question.game.key(state));
    const chances = node === undefined ? undefined : this.#values[node];
    return chances && { ...this.#shots.grid, chances };
  }

  /** The balls that are hard to come at as the table lies, the hardest first. */
  problems(): readonly ProblemBall[] {
    return problemBalls(this.#question.balls, this.#shots);
  }

  /** The balls that lie open as the table lies, the easiest first. */
  openBalls(): readonly string[] {
    return openBalls(this.#question.balls, this.#shots);
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
    only: OnlyAt = ANYWHERE,
  ): PlannedStroke | undefined {
    return this.strokes(state, cue, balls, only)[0];
  }

  /** The strokes that are worth a look, the best first: those at the top were tried with more executions. */
  strokes(
    state: S,
    cue: BallOnTable,
    balls: readonly BallOnTable[],
    only: OnlyAt = ANYWHERE,
  ): readonly PlannedStroke[] {
    const { table, game, look = CAREFUL } = this.#question;
    const barred = game.barred?.(state);
    const lines = potLines(table, balls, game.legal(state), this.#acceptance).filter(
      (line) =>
        line.pocket !== barred &&
        (only.ball ?? line.ball) === line.ball &&
        (only.pocket ?? line.pocket) === line.pocket &&
        isWanted(line, this.#question),
    );
    const options = this.#options(cue, lines, balls)
      .filter(({ cueing }) => mayCue(cueing, this.#question))
      .map((option) => ({ option, hope: option.chance * (HOPE + this.#bestAfter(state, option.line)) }))
      .sort((a, b) => b.hope - a.hope)
      .slice(0, look.lines);
    const rough = options.flatMap(({ option }) => this.#tried(state, cue, balls, option));
    rough.sort((a, b) => b.value - a.value);
    const again = (some: readonly PlannedStroke[], draws: readonly Draws[]) =>
      some.map((stroke) => this.#played(state, stroke, draws)).sort((a, b) => b.value - a.value);
    const close = again(rough.slice(0, look.closely), CLOSE_DRAWS);
    const settled = again(close.slice(0, look.settled), look.settling);
    // What is worth nothing breaks a condition, or loses the cue ball.
    return [...settled, ...close.slice(look.settled), ...rough.slice(look.closely)].filter(
      ({ value }) => value > 0,
    );
  }

  #options(
    cue: BallOnTable,
    lines: readonly PotLine[],
    balls: readonly BallOnTable[],
  ): readonly ApproachOption[] {
    const { table, error, cushionFirst } = this.#question;
    return cushionFirst === true
      ? cushionOptions(table, cue, lines, balls, error)
      : potOptions(table, cue, lines, balls, error).map((option) => ({ ...option, by: undefined }));
  }

  /** Known for balls that have not moved, and nearly exact for others. */
  readonly #acceptance: AcceptanceSource = (table, from, pocket) =>
    this.#acceptances.get(placeKey(from, pocket)) ?? acceptanceNear(table, from, pocket);

  /** A stroke that was chosen, with what it is worth by executions that did not choose it. */
  judged(state: S, stroke: PlannedStroke): PlannedStroke {
    return this.#played(state, stroke, JUDGING_DRAWS);
  }

  /** The most that can come after a pot, wherever the cue ball stops. */
  #bestAfter(state: S, { ball, pocket }: PotLine): number {
    const { game } = this.#question;
    const next = game.after(state, ball, pocket);
    if (game.isCleared(next)) return 1;
    const map = this.mapOf(next);
    return map === undefined ? 0 : map.chances.reduce((most, value) => Math.max(most, value), 0);
  }

  #tried(state: S, cue: BallOnTable, balls: readonly BallOnTable[], option: ApproachOption): PlannedStroke[] {
    const { table, error, look = CAREFUL } = this.#question;
    const { line, cueing } = option;
    const own = hampered(error, cueing.because);
    const elevation = buttOf(cueing);
    const strokes: PlannedStroke[] = [];
    for (const speed of look.speeds) {
      const aimed = aimsAt(table, cue, option, own, elevation, speed, LEAST_CHANCE);
      for (const height of look.heights) {
        const aim = aimed(height);
        const chance = aim === undefined ? 0 : aim.falls * aim.arrives;
        if (aim === undefined || chance < LEAST_CHANCE) continue;
        const strike = { ball: cue.id, speed, direction: aim.leaves, tip: { side: 0, height }, elevation };
        const shot: Shot = { table, balls: [cue, ...balls], strike };
        const stroke = { shot, ball: line.ball, pocket: line.pocket, chance, value: 0 };
        strokes.push(this.#played(state, stroke, ROUGH_DRAWS));
      }
    }
    return strokes;
  }

  /** A stroke with the chance of its pot, and that times what the landings of some executions are worth. */
  #played(state: S, stroke: PlannedStroke, draws: readonly Draws[]): PlannedStroke {
    const { game, allowed, cushionFirst } = this.#question;
    const error = errorAsCued(stroke.shot, this.#question.error);
    const next = game.after(state, stroke.ball, stroke.pocket);
    const cleared = game.isCleared(next);
    const map = cleared ? undefined : this.mapOf(next);
    if (!cleared && map === undefined) return { ...stroke, value: 0 };
    const struck = stroke.shot.strike.ball;
    let [sum, seen] = [0, 0];
    for (const draw of draws) {
      const result = simulate(executedWith(stroke.shot, error, draw));
      const at = result.rest.find(({ id }) => id === stroke.ball);
      // A miss says nothing of where a pot leaves the cue ball.
      if (at?.pocket !== stroke.pocket) continue;
      seen++;
      const cue = result.rest.find(({ id }) => id === struck);
      if (cue === undefined || !isOnTable(cue) || allowed?.(result, stroke) === false) continue;
      sum += map === undefined ? 1 : Math.max(FELL, this.#valueAt(next, map, cue, stroke, result));
    }
    if (seen === 0) {
      // A pot by a cushion is missed more often than not, and may still be the only one.
      const chance = (PRIOR * stroke.chance) / (PRIOR + draws.length);
      return { ...stroke, chance, value: cushionFirst === true ? chance * FELL : 0 };
    }
    // What was seen corrects the closed form, the more the more often it was tried.
    const chance = (PRIOR * stroke.chance + seen) / (PRIOR + draws.length);
    return { ...stroke, chance, value: (chance * sum) / seen };
  }

  /** What a landing is worth: nothing where no legal ball can be seen, a little where one can of which nobody knows what follows. */
  #valueAt(
    next: S,
    map: PositionWindow,
    cue: Point,
    { shot, ball }: PlannedStroke,
    { rest }: ShotResult,
  ): number {
    const { table, game, look = CAREFUL } = this.#question;
    const legal = game.legal(next);
    const value = chanceAt(map, cue);
    // Of many balls one can nearly always be seen.
    const many = legal.length > FEW;
    const isMoved = hasMoved(shot.balls, rest);
    if (many && value >= HOPE && !isMoved) return value;
    const left = shot.balls.flatMap((each) => {
      const at = rest.find(({ id }) => id === each.id);
      return at === undefined || !isOnTable(at) || each.id === ball ? [] : [{ ...each, x: at.x, y: at.y }];
    });
    const struck = left.find(({ id }) => id === shot.strike.ball);
    if (struck === undefined) return 0;
    const objects = left.filter((each) => each !== struck);
    const best = this.#roughly(struck, objects, legal);
    if (isMoved) {
      const known = Math.min(value, best);
      const open = opennessOf(table, objects, this.#acceptance);
      // A stroke that frees nothing has no business with other balls.
      const before = shot.balls.filter(({ id }) => objects.some((each) => each.id === id));
      const frees = !look.freeing || open > opennessOf(table, before, this.#acceptance);
      return frees ? Math.max(known, best * open) : known;
    }
    const hoped = Math.max(value, HOPE * best);
    return many ? hoped : Math.min(hoped, best);
  }

  /** The chance of the best legal pot by plain geometry. */
  #roughly(cue: BallOnTable, objects: readonly BallOnTable[], legal: readonly string[]): number {
    const { table, error, cushionFirst } = this.#question;
    if (cushionFirst !== true) {
      return roughPotChance(table, cue, objects, legal, error, this.#acceptance);
    }
    const lines = potLines(table, objects, legal, this.#acceptance);
    return cushionOptions(table, cue, lines, objects, error).reduce(
      (most, { chance }) => Math.max(most, chance),
      0,
    );
  }
}
