import type { TablePreset } from './preset.ts';

/** Every number of a table card, in the order in which a card shows them. SI units. */
export const CARD_VALUE_NAMES = [
  'length',
  'width',
  'ballDiameter',
  'ballMass',
  'cueBallDiameter',
  'cueBallMass',
  'slidingFriction',
  'rollingFriction',
  'spinDeceleration',
  'ballRestitution',
  'ballFriction',
  'cushionRestitution',
  'cushionRestitutionFall',
  'cushionFriction',
  'noseHeight',
  'cornerMouth',
  'cornerShelf',
  'middleMouth',
  'middleShelf',
  'bedRestitution',
  'endMass',
] as const;
export type CardValueName = (typeof CARD_VALUE_NAMES)[number];

/** One number of a table: how it is read from a description, put into one, and what it may be. */
interface CardValueAccess {
  read(preset: TablePreset): number;
  write(preset: TablePreset, value: number): TablePreset;
  readonly least: number;
  readonly most: number;
}

type ParameterName = Exclude<keyof TablePreset['parameters'], 'ballFriction' | 'gravity'>;

function parameter(name: ParameterName, least: number, most: number): CardValueAccess {
  return {
    read: (preset) => preset.parameters[name],
    write: (preset, value) => ({ ...preset, parameters: { ...preset.parameters, [name]: value } }),
    least,
    most,
  };
}

type SizeName = 'length' | 'width' | 'ballMass' | 'cueBallMass';

function size(name: SizeName, least: number, most: number): CardValueAccess {
  return {
    read: (preset) => preset[name],
    write: (preset, value) => ({ ...preset, [name]: value }),
    least,
    most,
  };
}

function diameter(name: 'ballRadius' | 'cueBallRadius'): CardValueAccess {
  return {
    read: (preset) => 2 * preset[name],
    write: (preset, value) => ({ ...preset, [name]: value / 2 }),
    least: 0.044,
    most: 0.063,
  };
}

function pocket(
  place: 'corner' | 'middle',
  name: 'mouth' | 'shelf',
  least: number,
  most: number,
): CardValueAccess {
  return {
    read: (preset) => preset[place][name],
    write: (preset, value) => ({ ...preset, [place]: { ...preset[place], [name]: value } }),
    least,
    most,
  };
}

/**
 * How each number is read and written, and between which bounds it can be that of a real table: outside them a value
 * is a slip of the pen, or one that the simulator cannot play (a nose above or below any ball, a mouth that no ball
 * passes).
 */
export const CARD_VALUES: Readonly<Record<CardValueName, CardValueAccess>> = {
  length: size('length', 1.5, 4),
  width: size('width', 0.75, 2),
  ballDiameter: diameter('ballRadius'),
  ballMass: size('ballMass', 0.07, 0.25),
  cueBallDiameter: diameter('cueBallRadius'),
  cueBallMass: size('cueBallMass', 0.07, 0.25),
  slidingFriction: parameter('slidingFriction', 0.05, 0.5),
  rollingFriction: parameter('rollingFriction', 0.002, 0.05),
  spinDeceleration: parameter('spinDeceleration', 2, 40),
  ballRestitution: parameter('ballRestitution', 0.7, 1),
  // The friction of slow contacts, the part that dirt and polish change most; the floor stays the published one.
  ballFriction: {
    read: (preset) => preset.parameters.ballFriction.b,
    write: (preset, value) => ({
      ...preset,
      parameters: { ...preset.parameters, ballFriction: { ...preset.parameters.ballFriction, b: value } },
    }),
    least: 0,
    most: 0.3,
  },
  cushionRestitution: parameter('cushionRestitution', 0.5, 1),
  cushionRestitutionFall: parameter('cushionRestitutionFall', 0, 0.1),
  cushionFriction: parameter('cushionFriction', 0.02, 0.5),
  noseHeight: parameter('noseHeight', 0.028, 0.042),
  cornerMouth: pocket('corner', 'mouth', 0.07, 0.14),
  cornerShelf: pocket('corner', 'shelf', 0, 0.08),
  middleMouth: pocket('middle', 'mouth', 0.07, 0.15),
  middleShelf: pocket('middle', 'shelf', 0, 0.06),
  bedRestitution: parameter('bedRestitution', 0, 0.9),
  endMass: parameter('endMass', 0, 0.1),
};
