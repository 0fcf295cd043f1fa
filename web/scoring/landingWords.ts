import type { Attribution } from '../../core/scoring/attribution.ts';
import type { LandingReview } from '../../core/scoring/landing.ts';
import { ERROR_WORDS } from '../words/errorWords.ts';

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

/** "about 8 % too hard", "too thick, by about 0.2°", or why it cannot be told. */
export function attributionWords(answer: Attribution): string {
  switch (answer.kind) {
    case 'on plan':
      return 'as planned';
    case 'cannot tell':
      return answer.between.length === 2
        ? `cannot tell: ${answer.between.map((error) => ERROR_WORDS[error]).join(' or ')}`
        : 'cannot tell: no single error explains it';
    case 'told': {
      const size = Math.abs(answer.amount);
      if (answer.error === 'pace') return `about ${Math.max(1, Math.round(100 * size))} % ${answer.cause}`;
      if (answer.error === 'line') return `${answer.cause}, the line about ${size.toFixed(1)}° off`;
      return `${answer.cause}, the tip about ${Math.max(1, Math.round(100 * size))} % of a radius off`;
    }
  }
}
