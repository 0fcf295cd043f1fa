import type { Table } from '../table/table.ts';
import { collideBalls, type CollidingBall } from './ballBall.ts';
import { noseDistance, reboundFromCushion } from './ballCushion.ts';
import { advance, endPhase, enterPhase } from './cloth.ts';
import type { Motion } from './impulse.ts';
import { createPredictor, type SelfPrediction } from './predict.ts';
import type {
  BallMotion,
  BallPath,
  PathPiece,
  Shot,
  ShotEvent,
  ShotResult,
  SimulateOptions,
} from './shot.ts';
import { createState, Phase, type BallsState } from './state.ts';
import { strikeBall } from './strike.ts';
import { checkShot } from './validate.ts';

/** Raised whenever the simulator's answers change, so that what was computed with an older one is not reused. */
export const MODEL_VERSION = 'slice-1';

/** A break of fifteen balls has a few hundred events; a shot that reaches this many is stuck. */
const EVENT_CAP = 5_000;

/**
 * Plays a shot: from the strike until every ball lies still.
 *
 * Event-driven: between events each ball moves in closed form, and the next event is found by solving for its
 * time, never by stepping. A pure function: the same shot gives the same result everywhere.
 * @throws InvalidShotError when the shot cannot be played (see checkShot)
 */
export function simulate(shot: Shot, options: SimulateOptions = {}): ShotResult {
  checkShot(shot);
  const motions = shot.balls.map((ball) =>
    ball.id === shot.strike.ball ? strikeBall(ball, shot.strike) : atRest(ball),
  );
  return simulateMotion(shot.table, motions, options);
}

function atRest(ball: Shot['balls'][number]): BallMotion {
  const { id, x, y, radius, mass } = ball;
  return { id, x, y, radius, mass, vx: 0, vy: 0, wx: 0, wy: 0, wz: 0 };
}

/**
 * Follows balls that are already in motion until all lie still, on the same terms as `simulate`; nothing is
 * checked.
 */
export function simulateMotion(
  table: Table,
  balls: readonly BallMotion[],
  options: SimulateOptions = {},
): ShotResult {
  return new Run(table, balls, options).play();
}

class Run {
  readonly #table: Table;
  readonly #s: BallsState;
  readonly #predictor: ReturnType<typeof createPredictor>;
  readonly #self: SelfPrediction[] = [];
  /** Time at which balls i < j meet, at i·n + j. */
  readonly #pairTime: Float64Array;
  readonly #events: ShotEvent[] = [];
  readonly #pocketOf: (number | undefined)[];
  readonly #paths: PathPiece[][] | undefined;
  readonly #until: number;
  #now = 0;

  constructor(table: Table, balls: readonly BallMotion[], options: SimulateOptions) {
    this.#table = table;
    this.#s = createState(balls);
    this.#predictor = createPredictor(table, this.#s);
    this.#pairTime = new Float64Array(balls.length * balls.length).fill(Infinity);
    this.#pocketOf = balls.map(() => undefined);
    this.#paths = options.paths === true ? balls.map(() => []) : undefined;
    this.#until =
      options.untilSettled === undefined ? -1 : balls.findIndex((b) => b.id === options.untilSettled);
  }

  play(): ShotResult {
    const s = this.#s;
    for (let i = 0; i < s.count; i++) {
      enterPhase(s, i, this.#table.parameters);
      this.#self[i] = this.#predictor.self(i);
      this.#recordPath(i);
    }
    for (let i = 0; i < s.count; i++) {
      for (let j = i + 1; j < s.count; j++) this.#predictPair(i, j);
    }
    let complete = false;
    for (let step = 0; step < EVENT_CAP; step++) {
      if (!this.#next()) {
        complete = true;
        break;
      }
    }
    return this.#result(complete);
  }

  /** Plays the next event; false when there is none, or the awaited ball has settled. */
  #next(): boolean {
    const s = this.#s;
    if (this.#until >= 0 && this.#events.length > 0) {
      const phase = s.phase[this.#until];
      if (phase === Phase.Potted || phase === Phase.Rest || phase === Phase.Spinning) {
        if (this.#pocketOf[this.#until] !== undefined || this.#wasMoved(this.#until)) return false;
      }
    }
    let time = Infinity;
    let first = -1;
    let second = -1;
    for (let i = 0; i < s.count; i++) {
      const own = this.#self[i]!.time;
      if (own < time) {
        time = own;
        first = i;
        second = -1;
      }
      for (let j = i + 1; j < s.count; j++) {
        const meet = this.#pairTime[i * s.count + j]!;
        if (meet < time) {
          time = meet;
          first = i;
          second = j;
        }
      }
    }
    if (first < 0) return false;
    this.#now = time;
    if (second >= 0) this.#collide(first, second);
    else this.#ownEvent(first);
    return true;
  }

  #wasMoved(i: number): boolean {
    return this.#s.t0[i]! > 0;
  }

  #ownEvent(i: number): void {
    const s = this.#s;
    const p = this.#table.parameters;
    const { event } = this.#self[i]!;
    const id = s.ids[i]!;
    advance(s, i, this.#now, p);
    if (event.kind === 'phase') {
      const was = s.phase[i];
      endPhase(s, i, p);
      const phase = s.phase[i];
      if (phase === Phase.Rolling) this.#events.push({ t: this.#now, kind: 'rolling', id });
      else if (was !== Phase.Spinning) this.#events.push({ t: this.#now, kind: 'rest', id });
    } else if (event.kind === 'pocket') {
      s.phase[i] = Phase.Potted;
      s.vx[i] = s.vy[i] = s.ax[i] = s.ay[i] = 0;
      s.phaseEnd[i] = Infinity;
      this.#pocketOf[i] = event.index;
      this.#events.push({ t: this.#now, kind: 'pocket', id, pocket: this.#table.pockets[event.index]!.name });
    } else {
      const { piece } = event;
      const towards =
        piece.kind === 'line'
          ? { x: -piece.normal.x, y: -piece.normal.y }
          : this.#unit(piece.centre.x - s.x[i]!, piece.centre.y - s.y[i]!);
      if (piece.kind === 'line') this.#placeAtNose(i, piece.from, piece.normal);
      const motion = this.#motionOf(i);
      reboundFromCushion(motion, s.mass[i]!, s.radius[i]!, towards.x, towards.y, p);
      this.#setMotion(i, motion);
      enterPhase(s, i, p);
      this.#events.push({ t: this.#now, kind: 'ball-cushion', id, cushion: piece.cushion });
    }
    this.#changed(i);
  }

  /** Rounding leaves a ball some 1e-16 m off the nose; set exactly on it, it cannot creep through. */
  #placeAtNose(i: number, nose: { x: number; y: number }, normal: { x: number; y: number }): void {
    const s = this.#s;
    const reach = noseDistance(s.radius[i]!, this.#table.parameters.noseHeight);
    const off = (s.x[i]! - nose.x) * normal.x + (s.y[i]! - nose.y) * normal.y - reach;
    s.x[i] = s.x[i]! - off * normal.x;
    s.y[i] = s.y[i]! - off * normal.y;
  }

  #collide(i: number, j: number): void {
    const s = this.#s;
    const p = this.#table.parameters;
    advance(s, i, this.#now, p);
    advance(s, j, this.#now, p);
    const a: CollidingBall = { motion: this.#motionOf(i), mass: s.mass[i]!, radius: s.radius[i]! };
    const b: CollidingBall = { motion: this.#motionOf(j), mass: s.mass[j]!, radius: s.radius[j]! };
    collideBalls(a, b, s.x[j]! - s.x[i]!, s.y[j]! - s.y[i]!, p);
    this.#setMotion(i, a.motion);
    this.#setMotion(j, b.motion);
    enterPhase(s, i, p);
    enterPhase(s, j, p);
    this.#events.push({ t: this.#now, kind: 'ball-ball', ids: [s.ids[i]!, s.ids[j]!] });
    this.#changed(i);
    this.#changed(j);
  }

  #changed(i: number): void {
    this.#recordPath(i);
    const s = this.#s;
    this.#self[i] = this.#predictor.self(i);
    for (let j = 0; j < s.count; j++) {
      if (j !== i) this.#predictPair(Math.min(i, j), Math.max(i, j));
    }
  }

  #predictPair(i: number, j: number): void {
    const s = this.#s;
    const a = s.phase[i]!;
    const b = s.phase[j]!;
    const moving = a === Phase.Rolling || a === Phase.Sliding || b === Phase.Rolling || b === Phase.Sliding;
    const there = a !== Phase.Potted && b !== Phase.Potted;
    const until = Math.min(this.#self[i]?.time ?? Infinity, this.#self[j]?.time ?? Infinity);
    this.#pairTime[i * s.count + j] =
      moving && there ? this.#predictor.pair(i, j, this.#now, until) : Infinity;
  }

  #motionOf(i: number): Motion {
    const s = this.#s;
    return { vx: s.vx[i]!, vy: s.vy[i]!, vz: 0, wx: s.wx[i]!, wy: s.wy[i]!, wz: s.wz[i]! };
  }

  #setMotion(i: number, motion: Motion): void {
    const s = this.#s;
    s.vx[i] = motion.vx;
    s.vy[i] = motion.vy;
    s.wx[i] = motion.wx;
    s.wy[i] = motion.wy;
    s.wz[i] = motion.wz;
  }

  #unit(x: number, y: number): { x: number; y: number } {
    const size = Math.sqrt(x * x + y * y);
    return { x: x / size, y: y / size };
  }

  #recordPath(i: number): void {
    const s = this.#s;
    this.#paths?.[i]?.push({
      t: s.t0[i]!,
      x: s.x[i]!,
      y: s.y[i]!,
      vx: s.vx[i]!,
      vy: s.vy[i]!,
      ax: s.ax[i]!,
      ay: s.ay[i]!,
    });
  }

  #result(complete: boolean): ShotResult {
    const s = this.#s;
    for (let i = 0; i < s.count; i++) advance(s, i, this.#now, this.#table.parameters);
    const paths: BallPath[] | undefined = this.#paths?.map((pieces, i) => ({ id: s.ids[i]!, pieces }));
    return {
      rest: s.ids.map((id, i) => {
        const pocket = this.#pocketOf[i];
        return {
          id,
          x: s.x[i]!,
          y: s.y[i]!,
          pocket: pocket === undefined ? null : this.#table.pockets[pocket]!.name,
        };
      }),
      events: this.#events,
      duration: this.#now,
      complete,
      ...(paths === undefined ? {} : { paths }),
    };
  }
}
