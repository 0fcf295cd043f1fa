import type { Motion } from '../statistics/levelFilter.ts';

const WEEK_DAYS = 7;
const perDay = (slopes: readonly number[]) => slopes.map((week) => week / WEEK_DAYS);

/** How a player's level moves as a rating follows it: for months it is steady, or goes up or down by so many points a week. */
export const LEVEL_MOTION: Motion = {
  slopes: perDay([-4.4, -2.2, -1.1, -0.5, 0, 0.5, 1.1, 2.2, 4.4]),
  shares: [0.01, 0.05, 0.15, 0.12, 0.34, 0.12, 0.15, 0.05, 0.01],
  lasts: 240,
  scatter: 0.1,
};

/** The same for telling where somebody goes: slopes that are worth a word, and a flat one; most of the time it is flat. */
export const COURSE_MOTION: Motion = {
  slopes: perDay([-4.4, -2, -1, 0, 1, 2, 4.4]),
  shares: [0.01, 0.04, 0.11, 0.68, 0.11, 0.04, 0.01],
  lasts: 110,
  scatter: 0.1,
};
