import type { Fitness } from '../../core/scoring/fitness.ts';

/** What a drill's benchmark is good for, in a sentence. */
export function fitnessWords(fitness: Fitness): string {
  switch (fitness.kind) {
    case 'fit':
      return `A round tells neighbouring levels apart by ${fitness.separation.apart.toFixed(1)} standard deviations.`;
    case 'tells nothing':
      return 'It does not tell the levels apart surely enough: rounds of it feed no rating.';
  }
}
