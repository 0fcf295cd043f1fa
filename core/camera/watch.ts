import { distance, type Point } from '../math/point.ts';
import type { Table } from '../table/table.ts';
import { exchanged, jumped } from './exchanged.ts';
import { hasFallen, type Sighting } from './fallen.ts';
import type { CameraFrame } from './frame.ts';
import { LOOKED_AT, stillness, type RestingBall } from './resting.ts';

/** Why a place is not to be taken unseen. */
export type Doubt =
  /** Some frames call it one ball, others another; or a name is in two places. */
  | { readonly kind: 'name'; readonly ball: string; readonly at: Point }
  /** It lies where another ball lay, and that one was not seen to move. */
  | { readonly kind: 'another'; readonly ball: string; readonly before: string; readonly at: Point }
  /** Two balls that rolled have exchanged their names on the way. */
  | { readonly kind: 'exchanged'; readonly ball: string; readonly other: string }
  /** It was seen where it cannot have come so fast, or came there while it was not seen. */
  | { readonly kind: 'jumped'; readonly ball: string; readonly at: Point }
  /** It is not seen any more, and was not seen to go to a pocket. */
  | { readonly kind: 'gone'; readonly ball: string; readonly at: Point | undefined }
  /** It was not on the table before. */
  | { readonly kind: 'new'; readonly ball: string; readonly at: Point }
  /** Seen badly: now and then, or by a camera that is not sure. */
  | { readonly kind: 'faint'; readonly ball: string | undefined; readonly at: Point }
  /** Balls lie otherwise, and none was seen rolling: by hand, or while nothing came from the camera. */
  | { readonly kind: 'unseen' };

/** A ball where it lies, by a name that no other has. */
export interface LyingBall {
  readonly name: string;
  readonly at: Point;
  /** Standard error along each axis, metres. */
  readonly error: number;
}

/** What a camera says of a table. */
export interface CameraReading {
  /** Only what lies still can be taken. */
  readonly state: 'waiting' | 'late' | 'covered' | 'moving' | 'still';
  readonly balls: readonly LyingBall[];
  readonly doubts: readonly Doubt[];
  /** Whether balls lie otherwise than when they were last set or taken. */
  readonly isAfterShot: boolean;
}

/** The name of the cue ball. */
const CUE = 'cue';
/** A frame older than this is news of yesterday, seconds. */
const LATE = 1;
/** What is remembered of frames, seconds: a little more than stillness asks for. */
const REMEMBERED = LOOKED_AT + 0.5;
/** Fewer sightings than this share agree: nobody knows which ball it is. */
const AGREED = 0.85;
const SEEN = 0.75;
const CONFIDENT = 0.6;

/**
 * Watches the frames of a camera over a table: waits until balls rest, remembers what lay before, and tells what cannot be sure.
 * Nothing is ever decided here: it is a reading, with its doubts.
 */
export class CameraWatch {
  readonly #table: Table;
  #frames: CameraFrame[] = [];
  #before: readonly LyingBall[] | undefined;
  #last = new Map<string, Sighting>();
  #exchanged = new Map<string, string>();
  readonly #jumped = new Set<string>();
  #rolled = false;
  #wasCovered = false;
  #isOver = false;
  #expected: readonly string[] = [];

  constructor(table: Table) {
    this.#table = table;
  }

  /** Balls that are known to be on the table before the next shot: as long as one is not seen, nothing begins. */
  expect(names: readonly string[]): void {
    this.#expected = names;
  }

  /** @returns whether it was taken: a frame that is not newer than the one before is not */
  add(frame: CameraFrame): boolean {
    const newest = this.#frames.at(-1);
    if (newest !== undefined && (frame.seq <= newest.seq || frame.at <= newest.at)) return false;
    this.#frames = [...this.#frames.filter(({ at }) => at > frame.at - REMEMBERED), frame];
    const names = new Map<string, Sighting>();
    for (const { name, at } of frame.balls) {
      // A name that is in two places at once is in neither.
      const isOnce = frame.balls.filter((ball) => ball.name === name).length === 1;
      if (isOnce && !this.#isShared(name)) names.set(name, { at, time: frame.at });
    }
    for (const [a, b] of exchanged(this.#last, names, this.#table.preset.ballRadius)) {
      this.#exchanged.set(a, b);
    }
    for (const [name, seen] of names) {
      const last = this.#last.get(name);
      if (last !== undefined && jumped(last, seen, this.#table.preset.ballRadius)) this.#jumped.add(name);
      this.#last.set(name, { ...seen, before: last?.at, since: last?.time });
    }
    if (frame.isCovered) {
      this.#wasCovered = true;
      // The shot is over: who reaches over the table now sets balls for the next.
      if (this.#isOver) this.#rolled = false;
    } else if (this.#still().state === 'moving') {
      this.#rolled = true;
    }
    return true;
  }

  /** What can be said now. @param now seconds by the camera's clock */
  read(now: number): CameraReading {
    const nothing = { balls: [], doubts: [], isAfterShot: false };
    const newest = this.#frames.at(-1);
    if (newest === undefined) return { state: 'waiting', ...nothing };
    if (now - newest.at > LATE) return { state: 'late', ...nothing };
    const still = this.#still();
    if (still.state !== 'still') return { state: still.state, ...nothing };
    const { balls, doubts } = this.#named(still.balls);
    const flickers = still.flickers.map((at): Doubt => ({ kind: 'faint', ball: undefined, at }));
    const missing = this.#expected.filter((name) => balls.every((ball) => ball.name !== name));
    const isWhole = doubts.length + flickers.length + missing.length === 0;
    const lieOtherwise = this.#before === undefined || !this.#isAsBefore(balls);
    // Set by hand, or what lies there when one begins to look: from here a shot is waited for.
    if (isWhole && lieOtherwise && (this.#before === undefined || (this.#wasCovered && !this.#rolled)))
      this.begin(balls);
    const isAfterShot = this.#before !== undefined && !this.#isAsBefore(balls);
    if (isAfterShot && this.#rolled) this.#isOver = true;
    const gone = missing.map((ball): Doubt => ({ kind: 'gone', ball, at: this.#last.get(ball)?.at }));
    return {
      state: 'still',
      balls,
      doubts: [
        ...doubts,
        ...flickers,
        ...(isAfterShot ? this.#doubtsAfter(balls) : this.#before === undefined ? gone : []),
      ],
      isAfterShot,
    };
  }

  /**
   * From here on it is looked for what comes next: what lies there was entered, or set by hand.
   * @param balls undefined while they still roll: then it begins with where they come to rest
   */
  begin(balls: readonly LyingBall[] | undefined): void {
    this.#before = balls;
    this.#rolled = false;
    this.#wasCovered = false;
    this.#isOver = false;
    this.#exchanged.clear();
    this.#jumped.clear();
    this.#last.clear();
  }

  #still() {
    return stillness(this.#frames, this.#table.preset.ballRadius);
  }

  /** Reds are all called red. */
  #isShared(name: string): boolean {
    return name === 'red' && this.#table.preset.markings === 'colours';
  }

  /** Names that no two share, and what is not sure of each ball by itself. */
  #named(resting: readonly RestingBall[]) {
    const doubts: Doubt[] = [];
    const taken = new Set(resting.map(({ name }) => name));
    const balls = resting.map((ball): LyingBall => {
      const { name, at, error } = ball;
      const isTwice = !this.#isShared(name) && resting.some((other) => other !== ball && other.name === name);
      if (ball.agreed < AGREED || isTwice) doubts.push({ kind: 'name', ball: name, at });
      if (ball.seen < SEEN || ball.confidence < CONFIDENT) doubts.push({ kind: 'faint', ball: name, at });
      return { name: this.#isShared(name) ? this.#redAt(at, taken) : name, at, error };
    });
    return { balls, doubts };
  }

  /** The name of the red that lay there before, or the first one that is free. */
  #redAt(at: Point, taken: Set<string>): string {
    const before = this.#before?.find(
      (ball) => ball.name.startsWith('red ') && this.#isSame(ball.at, at) && !taken.has(ball.name),
    );
    let n = 1;
    while (before === undefined && (taken.has(`red ${String(n)}`) || this.#lies(`red ${String(n)}`))) n++;
    const name = before?.name ?? `red ${String(n)}`;
    taken.add(name);
    return name;
  }

  #lies(name: string): boolean {
    return this.#before?.some((ball) => ball.name === name) ?? false;
  }

  #isSame(a: Point, b: Point): boolean {
    return distance(a, b) < this.#table.preset.ballRadius / 2;
  }

  #isAsBefore(balls: readonly LyingBall[]): boolean {
    const before = this.#before ?? [];
    return (
      before.length === balls.length &&
      balls.every(({ name, at }) => before.some((ball) => ball.name === name && this.#isSame(ball.at, at)))
    );
  }

  #doubtsAfter(balls: readonly LyingBall[]): readonly Doubt[] {
    const before = this.#before ?? [];
    const doubts: Doubt[] = this.#rolled ? [] : [{ kind: 'unseen' }];
    for (const { name, at } of balls) {
      const there = before.find((ball) => this.#isSame(ball.at, at));
      if (there !== undefined && there.name !== name)
        doubts.push({ kind: 'another', ball: name, before: there.name, at });
      if (!before.some((ball) => ball.name === name)) doubts.push({ kind: 'new', ball: name, at });
    }
    const isThere = (name: string) => balls.some((ball) => ball.name === name);
    for (const [ball, other] of this.#exchanged) {
      if (isThere(ball) || isThere(other)) doubts.push({ kind: 'exchanged', ball, other });
    }
    for (const { name, at } of balls) {
      if (this.#jumped.has(name)) doubts.push({ kind: 'jumped', ball: name, at });
    }
    for (const { name, at } of before) {
      if (isThere(name)) continue;
      const last = this.#last.get(name);
      // That the cue ball fell is asked in any case: it costs more than a ball that did not.
      if (name === CUE || last === undefined || !hasFallen(last, this.#table))
        doubts.push({ kind: 'gone', ball: name, at: last?.at ?? at });
    }
    return doubts;
  }
}
