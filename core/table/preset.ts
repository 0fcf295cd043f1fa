import type { MotionParameters } from './parameters.ts';

export type PresetId = 'pool-9ft' | 'snooker-12ft';
export type Game = 'pool' | 'snooker';

/** How a cushion ends at a pocket: a straight facing (pool) or a curve tangent to the nose (snooker). */
export type JawShape =
  | {
      readonly kind: 'facing';
      /** Between nose and facing, measured through the rubber, degrees. */
      readonly angleDeg: number;
      readonly length: number;
    }
  | { readonly kind: 'curve'; readonly radius: number; readonly sweepDeg: number };

export interface PocketShape {
  /** Between the points (pool), or the narrowest gap at nose height (snooker), metres. */
  readonly mouth: number;
  readonly jaw: JawShape;
  /** From the mouth's line to the near edge of the drop, along the pocket's axis, metres. */
  readonly shelf: number;
  /** Radius of the drop: a ball whose centre is inside has fallen, metres. */
  readonly dropRadius: number;
}

export interface TablePreset {
  readonly id: PresetId;
  readonly name: string;
  readonly game: Game;
  /** Between cushion noses, metres. */
  readonly length: number;
  readonly width: number;
  readonly ballRadius: number;
  readonly ballMass: number;
  readonly corner: PocketShape;
  readonly middle: PocketShape;
  /** Sights divide the long side by eight and the short one by four; snooker tables have none. */
  readonly sights: boolean;
  readonly parameters: MotionParameters;
}

const POOL_BALL_FRICTION = { a: 0.00995, b: 0.108, c: 1.088 };

/**
 * The tables that ship. Sizes, balls, cloth, cushions and mouths are the published values for these tables at
 * medium cloth; drop radius, shelf and the curve of the snooker jaws lie inside the published tolerances.
 */
export const TABLE_PRESETS: Readonly<Record<PresetId, TablePreset>> = {
  'pool-9ft': {
    id: 'pool-9ft',
    name: '9-ft pool',
    game: 'pool',
    length: 2.54,
    width: 1.27,
    ballRadius: 0.028575,
    ballMass: 0.17,
    corner: {
      mouth: 0.117,
      jaw: { kind: 'facing', angleDeg: 142, length: 0.12 },
      shelf: 0.04,
      dropRadius: 0.06,
    },
    middle: {
      mouth: 0.13,
      jaw: { kind: 'facing', angleDeg: 104, length: 0.11 },
      shelf: 0.006,
      dropRadius: 0.06,
    },
    sights: true,
    parameters: {
      slidingFriction: 0.2,
      rollingFriction: 0.01,
      spinDeceleration: 10,
      ballRestitution: 0.94,
      ballFriction: POOL_BALL_FRICTION,
      cushionRestitution: 0.95,
      cushionFriction: 0.16,
      noseHeight: 0.0363,
      gravity: 9.81,
    },
  },
  'snooker-12ft': {
    id: 'snooker-12ft',
    name: '12-ft snooker',
    game: 'snooker',
    length: 3.569,
    width: 1.778,
    ballRadius: 0.02625,
    ballMass: 0.141,
    corner: {
      mouth: 0.086,
      jaw: { kind: 'curve', radius: 0.09, sweepDeg: 75 },
      shelf: 0.012,
      dropRadius: 0.045,
    },
    middle: {
      mouth: 0.09,
      jaw: { kind: 'curve', radius: 0.06, sweepDeg: 85 },
      shelf: 0.03,
      dropRadius: 0.045,
    },
    sights: false,
    parameters: {
      slidingFriction: 0.18,
      rollingFriction: 0.007,
      spinDeceleration: 9,
      ballRestitution: 0.95,
      ballFriction: POOL_BALL_FRICTION,
      cushionRestitution: 0.98,
      cushionFriction: 0.14,
      noseHeight: 0.035,
      gravity: 9.81,
    },
  },
};

export const PRESET_IDS: readonly PresetId[] = ['pool-9ft', 'snooker-12ft'];
