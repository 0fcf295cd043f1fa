import { FIVE, THREE, type Spread } from './landings.ts';

/** How finely strokes are looked at. */
export interface TableDetail {
  /** Widest distance between two places of the cue ball on a pool table of nine feet, metres; on others in proportion. */
  readonly step: number;
  /** Paces of the cue, m/s, and heights of the tip, ball radii. */
  readonly speeds: readonly number[];
  readonly heights: readonly number[];
  /** Executions of each stroke, by what it does with their errors of pace and height. */
  readonly spread: Spread;
  /** Pots of a place that are followed up: the likeliest, and of each ball, whose turn may come, its own likeliest. */
  readonly lines: number;
  readonly linesOfBall: number;
}

/** An answer within a moment. */
export const COARSE: TableDetail = {
  step: 0.16,
  speeds: [0.9, 1.5, 2.4],
  heights: [-0.35, 0.05, 0.4],
  spread: FIVE,
  lines: 7,
  linesOfBall: 1,
};

/** For a table that is planned once, for the few shots that are left. */
export const GLANCE: TableDetail = {
  step: 0.2,
  speeds: [1, 1.6, 2.6],
  heights: [-0.35, 0.3],
  spread: THREE,
  lines: 5,
  linesOfBall: 1,
};

/** The first answer on the screen: a closer one follows. */
export const FIRST: TableDetail = { ...GLANCE, step: 0.25 };

/** For orders with very many states. */
export const WIDE: TableDetail = { ...COARSE, step: 0.18, spread: THREE, lines: 6 };

/** The answer that is played by. */
export const FINE: TableDetail = {
  step: 0.1,
  speeds: [0.75, 1.1, 1.6, 2.3, 3.3],
  heights: [-0.35, 0.05, 0.4],
  spread: FIVE,
  lines: 9,
  linesOfBall: 2,
};
