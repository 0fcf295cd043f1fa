import type { CushionName } from '../table/cushions.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';

/** A ball on the cloth before the shot. */
export interface BallOnTable {
  readonly id: string;
  /** Centre in plan, metres. */
  readonly x: number;
  readonly y: number;
  /** Metres. */
  readonly radius: number;
  /** Kilograms. */
  readonly mass: number;
}

export interface Tip {
  /** Right of centre as the player sees it, ball radii, −0.5…0.5. */
  readonly side: number;
  /** Above centre, ball radii, −0.5…0.5. */
  readonly height: number;
}

export interface Strike {
  /** Id of the ball that is struck. */
  readonly ball: string;
  /** Impulse over the ball's mass, m/s, > 0. */
  readonly speed: number;
  /** Of the cue in plan, radians counter-clockwise from +x. */
  readonly direction: number;
  readonly tip: Tip;
  /** Of the butt above level, radians, 0…π/2. */
  readonly elevation: number;
}

/** Everything that a shot's outcome depends on. */
export interface Shot {
  readonly table: Table;
  readonly balls: readonly BallOnTable[];
  readonly strike: Strike;
}

/** A ball in motion on the cloth: place, velocity in m/s, spin in rad/s about x, y and z. */
export interface BallMotion extends BallOnTable {
  readonly vx: number;
  readonly vy: number;
  /** Upward; left out for a ball that stays on the cloth. */
  readonly vz?: number;
  readonly wx: number;
  readonly wy: number;
  readonly wz: number;
}

export type ShotEvent =
  | { readonly t: number; readonly kind: 'ball-ball'; readonly ids: readonly [string, string] }
  | { readonly t: number; readonly kind: 'ball-cushion'; readonly id: string; readonly cushion: CushionName }
  | { readonly t: number; readonly kind: 'pocket'; readonly id: string; readonly pocket: PocketName }
  | {
      readonly t: number;
      /** Begins to roll; lies still; leaves the table; leaves the cloth; comes down on it. */
      readonly kind: 'rolling' | 'rest' | 'off-table' | 'hop' | 'bounce';
      readonly id: string;
    };

export interface BallAtRest {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  /** The pocket it fell into, or null while it is on the table. */
  readonly pocket: PocketName | null;
  /** It left the table through the air. */
  readonly offTable: boolean;
}

/** A stretch of a ball's path: from `t` on it is at x + vx·τ + ax·τ²/2 (and y alike), τ = time since t. */
export interface PathPiece {
  readonly t: number;
  readonly x: number;
  readonly y: number;
  readonly vx: number;
  readonly vy: number;
  readonly ax: number;
  readonly ay: number;
  /** Height of the centre and its rate, for a ball in flight: z + vz·τ − g·τ²/2. */
  readonly flight?: { readonly z: number; readonly vz: number };
}

export interface BallPath {
  readonly id: string;
  readonly pieces: readonly PathPiece[];
}

/** A contact while a blow is shared: two balls that press each other. */
export interface Press {
  /** When it begins to press, and until when it does, seconds. */
  readonly t: number;
  readonly until: number;
  readonly ids: readonly [string, string];
  /** The greatest force between them, newtons. */
  readonly force: number;
}

export interface ShotResult {
  readonly rest: readonly BallAtRest[];
  readonly events: readonly ShotEvent[];
  /** Seconds until the last ball lay still. */
  readonly duration: number;
  /** Present when asked for; a ball that never moved has one piece. */
  readonly paths?: readonly BallPath[];
  /** What presses what within shared blows, in order; present when paths are fine. */
  readonly presses?: readonly Press[];
  /** False when the shot was cut off by the cap on events; the result is then where it stood. */
  readonly complete: boolean;
}

export interface SimulateOptions {
  /** Return each ball's path; "fine" has what happens within a blow that several balls share, too. */
  readonly paths?: boolean | 'fine';
  /** False leaves the list of events empty: who only asks where balls come to rest need not wait for it. */
  readonly events?: boolean;
  /** False leaves the contact phase out: every blow passes through one contact after the other. */
  readonly contactPhase?: boolean;
  /** Stop as soon as this ball has fallen or lies still: enough for the question whether it is potted. */
  readonly untilSettled?: string;
  /** Stop just before two balls meet for the first time: the way up to the first ball, without the blow. */
  readonly untilMeeting?: boolean;
}
