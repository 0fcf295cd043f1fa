import { createRootScratch, type RootScratch } from '../math/roots.ts';
import type { Table } from '../table/table.ts';
import { createCushionSolver, type CushionSolver } from './cushionRebound.ts';
import { groundOf, type Ground } from './ground.ts';
import type { PathPiece } from './shot.ts';
import { createState, type BallsState } from './state.ts';

/** What a ball does next by itself. */
export const Own = { Phase: 0, Cushion: 1, Pocket: 2, OffTable: 3 } as const;

/** What happened, as it is noted while a shot runs. */
export const Note = {
  BallBall: 0,
  BallCushion: 1,
  Pocket: 2,
  Rolling: 3,
  Rest: 4,
  OffTable: 5,
  Hop: 6,
  Bounce: 7,
} as const;

/** A break of fifteen balls has a few hundred events; a shot that notes this many is stuck. */
export const EVENT_CAP = 8_000;

/** Balls i and j that press each other from a time on until another, with the greatest overlap so far, metres. */
export interface EnginePress {
  readonly t: number;
  until: number;
  readonly i: number;
  readonly j: number;
  deepest: number;
}

/** Everything that a shot needs while it runs, made once for a table and used again for each shot on it. */
export interface Engine {
  readonly table: Table;
  readonly ground: Ground;
  readonly cushion: CushionSolver;
  readonly s: BallsState;
  /** Where each ball of the input stands in the state, which has them by place. */
  readonly slot: Int16Array;
  /** Which ball of the input stands in each slot. */
  readonly order: Int16Array;
  now: number;
  /** Time, kind and detail (piece or pocket) of each ball's next own event. */
  readonly own: Float64Array;
  readonly ownKind: Uint8Array;
  readonly ownDetail: Int16Array;
  /** Time of each ball's next meeting, with whom, and which version of the other it was computed with. */
  readonly meet: Float64Array;
  readonly mate: Int16Array;
  readonly mateVersion: Int32Array;
  /** The box that a ball keeps inside until its own next event: low x, high x, low y, high y, metres. */
  readonly boxes: Float64Array;
  /** Counts a ball's changes of motion. */
  readonly version: Int32Array;
  /** The pocket that a ball fell into, or −1. */
  readonly pocketOf: Int8Array;
  /** Notes of what happened: time, kind, and one or two numbers that say what. */
  notes: number;
  readonly noteTime: Float64Array;
  readonly noteKind: Uint8Array;
  readonly noteFirst: Int16Array;
  readonly noteSecond: Int16Array;
  /** Each ball's path, when it is asked for. */
  paths: PathPiece[][] | undefined;
  /** Contacts within phases when fine paths are asked for, which then have a piece for every few steps of a phase. */
  presses: EnginePress[] | undefined;
  /** Polynomial and scratch of the root finder; results of calls that must not return a boxed number. */
  readonly c: Float64Array;
  readonly roots: RootScratch;
  readonly out: Float64Array;
}

function createEngine(table: Table, capacity: number): Engine {
  return {
    table,
    ground: groundOf(table),
    cushion: createCushionSolver(table.parameters),
    s: createState(capacity),
    slot: new Int16Array(capacity),
    order: new Int16Array(capacity),
    now: 0,
    own: new Float64Array(capacity),
    ownKind: new Uint8Array(capacity),
    ownDetail: new Int16Array(capacity),
    meet: new Float64Array(capacity),
    mate: new Int16Array(capacity),
    mateVersion: new Int32Array(capacity),
    boxes: new Float64Array(4 * capacity),
    version: new Int32Array(capacity),
    pocketOf: new Int8Array(capacity),
    notes: 0,
    noteTime: new Float64Array(EVENT_CAP + 64),
    noteKind: new Uint8Array(EVENT_CAP + 64),
    noteFirst: new Int16Array(EVENT_CAP + 64),
    noteSecond: new Int16Array(EVENT_CAP + 64),
    paths: undefined,
    presses: undefined,
    c: new Float64Array(5),
    roots: createRootScratch(),
    out: new Float64Array(4),
  };
}

const engines = new WeakMap<Table, Engine>();

/** The engine of a table, with room for some balls; a shot runs to its end before the next one takes it. */
export function engineFor(table: Table, balls: number): Engine {
  const known = engines.get(table);
  if (known !== undefined && known.own.length >= balls) return known;
  const engine = createEngine(table, Math.max(4, balls));
  engines.set(table, engine);
  return engine;
}

export function note(e: Engine, kind: number, first: number, second: number): void {
  const k = e.notes;
  if (k >= e.noteTime.length) return;
  e.noteTime[k] = e.now;
  e.noteKind[k] = kind;
  e.noteFirst[k] = first;
  e.noteSecond[k] = second;
  e.notes = k + 1;
}
