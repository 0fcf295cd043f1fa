import type { SkillRating } from '../../core/records/rating.ts';
import { levelWords } from './levelWords.ts';
import { capital } from './vocabulary.ts';

/** Where somebody stands in a skill, in a sentence: "Between regular and team: about 42, nine times in ten from 35 to 50." */
export function ratingWords({ rating, low, high }: Pick<SkillRating, 'rating' | 'low' | 'high'>): string {
  const ends = `from ${Math.round(low)} to ${Math.round(high)}`;
  return `${capital(levelWords(rating))}: about ${Math.round(rating)}, nine times in ten ${ends}.`;
}
