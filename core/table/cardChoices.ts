import type { CardValueName } from './cardValues.ts';
import type { PresetId, TablePreset } from './preset.ts';

/** What a coach can say of a table without measuring anything, and what each answer does to its numbers. */

export const CLOTH_SPEEDS = ['slow', 'medium', 'fast'] as const;
export const CLOTH_AGES = ['new', 'played in', 'worn'] as const;
export const CUSHION_KINDS = ['dull', 'ordinary', 'lively'] as const;
export const POCKET_KINDS = ['tight', 'ordinary', 'wide'] as const;
export const BALL_SETS = ['standard', 'equal balls', 'large cue ball', 'worn cue ball'] as const;
export const AIR_KINDS = ['dry', 'ordinary', 'damp'] as const;
export const WARMTHS = ['cold', 'ordinary', 'warm'] as const;
export const BALL_STATES = ['clean', 'ordinary', 'dirty'] as const;

export interface CardChoices {
  readonly ballSet: (typeof BALL_SETS)[number];
  readonly clothSpeed: (typeof CLOTH_SPEEDS)[number];
  readonly clothAge: (typeof CLOTH_AGES)[number];
  readonly cushions: (typeof CUSHION_KINDS)[number];
  readonly pockets: (typeof POCKET_KINDS)[number];
}

/** How the table plays tonight. */
export interface Conditions {
  readonly air: (typeof AIR_KINDS)[number];
  readonly warmth: (typeof WARMTHS)[number];
  readonly balls: (typeof BALL_STATES)[number];
}

/** A change of one number by one choice: set to a value, or taken times a factor, and why. */
export interface Effect {
  readonly name: CardValueName;
  readonly change: { readonly set: number } | { readonly times: number } | { readonly plus: number };
  readonly reason: string;
}

const times = (name: CardValueName, factor: number, reason: string): Effect => ({
  name,
  change: { times: factor },
  reason,
});
const set = (name: CardValueName, value: number, reason: string): Effect => ({
  name,
  change: { set: value },
  reason,
});
const plus = (name: CardValueName, metres: number, reason: string): Effect => ({
  name,
  change: { plus: metres },
  reason,
});

/** Rolling friction of slow, medium and fast cloth: published ranges of each kind of table. */
const ROLLING: Readonly<Record<PresetId, readonly [slow: number, medium: number, fast: number]>> = {
  'pool-9ft': [0.013, 0.01, 0.007],
  'pool-8ft': [0.013, 0.01, 0.007],
  'pool-7ft': [0.013, 0.01, 0.007],
  'eight-7ft': [0.014, 0.011, 0.008],
  'snooker-12ft': [0.009, 0.007, 0.005],
  'snooker-10ft': [0.009, 0.007, 0.005],
};

function clothEffects({ id }: TablePreset, { clothSpeed, clothAge }: CardChoices): readonly Effect[] {
  const rolling = ROLLING[id][CLOTH_SPEEDS.indexOf(clothSpeed)] ?? 0;
  const speed =
    clothSpeed === 'medium'
      ? []
      : [set('rollingFriction', rolling, `${clothSpeed} cloth: published range for this kind of table`)];
  if (clothAge === 'new') {
    return [
      ...speed,
      times('slidingFriction', 0.85, 'new cloth: smooth fibres, a ball slides longer (rule of thumb)'),
      times('spinDeceleration', 0.9, 'new cloth: less drag on a spinning ball (rule of thumb)'),
      times(
        'cushionFriction',
        0.85,
        'new cloth: slippery cushions, side takes less at first (rule of thumb)',
      ),
    ];
  }
  if (clothAge === 'worn') {
    return [
      ...speed,
      times('slidingFriction', 1.1, 'worn cloth: rough fibres grip sooner (rule of thumb)'),
      times('spinDeceleration', 1.1, 'worn cloth: more drag on a spinning ball (rule of thumb)'),
      times('cushionFriction', 1.1, 'worn cloth: cushions grip more (rule of thumb)'),
    ];
  }
  return speed;
}

function cushionEffects({ cushions }: CardChoices): readonly Effect[] {
  if (cushions === 'dull') {
    return [
      times('cushionRestitution', 0.95, 'dull cushions: hardened rubber gives back less (rule of thumb)'),
    ];
  }
  if (cushions === 'lively') {
    return [
      times('cushionRestitution', 1.015, 'lively cushions: fresh rubber gives back more (rule of thumb)'),
    ];
  }
  return [];
}

/** Straight facings are cut wide apart and vary by some 9 mm either way, curved jaws by 3 mm. */
function pocketEffects({ corner }: TablePreset, { pockets }: CardChoices): readonly Effect[] {
  if (pockets === 'ordinary') return [];
  const by = (corner.jaw.kind === 'facing' ? 0.009 : 0.003) * (pockets === 'tight' ? -1 : 1);
  const reason = `${pockets} pockets: what cutters and templates vary by on such jaws`;
  return [plus('cornerMouth', by, reason), plus('middleMouth', by, reason)];
}

/** The ball sets that are played with on a kind of table; the first is what comes with it. */
export function ballSetsOf({
  ballRadius,
  cueBallRadius,
  game,
}: TablePreset): readonly CardChoices['ballSet'][] {
  if (ballRadius !== cueBallRadius) return ['standard', 'equal balls'];
  return game === 'pool' ? ['standard', 'large cue ball', 'worn cue ball'] : ['standard', 'worn cue ball'];
}

/** A large cue ball is 60.3 mm across; one that has been polished for years lost a hundredth. */
const LARGE_DIAMETER = 0.0603;
const WORN_SHARE = 0.99;

function ballEffects(preset: TablePreset, { ballSet }: CardChoices): readonly Effect[] {
  const across = 2 * preset.cueBallRadius;
  switch (ballSet) {
    case 'standard':
      return [];
    case 'equal balls':
      return [
        set('cueBallDiameter', 2 * preset.ballRadius, 'equal balls: the cue ball is as large as the others'),
        set('cueBallMass', preset.ballMass, 'equal balls: the cue ball is as heavy as the others'),
      ];
    case 'large cue ball':
      return [
        set('cueBallDiameter', LARGE_DIAMETER, 'large cue ball: the size that coin tables return'),
        times(
          'cueBallMass',
          (LARGE_DIAMETER / across) ** 3,
          'large cue ball: same material, so by its volume',
        ),
      ];
    case 'worn cue ball':
      return [
        times('cueBallDiameter', WORN_SHARE, 'worn cue ball: polished down by a hundredth (rule of thumb)'),
        times('cueBallMass', WORN_SHARE ** 3, 'worn cue ball: same material, so by its volume'),
      ];
  }
}

/** What the choices of a card do to the numbers of its kind of table, in order. */
export function effectsOfChoices(preset: TablePreset, choices: CardChoices): readonly Effect[] {
  return [
    ...ballEffects(preset, choices),
    ...clothEffects(preset, choices),
    ...cushionEffects(choices),
    ...pocketEffects(preset, choices),
  ];
}

/** What tonight's conditions do on top. All are rules of thumb until they are measured. */
export function effectsOfConditions({ air, warmth, balls }: Conditions): readonly Effect[] {
  const effects: Effect[] = [];
  if (air === 'damp') {
    effects.push(
      times('rollingFriction', 1.12, 'damp air: the cloth swells and rolls slower (rule of thumb)'),
      times('slidingFriction', 1.05, 'damp air: the cloth grips more (rule of thumb)'),
      times('cushionRestitution', 0.985, 'damp air: the cloth on the cushions is heavier (rule of thumb)'),
    );
  }
  if (air === 'dry') {
    effects.push(
      times('rollingFriction', 0.95, 'dry air: the cloth is tight and rolls faster (rule of thumb)'),
      times('slidingFriction', 0.95, 'dry air: the cloth grips less (rule of thumb)'),
    );
  }
  if (warmth === 'cold') {
    effects.push(
      times('cushionRestitution', 0.97, 'cold room: stiff rubber gives back less (rule of thumb)'),
    );
  }
  if (warmth === 'warm') {
    effects.push(
      times('rollingFriction', 0.95, 'warm bed: it dries the cloth (rule of thumb)'),
      times('cushionRestitution', 1.01, 'warm room: soft rubber gives back more (rule of thumb)'),
    );
  }
  if (balls === 'clean') {
    effects.push(times('ballFriction', 0.8, 'balls just cleaned: less throw (rule of thumb)'));
  }
  if (balls === 'dirty') {
    effects.push(times('ballFriction', 1.3, 'dirty balls: chalk and grease throw more (rule of thumb)'));
  }
  return effects;
}
