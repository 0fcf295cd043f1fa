import type { MotionParameters } from './parameters.ts';
import type { PocketShape, PresetId, TablePreset } from './preset.ts';

/** Ball on ball: fit to published throw measurements, μ(s) = 0.00995 + 0.108·exp(−1.088·s). */
const BALL_FRICTION = { a: 0.00995, b: 0.108, c: 1.088 };

const POOL_PARAMETERS: MotionParameters = {
  slidingFriction: 0.2,
  rollingFriction: 0.01,
  spinDeceleration: 10,
  ballRestitution: 0.94,
  ballFriction: BALL_FRICTION,
  cushionRestitution: 0.95,
  cushionRestitutionFall: 0,
  cushionFriction: 0.16,
  noseHeight: 0.0363,
  bedRestitution: 0,
  endMass: 0,
  gravity: 9.81,
};

const SNOOKER_PARAMETERS: MotionParameters = {
  ...POOL_PARAMETERS,
  slidingFriction: 0.18,
  rollingFriction: 0.007,
  spinDeceleration: 9,
  ballRestitution: 0.95,
  cushionRestitution: 0.98,
  cushionFriction: 0.14,
  noseHeight: 0.035,
};

/** Mouths, facing angles and shelves within the published tolerances of pool tables; the drop follows from them. */
const POOL_POCKETS: { readonly corner: PocketShape; readonly middle: PocketShape } = {
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
};

/** Curved jaws with the mouths of the match templates; curve and drop inside what the templates allow. */
const SNOOKER_POCKETS: { readonly corner: PocketShape; readonly middle: PocketShape } = {
  corner: {
    mouth: 0.086,
    jaw: { kind: 'curve', radius: 0.09, sweepDeg: 75 },
    shelf: 0.012,
    dropRadius: 0.045,
  },
  middle: { mouth: 0.09, jaw: { kind: 'curve', radius: 0.06, sweepDeg: 85 }, shelf: 0.03, dropRadius: 0.045 },
};

const pool = (id: PresetId, name: string, length: number, width: number): TablePreset => ({
  id,
  name,
  game: 'pool',
  length,
  width,
  ballRadius: 0.028575,
  ballMass: 0.17,
  cueBallRadius: 0.028575,
  cueBallMass: 0.17,
  ...POOL_POCKETS,
  sights: true,
  markings: 'head string',
  parameters: POOL_PARAMETERS,
});

const snooker = (id: PresetId, name: string, length: number, width: number): TablePreset => ({
  id,
  name,
  game: 'snooker',
  length,
  width,
  ballRadius: 0.02625,
  ballMass: 0.141,
  cueBallRadius: 0.02625,
  cueBallMass: 0.141,
  ...SNOOKER_POCKETS,
  sights: false,
  markings: 'colours',
  parameters: SNOOKER_PARAMETERS,
});

/**
 * The tables that ship, at medium cloth. Sizes between noses are the published playing areas (for the 10-ft snooker
 * table 9 ft 4 in by 4 ft 8 in, what makers give); balls, cloth and cushions the usual published values.
 */
export const TABLE_PRESETS: Readonly<Record<PresetId, TablePreset>> = {
  'pool-9ft': pool('pool-9ft', '9-ft pool', 2.54, 1.27),
  'pool-8ft': pool('pool-8ft', '8-ft pool', 2.235, 1.118),
  'pool-7ft': pool('pool-7ft', '7-ft pool', 1.981, 0.991),
  'eight-7ft': {
    id: 'eight-7ft',
    name: '7-ft small-table eight-ball',
    game: 'pool',
    length: 1.83,
    width: 0.915,
    ballRadius: 0.0254,
    ballMass: 0.118,
    cueBallRadius: 0.0238,
    cueBallMass: 0.097,
    corner: {
      mouth: 0.081,
      jaw: { kind: 'curve', radius: 0.06, sweepDeg: 75 },
      shelf: 0.012,
      dropRadius: 0.042,
    },
    middle: {
      mouth: 0.087,
      jaw: { kind: 'curve', radius: 0.045, sweepDeg: 85 },
      shelf: 0.024,
      dropRadius: 0.042,
    },
    sights: false,
    markings: 'baulk',
    parameters: {
      ...POOL_PARAMETERS,
      rollingFriction: 0.011,
      spinDeceleration: 11,
      cushionRestitution: 0.88,
      cushionFriction: 0.2,
      noseHeight: 0.0323,
    },
  },
  'snooker-12ft': snooker('snooker-12ft', '12-ft snooker', 3.569, 1.778),
  'snooker-10ft': snooker('snooker-10ft', '10-ft snooker', 2.845, 1.422),
};
