import { LEVELS } from '../../core/player/levels.ts';
import { progressIn } from '../../core/scoring/progress.ts';
import { rateRounds } from '../../core/scoring/rating.ts';

/** So often a made-up year is gone over before the first page is asked for. */
const TIMES = 4;
const ROUNDS = 150;
const SCORES = 21;

/** Rates and follows a made-up player, who goes nowhere, so that the first real page does not wait for a cold program. */
export function warmUpPages(): void {
  const levels = LEVELS.map(({ rating }) => {
    const chances = Array.from({ length: SCORES }, (_, score) => Math.exp(-0.1 * (score - rating / 5) ** 2));
    const whole = chances.reduce((sum, each) => sum + each, 0);
    return chances.map((each) => each / whole);
  });
  for (let k = 0; k < TIMES; k++) {
    const rounds = Array.from({ length: ROUNDS }, (_, i) => ({
      day: 2 * i,
      score: (i + k) % SCORES,
      levels,
    }));
    rateRounds(rounds, 2 * ROUNDS);
    progressIn(rounds.map(({ day, score }) => ({ day, rating: 5 * score })));
  }
}
