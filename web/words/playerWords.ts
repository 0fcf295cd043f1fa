import type { FittedExecution } from '../../core/player/fitExecution.ts';

/** What is known of a player's own errors: "Fitted from 43 shots: line ±0.31°, pace ±6 %, tip ±8 % of the radius." */
export function fittedWords(fitted: FittedExecution | undefined, pending: boolean): string {
  if (fitted === undefined) {
    return pending
      ? 'Fitting the player’s errors…'
      : 'No rounds of position drills in this game tell about this player yet: the level counts.';
  }
  const { directionDeg, speed, tip } = fitted.error;
  return `Fitted from ${fitted.shots} shots: line ±${directionDeg.toFixed(2)}°, pace ±${(100 * speed).toFixed(0)} %, tip ±${(100 * tip).toFixed(0)} % of the radius.`;
}
