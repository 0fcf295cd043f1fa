import type { LandingReview } from '../../core/scoring/landing.ts';

/** "about 8 % too hard", or nothing when pace does not explain it or was right. */
export function paceWords({ pace }: LandingReview): string {
  if (pace.kind === 'right') return 'pace right';
  if (pace.kind === 'cannot tell') return 'pace alone does not explain it';
  const percent = Math.max(1, Math.round(Math.abs(pace.percent)));
  return `about ${percent} % too ${pace.percent > 0 ? 'hard' : 'soft'}`;
}

/** "22° left, half ball: right side". */
export function angleWords({ angle }: LandingReview): string {
  const degrees = Math.round(Math.abs(angle.degrees));
  return `${degrees}°, ${angle.thickness}: ${angle.verdict}`;
}
