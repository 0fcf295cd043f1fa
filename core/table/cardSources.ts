import type { CardValueName } from './cardValues.ts';

/** Where the numbers of the tables that ship come from. */
export const PRESET_SOURCES: Readonly<Record<CardValueName, string>> = {
  length: 'published playing area',
  width: 'published playing area',
  ballDiameter: 'rule book',
  ballMass: 'usual set, inside the rule book’s bounds',
  cueBallDiameter: 'usual set of this game',
  cueBallMass: 'usual set of this game',
  slidingFriction: 'middle of published measurements (0.15 to 0.4)',
  rollingFriction: 'medium cloth: published range for this kind of table',
  spinDeceleration: 'middle of published measurements (5 to 15)',
  ballRestitution: 'published measurements (0.92 to 0.98)',
  ballFriction: 'fit to published measurements of throw',
  cushionRestitution: 'by work; published rebounds of this kind of table',
  cushionRestitutionFall: 'none until it is measured',
  cushionFriction: 'published measurements (0.14 to 0.2)',
  noseHeight: 'rule book, as a share of the ball',
  cornerMouth: 'middle of the published tolerance',
  cornerShelf: 'middle of the published tolerance',
  middleMouth: 'middle of the published tolerance',
  middleShelf: 'middle of the published tolerance',
  bedRestitution: 'none: a bed that takes every hop, until it is measured',
  endMass: 'none: a cue that does not squirt, until it is measured',
};
