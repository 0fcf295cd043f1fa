import { logarithm } from '../math/elementary.ts';

/** A seeded stream of random numbers; the same seed gives the same stream on every machine. */
export interface Random {
  /** Uniform in [0, 1). */
  readonly uniform: () => number;
  /** Standard normal. */
  readonly normal: () => number;
  /** An independent stream that depends on this one's seed and the label only, not on what was drawn. */
  readonly fork: (label: number) => Random;
}

/** splitmix32, used to spread a seed over the generator's state. */
function spread(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 16), 0x21f0aaad);
    z = Math.imul(z ^ (z >>> 15), 0x735a2d97);
    return (z ^ (z >>> 15)) >>> 0;
  };
}

/**
 * A generator with the sfc32 algorithm (Doty-Humphrey's "small fast counting" generator, 32-bit state words).
 * @param seed any integer; only its low 32 bits count
 */
export function createRandom(seed: number): Random {
  const next = spread(seed);
  let a = next();
  let b = next();
  let c = next();
  let counter = 1;
  let spare: number | undefined;

  const bits = () => {
    const sum = (a + b + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = ((c << 21) | (c >>> 11)) + sum;
    c |= 0;
    return sum >>> 0;
  };
  for (let i = 0; i < 12; i++) bits();

  const uniform = () => ((bits() >>> 5) * 67108864 + (bits() >>> 6)) / 9007199254740992;

  return {
    uniform,
    // Marsaglia's polar method: two normals from each accepted pair.
    normal() {
      if (spare !== undefined) {
        const kept = spare;
        spare = undefined;
        return kept;
      }
      for (;;) {
        const u = 2 * uniform() - 1;
        const v = 2 * uniform() - 1;
        const s = u * u + v * v;
        if (s > 0 && s < 1) {
          const factor = Math.sqrt((-2 * logarithm(s)) / s);
          spare = v * factor;
          return u * factor;
        }
      }
    },
    fork: (label) =>
      createRandom(Math.imul(seed ^ 0x5bd1e995, 0x9e3779b1) ^ Math.imul(label + 1, 0x85ebca6b)),
  };
}
