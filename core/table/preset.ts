import type { MotionParameters } from './parameters.ts';

export const PRESET_IDS = [
  'pool-9ft',
  'pool-8ft',
  'pool-7ft',
  'eight-7ft',
  'snooker-12ft',
  'snooker-10ft',
] as const;
export type PresetId = (typeof PRESET_IDS)[number];
/** Whose habits hold: which errors players make, which words are used. */
export type Game = 'pool' | 'snooker';
/** What is drawn on the cloth: a head string and three spots, a baulk line with its D, or these and six colours. */
export type Markings = 'head string' | 'baulk' | 'colours';

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
  /** Of the object balls, metres and kilograms. */
  readonly ballRadius: number;
  readonly ballMass: number;
  /** Of the cue ball, where it is another one. */
  readonly cueBallRadius: number;
  readonly cueBallMass: number;
  readonly corner: PocketShape;
  readonly middle: PocketShape;
  /** Sights divide the long side by eight and the short one by four; snooker tables have none. */
  readonly sights: boolean;
  readonly markings: Markings;
  readonly parameters: MotionParameters;
}
