/**
 * A level between 0 and 100 that moves while it is watched: a state-space model on a grid. The level drifts at a slope of
 * its own, which stays for months and then changes, and scatters a little besides; what is seen of it each day multiplies
 * in as a likelihood (forward algorithm of hidden Markov models, L. R. Rabiner, Proc. IEEE 77, 1989).
 */

const STEP = 2;
/** Levels that are weighed up. */
export const LEVEL_GRID: readonly number[] = Array.from({ length: 100 / STEP + 1 }, (_, i) => i * STEP);
const N = LEVEL_GRID.length;

/** How a level moves. */
export interface Motion {
  /** Slopes it may have, points a day, the flat one among them. */
  readonly slopes: readonly number[];
  /** How likely each is, before anything is seen, and whenever the slope changes. */
  readonly shares: readonly number[];
  /** A slope lasts so long on average, days. */
  readonly lasts: number;
  /** What else the level scatters in a day: standard deviation, points. */
  readonly scatter: number;
}

/** What the filter believes after a day. */
export interface Belief {
  readonly day: number;
  /** Probability of each level of the grid. */
  readonly levels: Float64Array;
  /** Probability of each slope. */
  readonly slopes: Float64Array;
}

/** Longer gaps are gone over in steps of so many days. */
const LONGEST_STEP = 7;
const MIXED_EVERY = 3;

/** Levels of a slope that lie beside the grid reach one step past either end of it. */
const ROOM = 1;

/** Filters a level from day to day. */
export class LevelFilter {
  readonly #motion: Motion;
  /** Probabilities of the grid's levels, slope by slope; those of a slope lie beside the grid by its offset. */
  readonly #state: readonly Float64Array[];
  /** How far the levels of each slope lie above the grid, −½…½ step: so that drifting blurs nothing. */
  readonly #offsets: Float64Array;
  /** On the grid, with room at either end. */
  readonly #onGrid = new Float64Array(N + 2 * ROOM);
  #day: number | undefined;
  /** Days that went by since slopes changed last. */
  #pending = 0;

  /** @param motion how it may move @param prior probability of each level before anything is seen, up to a factor */
  constructor(motion: Motion, prior: (level: number) => number) {
    this.#motion = motion;
    const levels = Float64Array.from(LEVEL_GRID, prior);
    let whole = 0;
    for (let i = 0; i < N; i++) whole += levels[i]!;
    this.#state = motion.shares.map((share) => levels.map((p) => (share * p) / whole));
    this.#offsets = new Float64Array(motion.slopes.length);
  }

  /** Lets time pass. @param day days; earlier ones are taken as now */
  passTo(day: number): void {
    let left = this.#day === undefined ? 0 : Math.max(0, day - this.#day);
    this.#day = Math.max(day, this.#day ?? day);
    while (left > 0) {
      const days = Math.min(LONGEST_STEP, left);
      this.#drift(days);
      this.#pending += days;
      // Slopes seldom change: a few days' changes are made together.
      if (this.#pending >= MIXED_EVERY) this.#mix();
      left -= days;
    }
  }

  #drift(days: number): void {
    const { slopes } = this.#motion;
    for (let s = 0; s < slopes.length; s++) {
      const offset = this.#offsets[s]! + (slopes[s]! * days) / STEP;
      const whole = Math.round(offset);
      this.#offsets[s] = offset - whole;
      if (whole !== 0) shift(this.#state[s]!, whole);
    }
  }

  /** Lets levels scatter and slopes change for the days that have gone by. */
  #mix(): void {
    const { shares, lasts, scatter } = this.#motion;
    const aside = (scatter * scatter * this.#pending) / (2 * STEP * STEP);
    const changes = 1 - Math.exp(-this.#pending / lasts);
    this.#pending = 0;
    this.#onGrid.fill(0);
    for (let s = 0; s < shares.length; s++) {
      const own = this.#state[s]!;
      blur(own, aside);
      this.#putOnGrid(own, this.#offsets[s]!, changes);
      for (let i = 0; i < N; i++) own[i] = own[i]! * (1 - changes);
    }
    this.#foldEnds();
    // A slope that changes may become any.
    for (let s = 0; s < shares.length; s++)
      this.#takeFromGrid(this.#state[s]!, this.#offsets[s]!, shares[s]!);
  }

  /** Adds a share of a slope's levels to those on the grid. */
  #putOnGrid(own: Float64Array, offset: number, share: number): void {
    const grid = this.#onGrid;
    const from = offset < 0 ? 0 : ROOM;
    const above = share * (offset < 0 ? 1 + offset : offset);
    const below = share - above;
    let carried = 0;
    for (let i = 0; i < N; i++) {
      const p = own[i]!;
      grid[from + i] = grid[from + i]! + below * p + carried;
      carried = above * p;
    }
    grid[from + N] = grid[from + N]! + carried;
  }

  /** Nobody leaves the scale: what lies past an end of the grid stays at it. */
  #foldEnds(): void {
    const grid = this.#onGrid;
    grid[ROOM] = grid[ROOM]! + grid[0]!;
    grid[N] = grid[N]! + grid[N + 1]!;
  }

  /** Adds a share of what is on the grid to a slope's levels. */
  #takeFromGrid(own: Float64Array, offset: number, share: number): void {
    const grid = this.#onGrid;
    // The other way round: the grid lies below the slope's levels by the offset.
    const next = offset > 0 ? 1 : -1;
    const beside = share * Math.abs(offset);
    const here = share - beside;
    for (let i = 1; i < N - 1; i++) {
      own[i] = own[i]! + here * grid[ROOM + i]! + beside * grid[ROOM + i + next]!;
    }
    const [bottom, second] = [grid[ROOM]!, grid[ROOM + 1]!];
    const [top, secondTop] = [grid[N]!, grid[N - 1]!];
    own[0] = own[0]! + (next > 0 ? share * bottom + beside * second : here * bottom);
    own[N - 1] = own[N - 1]! + (next > 0 ? here * top : share * top + beside * secondTop);
  }

  /** Takes in what was seen. @param likelihood of each level of the grid, up to a factor */
  see(likelihood: ArrayLike<number>): void {
    let whole = 0;
    for (let s = 0; s < this.#state.length; s++) {
      const own = this.#state[s]!;
      const offset = this.#offsets[s]!;
      const down = offset < 0 ? -1 : 0;
      const part = offset - down;
      let below = likelihood[Math.max(0, down)]!;
      for (let i = 0; i < N; i++) {
        const above = likelihood[Math.min(N - 1, i + down + 1)]!;
        const p = own[i]! * (below + part * (above - below));
        own[i] = p;
        whole += p;
        below = above;
      }
    }
    if (!(whole > 0)) throw new RangeError('LevelFilter: what was seen is impossible at every level');
    const factor = 1 / whole;
    for (const own of this.#state) for (let i = 0; i < N; i++) own[i] = own[i]! * factor;
  }

  /** What is believed now. */
  belief(): Belief {
    const slopes = new Float64Array(this.#state.length);
    this.#onGrid.fill(0);
    for (let s = 0; s < slopes.length; s++) {
      const own = this.#state[s]!;
      this.#putOnGrid(own, this.#offsets[s]!, 1);
      let whole = 0;
      for (let i = 0; i < N; i++) whole += own[i]!;
      slopes[s] = whole;
    }
    this.#foldEnds();
    return { day: this.#day ?? 0, levels: this.#onGrid.slice(ROOM, ROOM + N), slopes };
  }
}

/** Moves a distribution up by whole steps. Nobody leaves the scale: what would, stays at its end. */
function shift(levels: Float64Array, steps: number): void {
  for (let k = 0; k < steps; k++) {
    const top = levels[N - 1]! + levels[N - 2]!;
    levels.copyWithin(1, 0, N - 1);
    levels[0] = 0;
    levels[N - 1] = top;
  }
  for (let k = 0; k > steps; k--) {
    const bottom = levels[0]! + levels[1]!;
    levels.copyWithin(0, 1);
    levels[0] = bottom;
    levels[N - 1] = 0;
  }
}

/** No more than this passes to a neighbour at a time. */
const MOST_ASIDE = 0.33;

/** Lets a share of each level pass to either neighbour: half the variance in steps, in as many goes as it takes. */
function blur(levels: Float64Array, share: number): void {
  const goes = Math.ceil(share / MOST_ASIDE);
  for (let k = 0; k < goes; k++) blurOnce(levels, share / goes);
}

function blurOnce(levels: Float64Array, share: number): void {
  let before = levels[0]!;
  for (let i = 0; i < N - 1; i++) {
    const own = levels[i]!;
    levels[i] = own + share * (before + levels[i + 1]! - 2 * own);
    before = own;
  }
  const last = levels[N - 1]!;
  levels[N - 1] = last + share * (before - last);
}

/** Parts of a step by which a posterior is read. */
const PARTS = 8;

/** A distribution over the grid, read finer: straight between its levels. */
function finer(levels: ArrayLike<number>): readonly { readonly level: number; readonly p: number }[] {
  const fine: { level: number; p: number }[] = [];
  for (let k = 0; k <= (N - 1) * PARTS; k++) {
    const below = Math.min(N - 2, Math.floor(k / PARTS));
    const part = k / PARTS - below;
    fine.push({ level: (k * STEP) / PARTS, p: levels[below]! * (1 - part) + levels[below + 1]! * part });
  }
  const whole = fine.reduce((sum, { p }) => sum + p, 0);
  return fine.map(({ level, p }) => ({ level, p: p / whole }));
}

/** The level that a share of a distribution over the grid lies below, 0…100. */
export function quantileOf(levels: ArrayLike<number>, share: number): number {
  let below = 0;
  for (const { level, p } of finer(levels)) {
    below += p;
    if (below >= share) return level;
  }
  return 100;
}

/** The ends of the stretch of highest density that holds a share of a distribution over the grid. */
export function highestDensity(
  levels: ArrayLike<number>,
  share: number,
): { readonly low: number; readonly high: number } {
  let held = 0;
  let [low, high] = [100, 0];
  for (const { level, p } of [...finer(levels)].sort((a, b) => b.p - a.p)) {
    held += p;
    low = Math.min(low, level);
    high = Math.max(high, level);
    if (held >= share) break;
  }
  return { low, high };
}

/** Mean and standard deviation of a distribution over the grid. */
export function meanOf(levels: ArrayLike<number>): { readonly mean: number; readonly deviation: number } {
  let [sum, squares] = [0, 0];
  for (let i = 0; i < N; i++) {
    const level = i * STEP;
    sum += levels[i]! * level;
    squares += levels[i]! * level * level;
  }
  return { mean: sum, deviation: Math.sqrt(Math.max(0, squares - sum * sum)) };
}
